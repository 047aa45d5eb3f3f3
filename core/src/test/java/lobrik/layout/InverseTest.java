package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class InverseTest {

    private static OffsetInverse inverse(Method method) {
        return new OffsetInverse(Jobs.threeQuarters(), School.of(method, TapeDivision.NONE));
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void riseAndAngleOfMarks_comeBackAsTheyWereLaidOut(Method method) {
        Random random = new Random(61);
        for (int i = 0; i < 300; i++) {
            Length rise = Length.ofInches(3 + 9 * random.nextDouble());
            Angle angle =
                    Angle.ofDegrees(method == Method.CHART ? 20 + random.nextInt(2) : 10 + 30 * random.nextDouble());
            Layout layout = Layout.of(new Job(
                    new Offset(rise, Length.ZERO, angle, Length.ofInches(60), OffsetLayout.FROM_EDGE, Optional.empty()),
                    Jobs.threeQuarters(),
                    School.of(method, TapeDivision.NONE)));
            Length spacing =
                    layout.marks().get(1).position().minus(layout.marks().get(0).position());
            assertThat(inverse(method).rise(spacing, angle).inches()).isCloseTo(rise.inches(), within(1e-6));
            assertThat(inverse(method).angle(spacing, rise).degrees()).isCloseTo(angle.degrees(), within(1e-6));
        }
    }

    /** Worked by hand for R 5.125, L 6, θ 30°: (6 − 2.68344)·0.5 + 10.25·0.1339746 = 3.03152. */
    @Test
    void riseOfMarks_isTheHandbooksFormula() {
        assertThat(inverse(Method.EXACT)
                        .rise(Length.ofInches(6), Angle.ofDegrees(30))
                        .inches())
                .isCloseTo(3.03152, within(1e-5));
        assertThat(inverse(Method.CHART)
                        .rise(Length.ofInches(6), Angle.ofDegrees(30))
                        .inches())
                .isCloseTo(3, within(1e-9));
    }

    @Test
    void marksTooClose_areToldTheLeastSpacing() {
        Refused close = catchThrowableOfType(
                Refused.class, () -> inverse(Method.EXACT).angle(Length.ofInches(3), Length.ofInches(4)));
        assertThat(close.isWellFormed()).isTrue();
        assertThat(close.faults()).extracting(Fault::code).containsExactly(FaultCode.SPACING_IMPOSSIBLE);
        assertThat(catchThrowableOfType(
                                Refused.class,
                                () -> inverse(Method.EXACT).rise(Length.ofInches(2), Angle.ofDegrees(30)))
                        .faults())
                .extracting(Fault::code)
                .containsExactly(FaultCode.ARCS_OVERLAP);
    }

    /** The independent route: the distance between the slopes of two simulated conduits, one beside the other. */
    @Test
    void parallelRuns_keepTheirDistanceAlongTheSlope() {
        Length spacing = Length.ofInches(2.5);
        Job first = new Job(
                new Offset(
                        Length.ofInches(6),
                        Length.ZERO,
                        Angle.ofDegrees(30),
                        Length.ofInches(40),
                        OffsetLayout.FROM_EDGE,
                        Optional.empty()),
                Jobs.threeQuarters(),
                School.of(Method.EXACT, TapeDivision.NONE));
        List<Layout> runs = Alongside.of(first, spacing, 4);
        for (int i = 1; i < runs.size(); i++) {
            Segment.Straight slope = runs.get(i - 1).predicted().straights().get(1);
            // The next conduit lies below, away from the rise.
            Vector3 next =
                    runs.get(i).predicted().straights().get(1).start().origin().minus(new Vector3(0, 2.5, 0));
            Vector3 across = next.minus(slope.start().origin());
            double along = across.dot(slope.start().along());
            assertThat(across.minus(slope.start().along().times(along)).norm()).isCloseTo(2.5, within(1e-6));
        }
    }

    @Test
    void parallelRunsThatCannotBe_areRefused() {
        Job stub = new Job(
                new Stub90(Length.ofInches(20), Optional.empty(), Placement.ARROW),
                Jobs.threeQuarters(),
                School.of(Method.EXACT, TapeDivision.NONE));
        assertThat(catchThrowableOfType(Refused.class, () -> Alongside.of(stub, Length.ofInches(2), 2))
                        .isWellFormed())
                .isTrue();
        assertThat(catchThrowableOfType(Refused.class, () -> Alongside.of(stub, Length.ofInches(0.5), 0))
                        .faults())
                .extracting(Fault::input)
                .containsExactly("centreSpacingIn", "count");
    }
}
