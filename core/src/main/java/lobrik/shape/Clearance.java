package lobrik.shape;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * The least gap between a piece and an obstacle (handbook 4, checks), from the simulated shape.
 *
 * @param gap between the conduit's outside and the obstacle; negative where the conduit would have to pass through it
 * @param at where on the straight conduit, from the datum end
 */
public record Clearance(Length gap, Length at) {

    /** Enough that between two samples of an arc there is at most one place of least distance. */
    private static final double STEP_RADIANS = Math.toRadians(3);

    /** Golden section: each step keeps this much of the span, and 60 of them leave a trillionth. */
    private static final double KEPT = (Math.sqrt(5) - 1) / 2;

    private static final int NARROWINGS = 60;

    /**
     * Measures the gap.
     *
     * <p>On a straight the distance to a convex obstacle has one least place; arcs are sampled finely first. The obstacle
     * reaches without end to both sides, so only x and y count. Formula {@code least-gap}, handbook 4 (checks): least
     * centreline distance less {@code d/2}.
     */
    public static Clearance of(Piece piece, Obstacle obstacle) {
        return new Search(piece, obstacle).run();
    }

    private static final class Search {

        private final Piece piece;
        private final Obstacle obstacle;
        private final double half;
        private double least = Double.POSITIVE_INFINITY;
        private double leastAt;

        private Search(Piece piece, Obstacle obstacle) {
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
            return new Clearance(Length.ofInches(least - half), Length.ofInches(leastAt));
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

        /** From the centreline to the obstacle; the surface lies {@code d/2} below the datum leg's centreline. */
        private double distance(Segment segment, double part) {
            Vector3 point = segment.at(part).origin();
            return obstacle.distance(point.x(), point.y() + half);
        }
    }
}
