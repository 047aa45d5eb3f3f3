package lobrik.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.BoxOffset;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.bend.Kick;
import lobrik.bend.Leg;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Situation;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.exercise.Variants.Variant;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.Review;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.Obstacle;
import lobrik.verdict.TolerancePreset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class VariantsTest {

    private static final int CLASS = 30;

    private static Length inches(double inches) {
        return Length.ofInches(inches);
    }

    private static Bend exercise(BendKind kind) {
        Optional<Length> overall = Optional.of(inches(80));
        return switch (kind) {
            case STUB_90 -> new Stub90(inches(17.625), Optional.of(inches(22)), Placement.ARROW);
            case BACK_TO_BACK_90 -> new BackToBack90(inches(13.5), inches(31.25), inches(16));
            case BOX_OFFSET -> new BoxOffset(inches(0.625), Angle.ofDegrees(10), inches(4), Optional.of(inches(40)));
            case OFFSET ->
                new Offset(
                        inches(6), Length.ZERO, Angle.ofDegrees(30), inches(36), OffsetLayout.BEFORE_OBSTACLE, overall);
            case ROLLING_OFFSET ->
                new RollingOffset(
                        inches(6), inches(4), Angle.ofDegrees(30), inches(40), OffsetLayout.FROM_EDGE, overall);
            case KICK -> new Kick(inches(9), Angle.ofDegrees(30), inches(44), OffsetLayout.BEFORE_OBSTACLE);
            case SADDLE_3 ->
                new Saddle3(
                        inches(3.5),
                        inches(1),
                        Angle.ofDegrees(22.5),
                        inches(34),
                        Saddle3.Spacing.FACTOR,
                        Saddle3.Order.CENTRE_FIRST,
                        overall);
            case SADDLE_4 ->
                new Saddle4(
                        inches(3.25),
                        inches(1),
                        Angle.ofDegrees(30),
                        inches(11.5),
                        inches(0.5),
                        Saddle4.MeasuredTo.NEAR_EDGE,
                        inches(38),
                        Placement.ARROW,
                        Optional.of(inches(100)));
            case OVER_BENT_90 ->
                new OverBent90(inches(26), inches(3.5), Angle.ofDegrees(22.5), Optional.of(inches(30)));
            case RUN ->
                Run.of(List.of(
                        new Leg(inches(30), Towards.UP, Length.ZERO),
                        new Leg(inches(36), Towards.RIGHT, Length.ZERO),
                        new Leg(inches(24), Towards.OUT, Length.ZERO)));
        };
    }

    private static Job job(BendKind kind, Method method) {
        return new Job(exercise(kind), Jobs.threeQuarters(), School.of(method, TapeDivision.SIXTEENTH));
    }

    /** All lengths a quarter up or down in eighths, as an instructor would set them. */
    private static List<InputRange> ranges(Bend bend) {
        List<InputRange> ranges = new ArrayList<>();
        for (Input input : Input.of(bend)) {
            if (input.current() instanceof Length size && size.isMoreThan(inches(2))) {
                ranges.add(new InputRange(
                        input.path(),
                        size.times(0.75).nearest(eighth()),
                        size.times(1.25).nearest(eighth()),
                        inches(0.125)));
            }
        }
        return ranges;
    }

    private static TapeDivision eighth() {
        return TapeDivision.EIGHTH;
    }

    /** One class of every kind in each build, several in a full run. */
    private static final List<Long> SEEDS =
            Boolean.getBoolean("lobrik.full") ? List.of(20261123L, -7L) : List.of(20261123L);

    static Stream<Arguments> kindsMethodsAndSeeds() {
        return Stream.of(BendKind.values())
                .flatMap(kind -> Stream.of(Method.values())
                        .flatMap(method -> SEEDS.stream().map(seed -> Arguments.of(kind, method, seed))));
    }

    @ParameterizedTest
    @MethodSource("kindsMethodsAndSeeds")
    void everyVariant_isPossible_equallyHard_andDifferentFromItsNeighbours(BendKind kind, Method method, long seed) {
        Job job = job(kind, method);
        List<InputRange> ranges = ranges(job.bend());
        List<Variant> dealt = Variants.deal(job, _ -> Optional.empty(), ranges, seed, CLASS);
        assertThat(dealt).hasSize(CLASS);
        Set<FaultCode> accepted = Review.concerns(Layout.of(job), Optional.empty());
        accepted.retainAll(EnumSet.of(FaultCode.ANGLE_NOT_ON_CHART, FaultCode.NOTCH_OFF_CENTRE));
        for (Variant variant : dealt) {
            // Laid out afresh: nothing is taken on trust from the one who dealt.
            Layout layout = Layout.of(variant.layout().job());
            assertThat(accepted).containsAll(Review.concerns(layout, Optional.empty()));
            assertInRange(layout.job().bend(), ranges);
        }
        List<Double> points =
                dealt.stream().map(each -> each.hardness().points()).toList();
        assertThat(Collections.max(points) - Collections.min(points)).isLessThanOrEqualTo(Hardness.EQUAL);
        for (int i = 0; i < CLASS; i++) {
            for (int j = i + 1; j <= Math.min(i + Variants.NEIGHBOURS, CLASS - 1); j++) {
                assertThat(dealt.get(i).isToldApartFrom(dealt.get(j)))
                        .as(i + " and " + j)
                        .isTrue();
            }
        }
        assertThat(bends(Variants.deal(job, _ -> Optional.empty(), ranges, seed, CLASS)))
                .isEqualTo(bends(dealt));
        assertThat(bends(Variants.deal(job, _ -> Optional.empty(), ranges, seed + 1, CLASS)))
                .isNotEqualTo(bends(dealt));
    }

    private static List<Bend> bends(List<Variant> variants) {
        return variants.stream().map(each -> each.layout().job().bend()).toList();
    }

    private static void assertInRange(Bend bend, List<InputRange> ranges) {
        for (Input input : Input.of(bend)) {
            for (InputRange range : ranges) {
                if (range.input().equals(input.path())) {
                    long steps = input.current().count() - range.from().count();
                    assertThat(steps % range.step().count()).isZero();
                    assertThat(input.current().count())
                            .isBetween(range.from().count(), range.to().count());
                }
            }
        }
    }

    @Test
    void fewVariants_areDealtAgain_butNeverToNeighbours() {
        Job job = job(BendKind.STUB_90, Method.CHART);
        List<InputRange> ranges = List.of(new InputRange(InputId.LEG.id(), inches(16.125), inches(19.125), inches(1)));
        List<Variant> dealt = Variants.deal(job, _ -> Optional.empty(), ranges, 5, 14);
        assertThat(dealt.stream().map(each -> each.layout().job().bend()).distinct())
                .hasSize(4);
        for (int i = 0; i + 2 < dealt.size(); i++) {
            assertThat(dealt.get(i)).isNotEqualTo(dealt.get(i + 1)).isNotEqualTo(dealt.get(i + 2));
        }
    }

    @Test
    void rangesThatHoldTooLittle_areRefused_withWhatToDo() {
        Job job = job(BendKind.STUB_90, Method.CHART);
        assertThatThrownBy(() -> Variants.deal(
                        job,
                        _ -> Optional.empty(),
                        List.of(new InputRange(InputId.LEG.id(), inches(17.5), inches(17.625), inches(0.125))),
                        1,
                        14))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("widen a range");
        assertThatThrownBy(() -> Variants.deal(job, _ -> Optional.empty(), List.of(), 1, 14))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Variants.deal(
                        job,
                        _ -> Optional.empty(),
                        List.of(new InputRange(InputId.RISE.id(), inches(3), inches(5), inches(1))),
                        1,
                        14))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("riseIn");
    }

    @Test
    void rangesThatAreNone_areRefused() {
        Quantity one = inches(1);
        assertThatThrownBy(() -> new InputRange(InputId.LEG.id(), inches(20), inches(10), one))
                .hasMessageContaining("smaller size first");
        assertThatThrownBy(() -> new InputRange(InputId.LEG.id(), inches(10), inches(20), Length.ZERO))
                .hasMessageContaining("more than 0");
        assertThatThrownBy(() -> new InputRange(InputId.LEG.id(), inches(10), inches(200), inches(0.0625)))
                .hasMessageContaining("larger step");
    }

    /** The column goes along with the distance to it; nothing but the saddle over it would fit otherwise. */
    @Test
    void obstacleOfASituation_goesAlongWithTheVariant() {
        Job job = job(BendKind.SADDLE_4, Method.CHART);
        List<InputRange> ranges = List.of(new InputRange(InputId.DISTANCE.id(), inches(34), inches(42), inches(0.5)));
        List<Variant> dealt = Variants.deal(job, bend -> Obstacle.of(Situation.ROUND_COLUMN, bend), ranges, 3, CLASS);
        assertThat(bends(dealt).stream().distinct()).hasSizeGreaterThan(10);
    }

    @Test
    void marksThatTellVariantsApart_areOutsideTheWidestTolerance() {
        assertThat(Variants.TOLD_APART)
                .isEqualTo(TolerancePreset.LEARNING.tolerances().length());
        Job job = job(BendKind.STUB_90, Method.CHART);
        List<InputRange> quarter = List.of(new InputRange(InputId.LEG.id(), inches(17.5), inches(17.75), inches(0.25)));
        assertThatThrownBy(() -> Variants.deal(job, _ -> Optional.empty(), quarter, 1, 2))
                .isInstanceOf(Refused.class);
    }
}
