package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.ClearancePreset;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

/** What schools do differently, and what comes of it. */
class SchoolChoicesTest {

    private static Layout layout(School school, Bend bend) {
        return Layout.of(new Job(bend, Jobs.threeQuarters(), school));
    }

    private static School chart() {
        return School.of(Method.CHART, TapeDivision.NONE);
    }

    private static Offset offset(double angle) {
        return new Offset(
                Length.ofInches(4),
                Length.ZERO,
                Angle.ofDegrees(angle),
                Length.ofInches(30),
                OffsetLayout.FROM_EDGE,
                Optional.empty());
    }

    private static Saddle3 saddle(Saddle3.Spacing spacing, Saddle3.Order order) {
        return new Saddle3(
                Length.ofInches(4),
                Length.ZERO,
                Angle.ofDegrees(22.5),
                Length.ofInches(40),
                spacing,
                order,
                Optional.empty());
    }

    private static double spacing(Layout layout) {
        return layout.marks().get(1).position().inches()
                - layout.marks().get(0).position().inches();
    }

    @Test
    void schoolThatSaysFourForFifteen_getsFour() {
        School four = new School(
                Method.CHART,
                MultiplierChart.USUAL.with(List.of(new MultiplierChart.Row(Angle.ofDegrees(15), 4, 0.125))),
                TapeDivision.NONE,
                RunLimits.USUAL);
        assertThat(spacing(layout(four, offset(15)))).isCloseTo(16, within(1e-9));
        assertThat(spacing(layout(chart(), offset(15)))).isCloseTo(15.6, within(1e-9));
        assertThat(four.chart().rows()).hasSize(6);
    }

    @Test
    void card_isCloseToTheExactFigures() {
        for (MultiplierChart.Row row : MultiplierChart.USUAL.rows()) {
            double theta = row.angle().radians();
            assertThat(row.multiplier()).isCloseTo(1 / Math.sin(theta), within(0.25));
            assertThat(row.shrinkPerInch()).isCloseTo(Math.tan(theta / 2), within(0.08));
        }
    }

    @Test
    void saddleByFactorOrByMultiplier() {
        assertThat(spacing(layout(chart(), saddle(Saddle3.Spacing.FACTOR, Saddle3.Order.CENTRE_FIRST))))
                .isCloseTo(10, within(1e-9));
        assertThat(spacing(layout(chart(), saddle(Saddle3.Spacing.COSECANT, Saddle3.Order.CENTRE_FIRST))))
                .isCloseTo(10.4, within(1e-9));
    }

    @Test
    void centreFirst_isTurnedEndForEndOnce_andPushThroughNever() {
        List<BendingStep> centreFirst = layout(chart(), saddle(Saddle3.Spacing.FACTOR, Saddle3.Order.CENTRE_FIRST))
                .steps();
        assertThat(centreFirst).extracting(step -> step.mark().number()).containsExactly(2, 3, 1);
        assertThat(centreFirst).extracting(BendingStep::endForEnd).containsExactly(false, false, true);
        assertThat(centreFirst).extracting(BendingStep::turn).containsExactly(Angle.ZERO, Angle.HALF_TURN, Angle.ZERO);
        List<BendingStep> pushed = layout(chart(), saddle(Saddle3.Spacing.FACTOR, Saddle3.Order.PUSH_THROUGH))
                .steps();
        assertThat(pushed).extracting(step -> step.mark().number()).containsExactly(1, 2, 3);
        assertThat(pushed).noneMatch(BendingStep::endForEnd);
        assertThat(pushed.getFirst().mark().placing()).isEqualTo(Placing.star(HookSide.DATUM));
        assertThat(pushed)
                .extracting(step -> ((ShoePlacing) step.mark().placing()).hookTowards())
                .containsOnly(HookSide.DATUM);
    }

    @Test
    void pushedThroughExactly_landsTheSameArcs() {
        School exact = School.of(Method.EXACT, TapeDivision.NONE);
        Layout one = layout(exact, saddle(Saddle3.Spacing.FACTOR, Saddle3.Order.CENTRE_FIRST));
        Layout other = layout(exact, saddle(Saddle3.Spacing.FACTOR, Saddle3.Order.PUSH_THROUGH));
        assertThat(other.marks().getFirst().position())
                .isNotEqualTo(one.marks().getFirst().position());
        for (int i = 0; i < 3; i++) {
            assertThat(other.predicted().straights().get(i).length().inches())
                    .isCloseTo(one.predicted().straights().get(i).length().inches(), within(1e-9));
        }
    }

    @Test
    void steps_turnTheConduitAndAllowForSpringback() {
        Shoe springy = new Shoe(
                Length.ofInches(6),
                Length.ofInches(5.125),
                Length.ofInches(3),
                Length.ofInches(2),
                Length.ofInches(6),
                Angle.ofDegrees(2));
        Tooling tooling = new Tooling(Jobs.threeQuarters().conduit(), springy);
        List<BendingStep> steps =
                Layout.of(new Job(offset(30), tooling, chart())).steps();
        assertThat(steps).extracting(BendingStep::turn).containsExactly(Angle.ZERO, Angle.HALF_TURN);
        assertThat(steps).allSatisfy(step -> {
            assertThat(step.rest()).isEqualTo(Angle.ofDegrees(30));
            assertThat(step.lever()).isEqualTo(Angle.ofDegrees(32));
        });
    }

    @Test
    void rollingOffset_isTurnedByItsRollOverItsRise() {
        RollingOffset rolling = new RollingOffset(
                Length.ofInches(3),
                Length.ofInches(4),
                Angle.ofDegrees(30),
                Length.ofInches(30),
                OffsetLayout.FROM_EDGE,
                Optional.empty());
        Layout layout = layout(School.of(Method.EXACT, TapeDivision.NONE), rolling);
        // 3-4-5: atan2(4, 3) = 53.1301°
        assertThat(layout.marks().getFirst().roll().degrees()).isCloseTo(53.1301, within(1e-4));
        assertThat(layout.steps().getFirst().turn().degrees()).isCloseTo(53.1301, within(1e-4));
        assertThat(layout.steps().get(1).turn()).isEqualTo(Angle.HALF_TURN);
        assertThat(predicted(layout, FeatureId.RISE)).isCloseTo(3, within(1e-6));
        assertThat(predicted(layout, FeatureId.ROLL)).isCloseTo(4, within(1e-6));
    }

    private static double predicted(Layout layout, FeatureId id) {
        Quantity value = layout.features().stream()
                .filter(feature -> feature.id().equals(id))
                .findFirst()
                .orElseThrow()
                .predicted();
        return ((Length) value).inches();
    }

    @Test
    void clearancePresets() {
        Length height = Length.ofInches(3.375);
        assertThat(ClearancePreset.NONE.over(height)).isEqualTo(Length.ZERO);
        assertThat(ClearancePreset.FINGER.over(height)).isEqualTo(Length.ofInches(0.75));
        assertThat(ClearancePreset.INCH.over(height)).isEqualTo(Length.ofInches(1));
        assertThat(ClearancePreset.WHOLE_INCH.over(height)).isEqualTo(Length.ofInches(0.625));
        assertThat(ClearancePreset.WHOLE_INCH.over(Length.ofInches(4))).isEqualTo(Length.ZERO);
    }
}
