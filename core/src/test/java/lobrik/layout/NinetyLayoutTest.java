package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.BackToBack90;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class NinetyLayoutTest {

    private static final Tooling TOOLING =
            new Tooling(new Conduit(Length.ofInches(0.922)), Shoe.of(Length.ofInches(6), Length.ofInches(5.125)));

    private static Layout layout(double leg, Double otherLeg, Placement placement, TapeDivision division) {
        Optional<Length> other = Optional.ofNullable(otherLeg).map(Length::ofInches);
        return Layout.of(new Job(
                new Stub90(Length.ofInches(leg), other, placement), TOOLING, School.of(Method.EXACT, division)));
    }

    private static List<Fault> review(Layout layout) {
        return Review.of(layout.job(), Optional.empty()).warnings().stream()
                .map(Warning::fault)
                .toList();
    }

    private static PlannedFeature feature(Layout layout, FeatureId id) {
        return layout.features().stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static List<FaultCode> warnings(Layout layout) {
        return review(layout).stream().map(Fault::code).toList();
    }

    @Test
    void stub_markedByTheArrow_hasItsMarkATakeUpShort() {
        Layout layout = layout(17.625, 22.0, Placement.ARROW, TapeDivision.NONE);
        Mark mark = layout.marks().getFirst();
        assertThat(mark.position()).isEqualTo(Length.ofInches(11.625));
        assertThat(mark.placing()).isEqualTo(Placing.arrow(HookSide.DATUM));
        assertThat(layout.cutLength().orElseThrow().inches()).isCloseTo(36.5033, within(1e-4));
        assertThat(review(layout)).isEmpty();
    }

    @Test
    void stub_markedByTheStar_landsItsBackOnTheMark() {
        Layout layout = layout(17.625, 22.0, Placement.STAR, TapeDivision.NONE);
        Mark mark = layout.marks().getFirst();
        assertThat(mark.position()).isEqualTo(Length.ofInches(17.625));
        assertThat(mark.placing()).isEqualTo(Placing.star(HookSide.FAR));
        assertThat(inches(feature(layout, FeatureId.LEG).predicted())).isCloseTo(17.625, within(1e-9));
    }

    private static double inches(Quantity quantity) {
        return ((Length) quantity).inches();
    }

    @ParameterizedTest
    @EnumSource(Placement.class)
    void layoutWithoutRounding_predictsEveryTarget(Placement placement) {
        Random random = new Random(8);
        for (int i = 0; i < 2000; i++) {
            Layout layout =
                    layout(6 + 40 * random.nextDouble(), 6 + 40 * random.nextDouble(), placement, TapeDivision.NONE);
            assertThat(layout.features()).hasSize(4).allSatisfy(feature -> {
                double scale = feature.asked() instanceof Length ? 25.4e9 : 1e9;
                assertThat(feature.predicted().minus(feature.asked()).count() / scale)
                        .isCloseTo(0, within(1e-6));
            });
        }
    }

    @Test
    void roundedMark_isOnALineOfTheTape_andThePredictionIsOffByNoMoreThanHalfADivision() {
        Random random = new Random(12);
        for (int i = 0; i < 1000; i++) {
            Layout layout = layout(8 + 30 * random.nextDouble(), null, Placement.ARROW, TapeDivision.SIXTEENTH);
            Length position = layout.marks().getFirst().position();
            assertThat(position.nearest(TapeDivision.SIXTEENTH)).isEqualTo(position);
            PlannedFeature leg = feature(layout, FeatureId.LEG);
            assertThat(Math.abs(inches(leg.predicted().minus(leg.asked())))).isLessThanOrEqualTo(1.0 / 32 + 1e-9);
        }
    }

    @Test
    void openFarEnd_hasNoCutLengthAndNoOtherLeg() {
        Layout layout = layout(17.625, null, Placement.ARROW, TapeDivision.SIXTEENTH);
        assertThat(layout.cutLength()).isEmpty();
        assertThat(layout.features())
                .extracting(PlannedFeature::id)
                .containsExactly(FeatureId.mark(1), FeatureId.LEG, FeatureId.angle(1));
        assertThat(feature(layout, FeatureId.angle(1)).predicted()).isEqualTo(Angle.RIGHT);
    }

    @Test
    void cutLength_growsInStepWithEitherLeg() {
        double base = layout(15, 20.0, Placement.ARROW, TapeDivision.NONE)
                .cutLength()
                .orElseThrow()
                .inches();
        double longer = layout(16, 21.0, Placement.STAR, TapeDivision.NONE)
                .cutLength()
                .orElseThrow()
                .inches();
        assertThat(longer - base).isCloseTo(2, within(1e-9));
    }

    @Test
    void stubTooShortForTheShoe_isWarnedWithTheLegThatWorks() {
        Layout layout = layout(7, 20.0, Placement.ARROW, TapeDivision.SIXTEENTH);
        assertThat(warnings(layout)).containsExactly(FaultCode.GRIP_TOO_SHORT);
        assertThat(review(layout).getFirst().message()).contains("1 in", "2 in", "8 in", "star");
        assertThat(warnings(layout(8, 20.0, Placement.ARROW, TapeDivision.SIXTEENTH)))
                .isEmpty();
        assertThat(warnings(layout(20, 7.0, Placement.STAR, TapeDivision.SIXTEENTH)))
                .containsExactly(FaultCode.GRIP_TOO_SHORT);
    }

    @Test
    void partUnderTheFootTooShort_isWarned() {
        assertThat(warnings(layout(20, 9.0, Placement.ARROW, TapeDivision.SIXTEENTH)))
                .containsExactly(FaultCode.STANDING_TOO_SHORT);
        assertThat(warnings(layout(9, 20.0, Placement.STAR, TapeDivision.SIXTEENTH)))
                .containsExactly(FaultCode.STANDING_TOO_SHORT);
    }

    @Test
    void pieceLongerThanAStick_isWarned() {
        assertThat(warnings(layout(60, 64.0, Placement.ARROW, TapeDivision.SIXTEENTH)))
                .containsExactly(FaultCode.LONGER_THAN_STICK);
    }

    @Test
    void benderFiguresThatContradictEachOther_areWarned() {
        Tooling odd =
                new Tooling(new Conduit(Length.ofInches(0.922)), Shoe.of(Length.ofInches(5), Length.ofInches(5.125)));
        Layout layout = Layout.of(new Job(
                new Stub90(Length.ofInches(20), Optional.empty(), Placement.ARROW),
                odd,
                School.of(Method.CHART, TapeDivision.SIXTEENTH)));
        assertThat(warnings(layout)).containsExactly(FaultCode.ARROW_LEAD_NEGATIVE);
    }

    @Test
    void legShorterThanTheBend_cannotBeLaidOut() {
        assertImpossible(5.5, 20.0, Placement.ARROW, FaultCode.LEG_SHORTER_THAN_BEND);
        assertImpossible(20, 5.5, Placement.STAR, FaultCode.LEG_SHORTER_THAN_BEND);
        assertImpossible(5.8, 20.0, Placement.ARROW, FaultCode.MARK_OFF_CONDUIT);
        assertThat(layout(5.8, 20.0, Placement.STAR, TapeDivision.NONE).marks()).hasSize(1);
    }

    @Test
    void roundingThatTakesTheLastOfTheRoom_isToldOfTheLeg() {
        // the bend takes 5.586 in; the nearest sixteenth is 5.5625
        Refused refused =
                catchThrowableOfType(Refused.class, () -> layout(5.587, 20.0, Placement.STAR, TapeDivision.SIXTEENTH));
        assertThat(refused.isWellFormed()).isTrue();
        assertThat(refused.faults()).extracting(Fault::input).containsExactly("bend/legIn");
        assertThat(layout(5.587, 20.0, Placement.STAR, TapeDivision.NONE).marks())
                .hasSize(1);
    }

    private static void assertImpossible(double leg, Double other, Placement placement, FaultCode code) {
        Refused refused =
                catchThrowableOfType(Refused.class, () -> layout(leg, other, placement, TapeDivision.SIXTEENTH));
        assertThat(refused.isWellFormed()).isTrue();
        assertThat(refused.faults()).extracting(Fault::code).containsExactly(code);
    }

    @Test
    void legsOutOfRange_areAllTold() {
        Refused refused = catchThrowableOfType(
                Refused.class, () -> new Stub90(Length.ZERO, Optional.of(Length.ofInches(481)), Placement.ARROW));
        assertThat(refused.isWellFormed()).isFalse();
        assertThat(refused.faults()).extracting(Fault::input).containsExactly("legIn", "otherLegIn");
    }

    /** Worked by hand for d .706, R 4.25, T 5: G = 9.206 − 6.67588 = 2.53012. */
    @Test
    void u_hasItsSecondMarkAGainShortOfTheSecondBack() {
        Tooling half =
                new Tooling(new Conduit(Length.ofInches(0.706)), Shoe.of(Length.ofInches(5), Length.ofInches(4.25)));
        Layout layout = Layout.of(new Job(
                new BackToBack90(Length.ofInches(9.5), Length.ofInches(27.25), Length.ofInches(13)),
                half,
                School.of(Method.CHART, TapeDivision.NONE)));
        assertThat(layout.marks().get(1).position().inches()).isCloseTo(9.5 - 2.53012 + 27.25, within(1e-4));
        assertThat(layout.cutLength().orElseThrow().inches()).isCloseTo(49.75 - 5.06024, within(1e-4));
        assertThat(inches(feature(layout, FeatureId.BETWEEN).predicted())).isCloseTo(27.25, within(1e-9));
    }

    @Test
    void u_isBentFromItsShorterLeg() {
        assertThat(orders(10, 14)).containsExactly(1, 2);
        assertThat(orders(14, 10)).containsExactly(2, 1);
    }

    private static List<Integer> orders(double first, double second) {
        Job job = new Job(
                new BackToBack90(Length.ofInches(first), Length.ofInches(20), Length.ofInches(second)),
                TOOLING,
                School.of(Method.CHART, TapeDivision.SIXTEENTH));
        return Layout.of(job).marks().stream().map(Mark::order).toList();
    }

    @Test
    void u_narrowerThanItsBends_isToldTheLeastWidth() {
        Job job = new Job(
                new BackToBack90(Length.ofInches(12), Length.ofInches(8), Length.ofInches(12)),
                TOOLING,
                School.of(Method.CHART, TapeDivision.SIXTEENTH));
        Refused refused = catchThrowableOfType(Refused.class, () -> Review.of(job, Optional.empty()));
        assertThat(refused.faults()).extracting(Fault::input).containsExactly("bend/betweenIn");
        // two bends of 5.586 in: 11 3/16 in is the first sixteenth with room for both
        assertThat(refused.getMessage()).contains("make the distance back to back 11 3/16 in");
    }
}
