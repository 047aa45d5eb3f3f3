package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import lobrik.bend.BendKind;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ClearanceTest {

    private static final double HALF = 0.461;

    @Test
    void straightConduitOverAPipe_hasTheGapOfTheirCentres() {
        Piece straight = Piece.simulate(Jobs.threeQuarters(), Length.ofInches(40), List.of());
        // The pipe of 2 in stands on the surface: its centre is 1 in up, the conduit's d/2.
        Clearance clearance = Clearance.of(straight, new Obstacle.Round(Length.ofInches(20), Length.ofInches(2)));
        assertThat(clearance.gap().inches()).isCloseTo((1 - HALF) - 1 - HALF, within(1e-9));
        assertThat(clearance.at().inches()).isCloseTo(20, within(1e-3));
    }

    @Test
    void conduitThatEndsBeforeADuct_isThatFarFromIt() {
        Piece straight = Piece.simulate(Jobs.threeQuarters(), Length.ofInches(40), List.of());
        Obstacle duct = new Obstacle.Rectangular(Length.ofInches(43), Length.ofInches(8), Length.ofInches(6));
        assertThat(Clearance.of(straight, duct).gap().inches()).isCloseTo(3 - HALF, within(1e-9));
    }

    /** The independent route: the distance from very many points on the centreline. */
    @ParameterizedTest
    @EnumSource(BendKind.class)
    void leastGap_isThatOfManyPoints(BendKind kind) {
        Random random = new Random(51);
        Jobs jobs = new Jobs(52);
        for (int i = 0; i < 40; i++) {
            Piece piece = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH))
                    .predicted();
            Length at = piece.length().times(0.2 + 0.6 * random.nextDouble());
            Obstacle.OnSurface obstacle = random.nextBoolean()
                    ? new Obstacle.Round(at, Length.ofInches(1 + 5 * random.nextDouble()))
                    : new Obstacle.Rectangular(
                            at,
                            Length.ofInches(1 + 12 * random.nextDouble()),
                            Length.ofInches(4 * random.nextDouble() + 0.1));
            double half = piece.tooling().conduit().outsideDiameter().inches() / 2;
            double least = Double.MAX_VALUE;
            for (int s = 0; s <= 20_000; s++) {
                Vector3 point = piece.at(piece.length().times(s / 20_000.0)).origin();
                least = Math.min(least, obstacle.distance(point.x(), point.y() + half) - half);
            }
            double gap = Clearance.of(piece, obstacle).gap().inches();
            assertThat(gap).isLessThanOrEqualTo(least + 1e-9).isCloseTo(least, within(0.02));
        }
    }

    @Test
    void distanceToARectangle_isSigned() {
        Obstacle.OnSurface duct = new Obstacle.Rectangular(Length.ofInches(10), Length.ofInches(4), Length.ofInches(3));
        assertThat(duct.distance(12, 5)).isEqualTo(2);
        assertThat(duct.distance(7, 1)).isEqualTo(3);
        assertThat(duct.distance(7, 7)).isEqualTo(5);
        assertThat(duct.distance(12, 2)).isEqualTo(-1);
    }
}
