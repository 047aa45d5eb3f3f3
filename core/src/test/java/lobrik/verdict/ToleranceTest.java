package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.fault.Fault;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.progress.Strictness;
import lobrik.verdict.Judged.Band;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Limits that differ for over and under, and by dimension. */
class ToleranceTest {

    private static final Length EIGHTH = Length.ofFraction(0, 1, 8);
    private static final Length QUARTER = Length.ofFraction(0, 1, 4);

    /** A leg may be a quarter short but only an eighth long. */
    private static final Tolerances SHORT_LEGS = with(Map.of(FeatureId.LEG, new Tolerance(EIGHTH, QUARTER)));

    private static Tolerances with(Map<FeatureId, Tolerance> limits) {
        Tolerances site = TolerancePreset.SITE.tolerances();
        return new Tolerances(
                site.length(),
                site.angle(),
                site.dogLeg(),
                site.passMark(),
                site.workmanship(),
                site.judging(),
                site.rebending(),
                PerFeature.of(limits));
    }

    private static Reading leg(Tolerances tolerances, double offInches) {
        Length target = Length.ofInches(17.625);
        return Reading.of(BendKind.STUB_90, FeatureId.LEG, target, target.plus(Length.ofInches(offInches)), tolerances);
    }

    @ParameterizedTest
    @CsvSource({
        "0, CLOSE, 1",
        "0.0625, CLOSE, 1",
        "0.125, WITHIN, 0.7",
        "0.1251, OUTSIDE, 0.69972",
        "-0.125, CLOSE, 1",
        "-0.1875, WITHIN, 0.85",
        "-0.25, WITHIN, 0.7",
        "-0.2501, OUTSIDE, 0.69986"
    })
    void eachSide_isHeldToItsOwnLimit(double off, Band band, double credit) {
        Judged judged = leg(SHORT_LEGS, off).judged(Scheme.GRADED);
        assertThat(judged.band()).isEqualTo(band);
        assertThat(judged.credit()).isCloseTo(credit, within(1e-9));
    }

    @Test
    void otherDimensions_keepTheLimitsOfTheSet() {
        assertThat(SHORT_LEGS.of(BendKind.STUB_90, FeatureId.OTHER_LEG)).isEqualTo(Tolerance.even(EIGHTH));
        assertThat(SHORT_LEGS.of(BendKind.BOX_OFFSET, FeatureId.RISE))
                .isEqualTo(Tolerance.even(Length.ofFraction(0, 1, 16)));
    }

    @Test
    void pieceWithinTheWiderSide_passes_andBeyondTheNarrowerFails() {
        assertThat(Marksheet.of(List.of(leg(SHORT_LEGS, -0.25)), List.of(), SHORT_LEGS, Optional.empty())
                        .score()
                        .passed())
                .isTrue();
        assertThat(Marksheet.of(List.of(leg(SHORT_LEGS, 0.25)), List.of(), SHORT_LEGS, Optional.empty())
                        .score()
                        .passed())
                .isFalse();
    }

    @Test
    void limitOutOfRange_orOfTheWrongSort_isToldWithItsFeatureAndSide() {
        Refused tooLarge = catchThrowableOfType(
                Refused.class, () -> with(Map.of(FeatureId.LEG, new Tolerance(EIGHTH, Length.ofInches(13)))));
        assertThat(tooLarge.faults()).extracting(Fault::input).containsExactly("limits/leg/under");
        Refused wrongSort =
                catchThrowableOfType(Refused.class, () -> with(Map.of(FeatureId.angle(1), Tolerance.even(EIGHTH))));
        assertThat(wrongSort.faults())
                .extracting(Fault::input)
                .containsExactlyInAnyOrder("limits/angle1/over", "limits/angle1/under");
        Refused nothing =
                catchThrowableOfType(Refused.class, () -> with(Map.of(FeatureId.LEG, Tolerance.even(Length.ZERO))));
        assertThat(nothing.faults()).extracting(Fault::input).containsExactly("limits/leg/over", "limits/leg/under");
    }

    /** A set that is wider for a dimension that was read is not as strict as one that is not. */
    @Test
    void strictness_isThatOfTheWidestLimitThatAReadingWasHeldTo() {
        Strictness site = Strictness.of(TolerancePreset.SITE.tolerances());
        assertThat(Strictness.of(SHORT_LEGS, BendKind.STUB_90, List.of(FeatureId.LEG, FeatureId.angle(1)))
                        .isAtLeastAsStrictAs(site))
                .isFalse();
        assertThat(Strictness.of(SHORT_LEGS, BendKind.OFFSET, List.of(FeatureId.RISE, FeatureId.angle(1))))
                .isEqualTo(new Strictness(EIGHTH, Angle.ofDegrees(2), Angle.ofDegrees(2)));
    }

    @Test
    void whatIsSaidOfMarks_holdsForEveryMark_exceptOneOfWhichSomethingElseIsSaid() {
        PerFeature<Double> weights = new PerFeature<>(Map.of(FeatureKind.MARK, 2.0), Map.of(FeatureId.mark(3), 5.0));
        Judging judging = new Judging(Scheme.GRADED, weights, PerFeature.none());
        assertThat(judging.weight(FeatureId.mark(9))).isEqualTo(2);
        assertThat(judging.weight(FeatureId.mark(3))).isEqualTo(5);
        assertThat(judging.weight(FeatureId.angle(3))).isEqualTo(1);
        assertThat(judging.weight(FeatureKind.MARK)).isEqualTo(2);
        assertThat(judging.isCritical(FeatureKind.MARK)).isFalse();
    }
}
