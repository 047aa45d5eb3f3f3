package lobrik.cause;

import static lobrik.cause.Tellings.first;
import static lobrik.cause.Tellings.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Set;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.shape.Surround;
import lobrik.verdict.BenderShare;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

/** What a bender is known to add is no fault of whoever bends on it. */
class BenderInDiagnosisTest {

    /** A stub whose leg and other leg are so far off, on a bender that is known to add a quarter to legs. */
    private static Telling onBender7(double leg, double degrees) {
        Layout stub = Pieces.stub();
        KnownBender bender = new KnownBender(
                "Bender 7",
                Map.of(
                        DeviationKind.LEGS,
                        new KnownBender.Effect(Length.ofFraction(0, 1, 4), Length.ofFraction(0, 1, 64))));
        Map<FeatureId, Quantity> readings =
                Pieces.readings(stub, new double[] {leg}, new double[] {degrees}, new double[] {0});
        // The ring stands where it should.
        readings.put(FeatureId.mark(1), stub.marks().getFirst().position());
        return new Telling(
                Diagnosis.of(new Case(
                        stub,
                        readings,
                        Map.of(),
                        ReadingSpread.USUAL,
                        Surround.USUAL_INSERTION,
                        Priors.USUAL,
                        Set.of(),
                        BenderShare.of(bender, stub),
                        Set.of())),
                LengthUnit.INCH);
    }

    @Test
    void whatTheBenderIsKnownToAdd_isTheBenders() {
        Telling told = onBender7(0.25, 0);
        assertThat(first(told).id()).isEqualTo(CauseId.BENDER);
        assertThat(first(told).id().isFault()).isFalse();
        assertThat(first(told).probability()).isGreaterThan(0.8);
        assertThat(told.what(first(told))).startsWith("It is what this bender adds; besides that everything reads");
        assertThat(told.evidence(first(told)))
                .isEqualTo("4 of 4 readings fit what was planned, with what the bender adds.");
        // Without a word of the bender it is the hands that slipped.
        assertThat(first(told(Pieces.stub(), told.diagnosis().seen().readings()))
                        .id())
                .isEqualTo(CauseId.MARK_SLIPPED);
    }

    @Test
    void whatHandsDoBesidesTheBender_isTheirs_byItsOwnAmount() {
        Cause slipped = first(onBender7(0.75, 0));
        assertThat(slipped.id()).isEqualTo(CauseId.MARK_SLIPPED);
        assertThat(slipped.amount())
                .hasValueSatisfying(amount -> assertThat(amount.number()).isCloseTo(0.5, within(0.04)));
        assertThat(first(onBender7(0.25, 5)).id()).isEqualTo(CauseId.ANGLE_OFF);
    }

    /** Somebody may have put the bender right since: then a piece without its share is just as planned. */
    @Test
    void benderThatAddsNothingAnyMore_isNobodysFault() {
        Cause first = first(onBender7(0, 0));
        assertThat(first.id()).isEqualTo(CauseId.NONE);
        assertThat(first.probability()).isGreaterThan(0.5);
    }
}
