package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import lobrik.bend.BendKind;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.verdict.Judged.Band;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ScoreTest {

    private static final Length TARGET = Length.ofInches(17.625);
    private static final Length EIGHTH = Length.ofFraction(0, 1, 8);

    private static Reading leg(Length deviation) {
        return new Reading(FeatureId.LEG, TARGET, TARGET.plus(deviation), Tolerance.even(EIGHTH), 1, true);
    }

    private static Reading angle(double degrees, double weight, boolean critical) {
        return new Reading(
                FeatureId.angle(1),
                Angle.RIGHT,
                Angle.ofDegrees(degrees),
                Tolerance.even(Angle.ofDegrees(2)),
                weight,
                critical);
    }

    /** Handbook 7, in units of the tolerance. */
    @ParameterizedTest
    @CsvSource({
        "GRADED, 0, 1", "GRADED, 0.5, 1", "GRADED, 0.75, 0.85", "GRADED, 1, 0.7", "GRADED, 2, 0.35", "GRADED, 3, 0",
        "GRADED, 4, 0", "BANDS, 0.5, 1", "BANDS, 0.51, 0.85", "BANDS, 1, 0.85", "BANDS, 2, 0.5", "BANDS, 2.01, 0",
        "PASS_FAIL, 1, 1", "PASS_FAIL, 1.01, 0"
    })
    void credit_followsTheScheme(Scheme scheme, double tolerances, double credit) {
        Length deviation = EIGHTH.times(tolerances);
        assertThat(scheme.creditOf(deviation, Tolerance.even(EIGHTH))).isCloseTo(credit, within(1e-9));
        assertThat(scheme.creditOf(deviation.times(-1), Tolerance.even(EIGHTH))).isCloseTo(credit, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(Scheme.class)
    void credit_neverGrowsWithTheDeviation(Scheme scheme) {
        double before = 1;
        for (int i = 0; i <= 400; i++) {
            double credit = scheme.creditOf(EIGHTH.times(i / 100.0), Tolerance.even(EIGHTH));
            assertThat(credit).isBetween(0.0, before);
            before = credit;
        }
    }

    @Test
    void readingExactlyOnTheLimit_countsAsInside() {
        Random random = new Random(21);
        for (int i = 0; i < 1000; i++) {
            Length target = Length.ofInches(50 * random.nextDouble());
            Length tolerance = Length.ofInches(random.nextDouble()).plus(Length.ofInches(0.001));
            Reading onTheLimit =
                    new Reading(FeatureId.LEG, target, target.plus(tolerance), Tolerance.even(tolerance), 1, true);
            assertThat(onTheLimit.judged(Scheme.GRADED).band()).isEqualTo(Band.WITHIN);
            assertThat(onTheLimit.judged(Scheme.BANDS).credit()).isEqualTo(0.85);
        }
    }

    @Test
    void score_isTheWeightedMeanOfCredits() {
        // leg on the limit: 0.7; angle right: 1, three times the weight: (0.7 + 3) / 4
        Score score = Score.of(List.of(leg(EIGHTH), angle(90, 3, true)), Scheme.GRADED, 70, 0);
        assertThat(score.points()).isCloseTo(92.5, within(1e-9));
        assertThat(score.passed()).isTrue();
    }

    @Test
    void criticalReadingOutside_failsThePiece_howeverHighTheScore() {
        assertThat(Score.of(List.of(leg(Length.ZERO), angle(92.5, 0.01, true)), Scheme.GRADED, 70, 0)
                        .passed())
                .isFalse();
        assertThat(Score.of(List.of(leg(Length.ZERO), angle(92.5, 0.01, false)), Scheme.GRADED, 70, 0)
                        .passed())
                .isTrue();
    }

    @Test
    void scoreOnThePassMark_passes_andDeductionsNeverGoBelowZero() {
        List<Reading> onTheLimit = List.of(leg(EIGHTH), angle(92, 1, true));
        assertThat(Score.of(onTheLimit, Scheme.GRADED, 70, 0).passed()).isTrue();
        assertThat(Score.of(onTheLimit, Scheme.GRADED, 70, 0.5).passed()).isFalse();
        assertThat(Score.of(onTheLimit, Scheme.GRADED, 70, 100).points()).isZero();
    }

    @Test
    void presets_areThoseOfTheHandbook() {
        Tolerances site = TolerancePreset.SITE.tolerances();
        assertThat(site.of(BendKind.STUB_90, FeatureId.LEG)).isEqualTo(Tolerance.even(EIGHTH));
        assertThat(site.of(BendKind.STUB_90, FeatureId.angle(1))).isEqualTo(Tolerance.even(Angle.ofDegrees(2)));
        assertThat(site.of(BendKind.BOX_OFFSET, FeatureId.RISE)).isEqualTo(Tolerance.even(Length.ofFraction(0, 1, 16)));
        assertThat(TolerancePreset.LEARNING.tolerances().of(BendKind.SADDLE_4, FeatureId.DOG_LEG))
                .isEqualTo(Tolerance.even(Angle.ofDegrees(3)));
        assertThat(TolerancePreset.ASSESSMENT.tolerances().length()).isEqualTo(Length.ofFraction(0, 1, 16));
        assertThat(TolerancePreset.LEARNING.tolerances().dogLeg()).isEqualTo(Angle.ofDegrees(3));
    }

    @Test
    void nothingToScoreAndFiguresOutOfRange_areAllTold() {
        Refused refused = catchThrowableOfType(Refused.class, () -> Score.of(List.of(), Scheme.GRADED, Double.NaN, -1));
        assertThat(refused.faults()).extracting(Fault::input).containsExactly("items", "passMark", "deductions");
    }

    @Test
    void featureGivenTwice_isRefused() {
        Refused refused = catchThrowableOfType(
                Refused.class, () -> Score.of(List.of(leg(Length.ZERO), leg(EIGHTH)), Scheme.GRADED, 70, 0));
        assertThat(refused.faults()).extracting(Fault::code).containsExactly(FaultCode.DUPLICATE);
    }

    @Test
    void toleranceOfNothing_isRefused() {
        Refused refused = catchThrowableOfType(
                Refused.class,
                () -> new Reading(FeatureId.LEG, TARGET, TARGET, Tolerance.even(Length.ZERO), Double.NaN, true));
        assertThat(refused.faults()).extracting(Fault::input).containsExactly("tolerance", "weight");
    }

    /** What a list of schemes says is what they do. */
    @Test
    void schemesSayWhatTheyAreWorth() {
        assertThat(Scheme.GRADED.words()).contains("70 % at it");
        assertThat(Scheme.BANDS.words()).contains("85 % up to it, 50 % up to twice");
        for (Scheme scheme : Scheme.values()) {
            assertThat(scheme.credit(1, 2)).as(scheme.words()).isEqualTo(1);
            assertThat(scheme.credit(3, 1)).as(scheme.words()).isZero();
            assertThat(scheme.words()).startsWithIgnoringCase(scheme == Scheme.BANDS ? "bands" : scheme.title());
        }
    }
}
