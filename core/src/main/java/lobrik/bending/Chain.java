package lobrik.bending;

import java.util.ArrayList;
import java.util.List;
import lobrik.shape.BendMade;
import lobrik.shop.Tooling;

/**
 * What lies to one side of a bend that is in the shoe: the conduit from where the curve ends, outwards, with the bends of it that are
 * made. Coordinates are inches: x outwards along the conduit, y towards the centre of the curve, z square to both.
 *
 * @param first how long the straight beside the shoe is
 * @param points beyond that straight, in the order in which the conduit runs
 */
record Chain(double first, List<Point> points) {

    /**
     * How closely points lie.
     *
     * @param apart on a straight, inches
     * @param onArc how many parts each curve is in
     */
    record Fineness(double apart, int onArc) {

        /** So that nothing that stands in the way is overlooked. */
        static final Fineness LOOKED_AT = new Fineness(3, 4);

        /** So that it looks round; a straight is its ends. */
        static final Fineness DRAWN = new Fineness(Double.POSITIVE_INFINITY, 8);
    }

    /** A place of the centreline. */
    record Point(double x, double y, double z) {}

    Chain {
        points = List.copyOf(points);
    }

    /**
     * The conduit to one side of a bend.
     *
     * @param bend in the shoe, from 0
     * @param far whether towards the far end
     * @param made the bends that are made, by a bit for each number; those on the other side do not matter
     */
    static Chain of(
            Tooling tooling, double length, List<BendMade> bends, int bend, boolean far, int made, Fineness fineness) {
        return new Walk(tooling, length, bends, bend, far, fineness).go(made);
    }

    /** Goes outwards with a frame that is carried along without twist. */
    private static final class Walk {

        private final Tooling tooling;
        private final double length;
        private final List<BendMade> bends;
        private final int bend;
        private final boolean far;
        private final Fineness fineness;
        private final List<Point> points = new ArrayList<>();
        private final double[] at = {0, 0, 0};
        private double[] along = {1, 0, 0};
        private double[] up = {0, 1, 0};
        private double first = -1;

        Walk(Tooling tooling, double length, List<BendMade> bends, int bend, boolean far, Fineness fineness) {
            this.tooling = tooling;
            this.length = length;
            this.bends = bends;
            this.bend = bend;
            this.far = far;
            this.fineness = fineness;
        }

        Chain go(int made) {
            double here = far ? end(bend) : start(bend);
            for (int i = far ? bend + 1 : bend - 1; i >= 0 && i < bends.size(); i += far ? 1 : -1) {
                if ((made >> i & 1) == 1) {
                    straight(Math.abs((far ? start(i) : end(i)) - here));
                    arc(bends.get(i));
                    here = far ? end(i) : start(i);
                }
            }
            straight(far ? length - here : here);
            return new Chain(first, points);
        }

        private double start(int i) {
            BendMade made = bends.get(i);
            return tooling.arcStart(made.position(), made.placing(), made.angle())
                    .inches();
        }

        private double end(int i) {
            return start(i) + tooling.arcLength(bends.get(i).angle()).inches();
        }

        /** The straight beside the shoe is where it has to be; of others there are points. */
        private void straight(double inches) {
            int parts = first < 0 ? 1 : Math.max(1, (int) Math.ceil(inches / fineness.apart()));
            for (int part = 0; part < parts; part++) {
                for (int axis = 0; axis < 3; axis++) {
                    at[axis] += along[axis] * inches / parts;
                }
                if (first >= 0) {
                    point(at);
                }
            }
            if (first < 0) {
                first = inches;
            }
        }

        /** In the frame of {@code lobrik.shape}; seen from the other end, rolls run the other way. */
        private void arc(BendMade made) {
            double roll = made.roll().minus(bends.get(bend).roll()).radians() * (far ? 1 : -1);
            double[] side = cross(along, up);
            double[] normal = sum(up, Math.cos(roll), side, Math.sin(roll));
            double radius = tooling.tool().radius().inches();
            double theta = made.angle().radians();
            double[] from = at.clone();
            for (int part = 1; part <= fineness.onArc(); part++) {
                double turned = theta * part / fineness.onArc();
                double[] moved = sum(along, radius * Math.sin(turned), normal, radius * (1 - Math.cos(turned)));
                for (int axis = 0; axis < 3; axis++) {
                    at[axis] = from[axis] + moved[axis];
                }
                point(at);
            }
            double inPlane = Math.cos(roll);
            double[] newNormal = sum(normal, Math.cos(theta), along, -Math.sin(theta));
            double[] across = sum(up, 1, normal, -inPlane);
            along = sum(along, Math.cos(theta), normal, Math.sin(theta));
            up = sum(across, 1, newNormal, inPlane);
        }

        private void point(double[] place) {
            points.add(new Point(place[0], place[1], place[2]));
        }

        private static double[] sum(double[] one, double times, double[] other, double otherTimes) {
            return new double[] {
                one[0] * times + other[0] * otherTimes,
                one[1] * times + other[1] * otherTimes,
                one[2] * times + other[2] * otherTimes
            };
        }

        private static double[] cross(double[] a, double[] b) {
            return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
        }
    }
}
