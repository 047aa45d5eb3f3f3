package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Saddle3;
import lobrik.bend.Stub90;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.Former;
import lobrik.shop.ToolKind;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What else would do at the same place (handbook, choosing the angle). */
class AlternativesTest {

    private static Job job(Bend bend) {
        return new Job(bend, Jobs.threeQuarters(), School.of(Method.EXACT, TapeDivision.SIXTEENTH));
    }

    private static Offset offset(double rise) {
        return new Offset(
                Length.ofInches(rise),
                Length.ZERO,
                Angle.ofDegrees(30),
                Length.ofInches(60),
                OffsetLayout.BEFORE_OBSTACLE,
                Optional.empty());
    }

    private static List<Alternative> of(Bend bend) {
        return Alternatives.of(job(bend), Optional.empty(), Alternatives.USUAL_FRICTION, List.of());
    }

    private static Alternative.Takes takes(Alternative alternative) {
        return ((Alternative.Result.Fits) alternative.result()).takes();
    }

    @Test
    void everyUsualAngle_isLaidOut_andTheOneThatIsAskedForIsMarked() {
        List<Alternative> all = of(offset(6));
        assertThat(all)
                .extracting(each -> ((Alternative.Of.Steepness) each.of()).angle())
                .containsExactly(
                        Angle.ofDegrees(10),
                        Angle.ofDegrees(15),
                        Angle.ofDegrees(22.5),
                        Angle.ofDegrees(30),
                        Angle.ofDegrees(45),
                        Angle.ofDegrees(60));
        assertThat(all)
                .filteredOn(Alternative::isCurrent)
                .singleElement()
                .satisfies(now -> assertThat(now.bend()).isEqualTo(offset(6)));
    }

    /** By hand for 6 in at 45° on a radius of 5.125: 2R(1 − cos θ) = 3.0021, t = 2.9979/sin θ = 4.2397. */
    @Test
    void whatAnAngleTakes_isTheGeometryOfItsCurves() {
        Alternative.Takes takes = takes(of(offset(6)).get(4));
        double radius = 5.125;
        double straight = (6 - 2 * radius * (1 - Math.cos(Math.PI / 4))) / Math.sin(Math.PI / 4);
        double along = 2 * radius * Math.sin(Math.PI / 4) + straight * Math.cos(Math.PI / 4);
        double conduit = 2 * radius * Math.PI / 4 + straight;
        assertThat(takes.along().inches()).isCloseTo(along, within(0.05));
        assertThat(takes.conduit().inches()).isCloseTo(conduit, within(0.05));
        assertThat(takes.shrink().inches()).isCloseTo(conduit - along, within(1e-6));
        assertThat(takes.degrees()).isEqualTo(Angle.ofDegrees(90));
        assertThat(takes.pull()).isCloseTo(Math.exp(0.4 * Math.PI / 2), within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(
            value = BendKind.class,
            names = {"OFFSET", "ROLLING_OFFSET", "SADDLE_4", "KICK"})
    void steeperBends_takeLessRoom_andPullHarder(BendKind kind) {
        for (ToolKind tool : ToolKind.values()) {
            Job job = new Jobs(71).next(kind, tool, Method.EXACT, TapeDivision.NONE);
            double room = Double.MAX_VALUE;
            double pull = 0;
            for (Alternative each : Alternatives.of(job, Optional.empty(), 0.4, List.of())) {
                if (each.of() instanceof Alternative.Of.Steepness
                        && each.result() instanceof Alternative.Result.Fits fits) {
                    // A kick's run ends with its leg, so there is no room to compare.
                    if (kind != BendKind.KICK) {
                        assertThat(fits.takes().along().inches()).isLessThan(room);
                        room = fits.takes().along().inches();
                    }
                    assertThat(fits.takes().pull()).isGreaterThan(pull);
                    pull = fits.takes().pull();
                }
            }
            assertThat(pull).isGreaterThan(1);
        }
    }

    @Test
    void angleThatCannotBeBent_saysWhy() {
        Alternative steep = of(offset(2)).get(5);
        assertThat(steep.result())
                .isInstanceOfSatisfying(
                        Alternative.Result.Impossible.class,
                        impossible -> assertThat(impossible.fault().reason())
                                .contains("a rise of 2 in cannot be bent at 60°"));
    }

    @Test
    void waysOfWorking_areCompared_andWhatWasMeasuredToIsNot() {
        Saddle3 saddle = new Saddle3(
                Length.ofInches(3),
                Length.ofInches(1),
                Angle.ofDegrees(22.5),
                Length.ofInches(40),
                Saddle3.Spacing.FACTOR,
                Saddle3.Order.CENTRE_FIRST,
                Optional.empty());
        assertThat(of(saddle).stream()
                        .flatMap(each -> each.of() instanceof Alternative.Of.Way way
                                ? Stream.of(way.choice() + " " + way.option() + " " + each.isCurrent())
                                : Stream.empty()))
                .containsExactly(
                        "spacing factor true",
                        "spacing cosecant false",
                        "order centreFirst true",
                        "order pushThrough false");
        assertThat(of(offset(6)))
                .allSatisfy(each -> assertThat(each.of()).isInstanceOf(Alternative.Of.Steepness.class));
    }

    @Test
    void otherTools_areCompared_onTheirOwnConduit() {
        Tooling heat = new Tooling(
                new Conduit(Length.ofInches(1.05)),
                new Former(Length.ofInches(5), Length.ofInches(3), Former.Support.NONE));
        Stub90 stub = new Stub90(Length.ofInches(16), Optional.empty(), Placement.ARROW);
        List<Alternative> all = Alternatives.of(job(stub), Optional.empty(), 0.4, List.of(heat));
        Alternative last = all.getLast();
        assertThat(last.of()).isEqualTo(new Alternative.Of.OtherTool(0));
        assertThat(last.tooling()).isEqualTo(heat);
        assertThat(takes(last).conduit().inches()).isCloseTo(5 * Math.PI / 2, within(1e-6));
    }

    @Test
    void marksThatFallOnLines_areToldFromThoseThatDoNot() {
        Stub90 byTheArrow = new Stub90(Length.ofInches(16), Optional.empty(), Placement.ARROW);
        assertThat(of(byTheArrow))
                .allSatisfy(each -> assertThat(takes(each).isOnLines()).isTrue());
        assertThat(takes(of(offset(6)).get(3)).isOnLines()).isFalse();
    }

    @Test
    void sentence_weighsRoomAgainstPull_ofWhatIsFree() {
        String said = new AlternativeWords(of(offset(6)), LengthUnit.INCH).sentence();
        assertThat(said)
                .startsWith("Room against pull: 10° takes 34 7/8 in along the wall and wire pulls 1.15 times")
                .contains("; 45° takes ")
                .endsWith("and pulls 1.87 times.");
        Stub90 ninety = new Stub90(Length.ofInches(16), Optional.empty(), Placement.ARROW);
        assertThat(new AlternativeWords(of(ninety), LengthUnit.INCH).sentence())
                .isEqualTo("The angle of this bend is given: what can be chosen is how it is made.");
        assertThat(new AlternativeWords(of(offset(0.1)), LengthUnit.INCH).sentence())
                .isEqualTo("No other angle fits here.");
    }
}
