package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import lobrik.bend.BendKind;
import lobrik.cause.Pieces;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import org.junit.jupiter.api.Test;

class MarksheetTest {

    private static Tolerances site(Judging judging) {
        Tolerances site = TolerancePreset.SITE.tolerances();
        return new Tolerances(
                site.length(),
                site.angle(),
                site.dogLeg(),
                site.passMark(),
                site.workmanship(),
                judging,
                Rebending.USUAL);
    }

    private static Reading reading(FeatureId feature, Quantity off, Tolerances tolerances) {
        Quantity target = feature.measured() == QuantityKind.LENGTH ? Length.ofInches(20) : Angle.ofDegrees(30);
        return Reading.of(
                BendKind.SADDLE_4, feature, target, target.withCount(target.count() + off.count()), tolerances);
    }

    /** Readings of a saddle, each off by up to four tolerances. */
    private static List<Reading> random(Random random, Tolerances tolerances) {
        List<Reading> readings = new ArrayList<>();
        for (PlannedFeature feature : Pieces.saddle().features()) {
            Quantity tolerance = tolerances.of(BendKind.SADDLE_4, feature.id()).over();
            long off = Math.round(tolerance.count() * 8 * (random.nextDouble() - 0.5));
            readings.add(reading(feature.id(), tolerance.withCount(off), tolerances));
        }
        return readings;
    }

    @Test
    void lostPoints_areAllThatIsMissing_byAnyScheme() {
        Random random = new Random(5);
        for (Scheme scheme : Scheme.values()) {
            Tolerances tolerances =
                    site(new Judging(scheme, PerFeature.of(Map.of(FeatureId.HEIGHT, 3.0)), PerFeature.none()));
            for (int i = 0; i < 200; i++) {
                Set<InspectionPoint> faulty =
                        i % 2 == 0 ? Set.of() : EnumSet.of(InspectionPoint.RIPPLE, InspectionPoint.MARKS_LEFT);
                Marksheet sheet = Marksheet.of(random(random, tolerances), List.of(), tolerances, Optional.of(faulty));
                double lost = sheet.lost().stream()
                        .mapToDouble(Marksheet.Lost::points)
                        .sum();
                assertThat(sheet.score().points()).isCloseTo(Math.max(0, 100 - lost), within(1e-6));
            }
        }
    }

    @Test
    void perfectPiece_scoresAHundredInEveryPart() {
        Tolerances tolerances = site(Judging.USUAL);
        List<Reading> readings = Pieces.saddle().features().stream()
                .map(feature -> reading(feature.id(), feature.asked().withCount(0), tolerances))
                .toList();
        Marksheet sheet = Marksheet.of(readings, readings.subList(0, 2), tolerances, Optional.of(Set.of()));
        assertThat(sheet.score().points()).isEqualTo(100);
        assertThat(sheet.score().passed()).isTrue();
        assertThat(sheet.lost()).isEmpty();
        assertThat(sheet.parts())
                .hasSize(Marksheet.Part.values().length)
                .allSatisfy(part -> assertThat(part.points()).isEqualTo(100));
    }

    @Test
    void creditFallsSteadily_andALimitCountsAsInside() {
        Tolerances tolerances = site(Judging.USUAL);
        for (Scheme scheme : Scheme.values()) {
            double before = 1;
            for (int sixtyFourths = 0; sixtyFourths <= 32; sixtyFourths++) {
                Length off = Length.ofFraction(0, sixtyFourths, 64);
                double credit = reading(FeatureId.HEIGHT, off, tolerances)
                        .judged(scheme)
                        .credit();
                assertThat(credit).as("%s at %s", scheme, off).isLessThanOrEqualTo(before);
                before = credit;
            }
            Judged onTheLimit = reading(FeatureId.HEIGHT, Length.ofFraction(0, -1, 8), tolerances)
                    .judged(scheme);
            assertThat(onTheLimit.band()).isEqualTo(Judged.Band.WITHIN);
            assertThat(onTheLimit.credit()).isGreaterThanOrEqualTo(0.7);
        }
    }

    @Test
    void weightsCount_andWhatFailsAPieceCanBeChosen() {
        Length off = Length.ofInches(0.5);
        Tolerances heavy = site(new Judging(
                Scheme.PASS_FAIL,
                PerFeature.of(Map.of(FeatureId.HEIGHT, 3.0)),
                PerFeature.of(Map.of(FeatureId.HEIGHT, false))));
        List<Reading> readings =
                List.of(reading(FeatureId.HEIGHT, off, heavy), reading(FeatureId.FLAT, Length.ZERO, heavy));
        Marksheet sheet = Marksheet.of(readings, List.of(), heavy, Optional.empty());
        assertThat(sheet.score().points()).isEqualTo(25);
        assertThat(sheet.lost())
                .singleElement()
                .satisfies(lost -> assertThat(lost.points()).isEqualTo(75));
        Tolerances lenient = new Tolerances(
                heavy.length(),
                heavy.angle(),
                heavy.dogLeg(),
                20,
                heavy.workmanship(),
                heavy.judging(),
                heavy.rebending());
        assertThat(Marksheet.of(readings, List.of(), lenient, Optional.empty())
                        .score()
                        .passed())
                .isTrue();
    }

    @Test
    void partsOfTheWork_areScoredApart() {
        Tolerances tolerances = site(Judging.USUAL);
        List<Reading> readings = List.of(
                reading(FeatureId.mark(1), Length.ofInches(1), tolerances),
                reading(FeatureId.angle(1), Angle.ZERO, tolerances),
                reading(FeatureId.HEIGHT, Length.ofFraction(0, 1, 8), tolerances));
        Marksheet sheet = Marksheet.of(readings, List.of(), tolerances, Optional.of(Set.of(InspectionPoint.KINK)));
        assertThat(sheet.parts())
                .containsExactly(
                        new Marksheet.PartScore(Marksheet.Part.LAYOUT, 0),
                        new Marksheet.PartScore(Marksheet.Part.BENDING, 100),
                        new Marksheet.PartScore(Marksheet.Part.RESULT, 70),
                        new Marksheet.PartScore(Marksheet.Part.WORKMANSHIP, 80));
    }

    @Test
    void weightOutOfRange_isRefusedByName() {
        Refused refused = catchThrowableOfType(
                Refused.class,
                () -> new Judging(Scheme.GRADED, PerFeature.of(Map.of(FeatureId.RISE, 0.0)), PerFeature.none()));
        assertThat(refused.faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.input()).isEqualTo("weights/rise"));
    }

    @Test
    void piece_thatWasBentAgain_losesSoManyPointsEachTime() {
        Tolerances five = TolerancePreset.SITE.tolerances();
        List<Reading> right = List.of(reading(FeatureId.HEIGHT, Length.ZERO, five));
        Marksheet twice = Marksheet.of(right, List.of(), five, Optional.empty(), 2);
        assertThat(twice.score().points()).isEqualTo(90);
        assertThat(twice.lost()).contains(new Marksheet.Lost.Reworked(2, 10));
        assertThat(Marksheet.of(right, List.of(), five, Optional.empty(), 99)
                        .score()
                        .points())
                .isZero();
    }
}
