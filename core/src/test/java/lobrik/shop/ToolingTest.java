package lobrik.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

class ToolingTest {

    private static final Tooling THREE_QUARTER_EMT = new Tooling(
            ConduitTable.conduit(ConduitMaterial.EMT, TradeSize.THREE_QUARTERS),
            HandBenderTable.forEmt(TradeSize.THREE_QUARTERS).orElseThrow());

    /** Worked by hand: e = 6 − 5.125 − 0.461; G = 10.25 + 0.922 − 8.05033; σ = 6 − G; ν = e + 2.01258. */
    @Test
    void figuresOfAPair_areThoseOfTheHandbook() {
        assertThat(THREE_QUARTER_EMT.shoe().orElseThrow().arrowLead().inches()).isCloseTo(0.414, within(1e-9));
        assertThat(THREE_QUARTER_EMT.gain().inches()).isCloseTo(3.12167, within(1e-5));
        assertThat(THREE_QUARTER_EMT.shoe().orElseThrow().starOffset().inches()).isCloseTo(2.87833, within(1e-5));
        assertThat(THREE_QUARTER_EMT.shoe().orElseThrow().notchOffset().inches())
                .isCloseTo(2.42658, within(1e-5));
    }

    @Test
    void starOffset_isAlsoLeadPlusWhatTheArcKeepsOfTheRadius() {
        // handbook 2: σ = e + (π/2 − 1)R − d/2
        double other = 0.414 + (Math.PI / 2 - 1) * 5.125 - 0.461;
        assertThat(THREE_QUARTER_EMT.shoe().orElseThrow().starOffset().inches()).isCloseTo(other, within(1e-9));
    }

    @Test
    void starOnALeg_andArrowOnLegLessTakeUp_bendTheSameArc() {
        Random random = new Random(7);
        for (int i = 0; i < 1000; i++) {
            Length radius = Length.ofInches(2 + 8 * random.nextDouble());
            Conduit conduit = new Conduit(Length.ofInches(0.5 + random.nextDouble()));
            Length takeUp =
                    radius.plus(conduit.outsideDiameter().times(0.5)).plus(Length.ofInches(random.nextDouble()));
            Tooling tooling = new Tooling(conduit, Shoe.of(takeUp, radius));
            Length leg = Length.ofInches(12 + 40 * random.nextDouble());

            Length byArrow = tooling.arcStart(leg.minus(takeUp), Placing.arrow(HookSide.DATUM), Angle.RIGHT);
            Length byStar = tooling.arcStart(leg, Placing.star(HookSide.FAR), Angle.RIGHT);

            assertThat(byStar.inches()).isCloseTo(byArrow.inches(), within(1e-9));
        }
    }

    @Test
    void notch_centresABendOf45AndNoOther() {
        for (double degrees : new double[] {22.5, 30, 45, 60}) {
            Angle angle = Angle.ofDegrees(degrees);
            Length start = THREE_QUARTER_EMT.arcStart(Length.ofInches(30), Placing.notch(HookSide.FAR), angle);
            double middle = start.inches() + THREE_QUARTER_EMT.arcLength(angle).inches() / 2;
            // handbook 2: the middle lands R(π/8 − θ/2) towards the hook
            double offCentre = 5.125 * (Math.PI / 8 - angle.radians() / 2);
            assertThat(middle - 30).isCloseTo(offCentre, within(1e-9));
        }
    }

    @Test
    void hookTheOtherWay_mirrorsTheArcAboutItsMark() {
        for (Reference reference : Reference.values()) {
            for (double degrees : new double[] {10, 30, 45, 90}) {
                Angle angle = Angle.ofDegrees(degrees);
                double arc = THREE_QUARTER_EMT.arcLength(angle).inches();
                double mark = 30;
                double towardsDatum = start(mark, reference, HookSide.DATUM, angle);
                double towardsFar = start(mark, reference, HookSide.FAR, angle);
                assertThat(towardsFar + arc - mark).isCloseTo(mark - towardsDatum, within(1e-9));
            }
        }
    }

    private static double start(double mark, Reference reference, HookSide hook, Angle angle) {
        return THREE_QUARTER_EMT
                .arcStart(Length.ofInches(mark), new ShoePlacing(reference, hook), angle)
                .inches();
    }

    @Test
    void gain_isNeverNegative() {
        Random random = new Random(9);
        for (int i = 0; i < 1000; i++) {
            Length radius = Length.ofInches(0.5 + 20 * random.nextDouble());
            Tooling tooling =
                    new Tooling(new Conduit(Length.ofInches(0.1 + 0.9 * random.nextDouble())), Shoe.of(radius, radius));
            assertThat(tooling.gain()).isGreaterThan(Length.ZERO);
        }
    }

    @Test
    void benderWithSeveralBadFigures_isToldAllOfThem() {
        Refused refused = Assertions.catchThrowableOfType(
                Refused.class,
                () -> new Shoe(
                        Length.ZERO,
                        Length.ofInches(-1),
                        Length.ofInches(-1),
                        Length.ZERO,
                        Length.ZERO,
                        Angle.ofDegrees(50)));
        assertThat(refused.isWellFormed()).isFalse();
        assertThat(refused.faults())
                .extracting(fault -> fault.input())
                .containsExactly("takeUpIn", "radiusIn", "minSpacingIn", "springbackDeg");
    }

    @Test
    void radiusInsideTheConduit_isRefused() {
        Refused refused = Assertions.catchThrowableOfType(
                Refused.class,
                () -> new Tooling(new Conduit(Length.ofInches(4)), Shoe.of(Length.ofInches(6), Length.ofInches(2))));
        assertThat(refused.faults()).extracting(fault -> fault.code()).containsExactly(FaultCode.RADIUS_TOO_SMALL);
    }
}
