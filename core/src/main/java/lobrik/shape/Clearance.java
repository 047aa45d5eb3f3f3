package lobrik.shape;

import java.util.Comparator;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * The least gap between a piece and an obstacle (handbook 4, checks), from the simulated shape.
 *
 * @param gap between the conduit's outside and the obstacle; negative where the conduit would have to pass through it
 * @param at where on the straight conduit, from the datum end
 * @param from what it is the gap to
 */
public record Clearance(Length gap, Length at, Obstacle.Called from) {

    /** Enough that between two samples of an arc there is at most one place of least distance. */
    private static final double STEP_RADIANS = Math.toRadians(3);

    /** Golden section: each step keeps this much of the span, and 60 of them leave a trillionth. */
    private static final double KEPT = (Math.sqrt(5) - 1) / 2;

    private static final int NARROWINGS = 60;

    /**
     * Measures the gap.
     *
     * <p>On a straight the distance to a convex obstacle has one least place; arcs are sampled finely first. Formula {@code least-gap}, handbook 4 (checks): least
     * centreline distance less {@code d/2}.
     */
    public static Clearance of(Piece piece, Obstacle obstacle) {
        return each(piece, obstacle).stream()
                .min(Comparator.comparing(Clearance::spare))
                .orElseThrow();
    }

    /** The gap to each of what is to be cleared, in its order. */
    public static List<Clearance> each(Piece piece, Obstacle obstacle) {
        return obstacle.parts().stream()
                .map(part -> new Search(piece, part).run())
                .toList();
    }

    /** Whether more is touched than rounded marks and walls that are not true account for. */
    public boolean isTouched() {
        return spare().isNegative();
    }

    private Length spare() {
        return gap.minus(from.touching());
    }

    private static final class Search {

        private final Piece piece;
        private final Obstacle.Part obstacle;
        private final double half;
        private double least = Double.POSITIVE_INFINITY;
        private double leastAt;

        private Search(Piece piece, Obstacle.Part obstacle) {
            this.piece = piece;
            this.obstacle = obstacle;
            this.half = piece.tooling().conduit().outsideDiameter().inches() / 2;
        }

        private Clearance run() {
            double from = 0;
            for (int i = 0; i < piece.straights().size(); i++) {
                Segment.Straight straight = piece.straights().get(i);
                from = search(straight, 1, from);
                if (i < piece.arcs().size()) {
                    Segment.Arc arc = piece.arcs().get(i);
                    from = search(arc, steps(arc.angle()), from);
                }
            }
            return new Clearance(Length.ofInches(least - half), Length.ofInches(leastAt), obstacle.called());
        }

        private static int steps(Angle angle) {
            return Math.max(1, (int) Math.ceil(angle.radians() / STEP_RADIANS));
        }

        /** Searches a segment; returns where the next begins. */
        private double search(Segment segment, int steps, double from) {
            double length = segment.length().inches();
            int best = 0;
            double bestDistance = Double.POSITIVE_INFINITY;
            for (int step = 0; step <= steps; step++) {
                double distance = distance(segment, (double) step / steps);
                if (distance < bestDistance) {
                    bestDistance = distance;
                    best = step;
                }
            }
            narrow(segment, Math.max(0, best - 1) / (double) steps, Math.min(steps, best + 1) / (double) steps, from);
            return from + length;
        }

        private void narrow(Segment segment, double from, double to, double segmentStart) {
            double low = from;
            double high = to;
            double a = high - KEPT * (high - low);
            double b = low + KEPT * (high - low);
            double atA = distance(segment, a);
            double atB = distance(segment, b);
            for (int i = 0; i < NARROWINGS; i++) {
                if (atA <= atB) {
                    high = b;
                    b = a;
                    atB = atA;
                    a = high - KEPT * (high - low);
                    atA = distance(segment, a);
                } else {
                    low = a;
                    a = b;
                    atA = atB;
                    b = low + KEPT * (high - low);
                    atB = distance(segment, b);
                }
            }
            take(segment, from, segmentStart);
            take(segment, to, segmentStart);
            take(segment, (low + high) / 2, segmentStart);
        }

        private void take(Segment segment, double part, double segmentStart) {
            double distance = distance(segment, part);
            if (distance < least) {
                least = distance;
                leastAt = segmentStart + part * segment.length().inches();
            }
        }

        /** From the centreline to the obstacle. */
        private double distance(Segment segment, double part) {
            return obstacle.distance(segment.at(part).origin(), half);
        }
    }
}
