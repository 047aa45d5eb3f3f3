package lobrik.cause;

import static lobrik.cause.Tellings.NOT;
import static lobrik.cause.Tellings.first;
import static lobrik.cause.Tellings.told;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import lobrik.bend.BackToBack90;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.School;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.Surround;
import lobrik.verdict.BenderShare;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

/** A mistake goes on: from a figure to its ring, from a ring to those that were measured from it. */
class CarriedMistakesTest {

    /**
     * The first ring is right, the bend was made a quarter beside it, and the second was rung from the back of what was bent:
     * the length between the backs is right, the legs are not.
     */
    @Test
    void markFromTheBackOfABendThatSlipped_followedIt() {
        Layout u = u();
        Length quarter = Length.ofFraction(0, 1, 4);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        u.features().forEach(feature -> readings.put(feature.id(), feature.asked()));
        readings.put(FeatureId.LEG, Length.ofInches(12).plus(quarter));
        readings.put(FeatureId.SECOND_LEG, Length.ofInches(14).minus(quarter));
        Explanation first =
                Diagnosis.of(seen(u, readings, Set.of(2))).explanations().getFirst();
        assertThat(first.causes()).hasSize(1).first().satisfies(cause -> {
            assertThat(cause.id()).isEqualTo(CauseId.MARK_SLIPPED);
            assertThat(cause.bend()).hasValue(1);
        });
        assertThat(first.probability()).isGreaterThan(0.6);
        // Measured from the end, it takes two of them to leave the length between the backs right.
        assertThat(Diagnosis.of(seen(u, readings, Set.of()))
                        .explanations()
                        .getFirst()
                        .causes())
                .hasSize(2);
    }

    /** An inch too much, from the trainee's own figure to the leg; what came after it followed rightly. */
    @Test
    void figureThatIsWrongByNoNamedSlip_isSaidToBe_andSoIsThatItWasCarriedOn() {
        Layout u = u();
        Length inch = Length.ofInches(1);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        u.features().forEach(feature -> readings.put(feature.id(), feature.predicted()));
        readings.put(FeatureId.mark(1), u.marks().getFirst().position().plus(inch));
        readings.put(FeatureId.LEG, Length.ofInches(13));
        readings.put(FeatureId.SECOND_LEG, Length.ofInches(13));
        Map<Integer, Length> own = Map.of(
                1, u.marks().getFirst().position().plus(inch),
                2, u.marks().getLast().position().plus(inch));
        Telling told = new Telling(Diagnosis.of(seen(u, readings, own, Set.of(2))), LengthUnit.INCH);
        assertThat(first(told).id()).isEqualTo(CauseId.FIGURE_WRONG);
        assertThat(first(told).bend()).hasValue(1);
        assertThat(first(told).probability()).isGreaterThan(0.9);
        assertThat(told.title(first(told))).isEqualTo("Mark 1 worked out wrong");
        assertThat(told.what(first(told)))
                .isEqualTo("The figure worked out for mark 1 is 1 in too large: ring and bend are where it says.");
    }

    @Test
    void ringFarOff_byNoNamedSlip_isSaidToBe() {
        Layout stub = Pieces.stub();
        Telling told = told(stub, Pieces.readings(stub, new double[] {-2.5}, new double[] {0}, new double[] {0}));
        assertThat(first(told).id()).isEqualTo(CauseId.MARK_MISPLACED);
        assertThat(told.title(first(told))).isEqualTo("Ring in the wrong place");
        assertThat(told.what(first(told))).isEqualTo("The ring stands 2 1/2 in short, and the bend was made there.");
        // All of them, from the first on: the distance itself was taken wrong.
        Telling all = told(Pieces.offset(), Pieces.readings(Pieces.offset(), new double[] {4, 4}, NOT, NOT));
        assertThat(first(all).id()).isEqualTo(CauseId.MARK_MISPLACED);
        assertThat(first(all).bend()).hasValue(1);
        assertThat(all.what(first(all)))
                .isEqualTo("Ring 1 stands 4 in too far, and the bend was made there, and ring 2 was measured from it.");
    }

    /** Whoever sets the second ring by the spacing carries a misread first one on. */
    @Test
    void fractionThatWasMisread_isCarriedOnToTheRingsThatWereMeasuredFromIt() {
        Telling told = told(Pieces.offset(), Pieces.readings(Pieces.offset(), new double[] {0.25, 0.25}, NOT, NOT));
        assertThat(first(told).id()).isEqualTo(CauseId.MISREAD_FRACTION);
        assertThat(told.what(first(told)))
                .isEqualTo("Ring 1 stands 1/4 in too far; a fraction was misread, and ring 2 was measured from it.");
        Telling alone = told(Pieces.offset(), Pieces.readings(Pieces.offset(), new double[] {0.25, 0}, NOT, NOT));
        assertThat(alone.what(first(alone))).isEqualTo("Ring 1 stands 1/4 in too far; a fraction was misread.");
    }

    /** Both are sure: what was done first is named first. */
    @Test
    void ofTwoThatHappenedTogether_theEarlierIsToldFirst() {
        Layout stub = Pieces.stub();
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, new double[] {6}, new double[] {0}, new double[] {0});
        readings.put(FeatureId.LEG, Length.ofInches(24.25));
        readings.computeIfPresent(FeatureId.OTHER_LEG, (_, read) -> read.minus(Length.ofFraction(0, 1, 4)));
        Diagnosis found = told(stub, readings).diagnosis();
        assertThat(found.causes().subList(0, 2))
                .extracting(Cause::id)
                .containsExactly(CauseId.TAKEUP_OMITTED, CauseId.MARK_SLIPPED);
    }

    /** The slips that have a name are as much as those that have none, and go before them. */
    @Test
    void namedSlip_goesBeforeAnyFigure() {
        Layout stub = Pieces.stub();
        Length worked = stub.marks().getFirst().position();
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, new double[] {6}, new double[] {0}, new double[] {0});
        Diagnosis found = Diagnosis.of(seen(stub, readings, Map.of(1, worked.plus(Length.ofInches(6))), Set.of()));
        assertThat(found.causes().getFirst().id()).isEqualTo(CauseId.TAKEUP_OMITTED);
        assertThat(found.causes().getFirst().probability()).isGreaterThan(0.9);
    }

    private static Layout u() {
        return Layout.of(new Job(
                new BackToBack90(Length.ofInches(12), Length.ofInches(20), Length.ofInches(14)),
                Jobs.threeQuarters(),
                School.of(Method.CHART, TapeDivision.SIXTEENTH)));
    }

    private static Case seen(Layout layout, Map<FeatureId, Quantity> readings, Set<Integer> fromBack) {
        return seen(layout, readings, Map.of(), fromBack);
    }

    private static Case seen(
            Layout layout, Map<FeatureId, Quantity> readings, Map<Integer, Length> own, Set<Integer> fromBack) {
        return new Case(
                layout,
                readings,
                own,
                ReadingSpread.USUAL,
                Surround.USUAL_INSERTION,
                Priors.USUAL,
                fromBack,
                BenderShare.NONE,
                Set.of());
    }
}
