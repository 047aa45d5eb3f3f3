package lobrik.bending;

import lobrik.shop.Tooling;

/**
 * A bend while it is made, from straight to its angle under the lever. What is on the hook's side is held by the shoe and turns with
 * it and with the lever; what is on the heel's side lies still on the floor, or in the air is pulled down.
 */
final class Swing {

    private static final int STEPS = 6;

    private final Workplace place;
    private final double half;
    private final double radius;
    private final double lever;
    private final double near;

    /** By step: how much of the curve is still straight, and sine and cosine of how far it is bent and of how the lever leans. */
    private final double[] straight = new double[STEPS + 1];

    private final double[] sin = new double[STEPS + 1];
    private final double[] cos = new double[STEPS + 1];
    private final double[] leanSin = new double[STEPS + 1];
    private final double[] leanCos = new double[STEPS + 1];

    /** @param angle under the lever, radians */
    Swing(Workplace place, Tooling tooling, double angle) {
        this.place = place;
        this.half = tooling.conduit().outsideDiameter().inches() / 2;
        this.radius = tooling.tool().radius().inches();
        this.lever = place.lever().inches();
        this.near = place.besideLever().inches() + half;
        for (int step = 0; step <= STEPS; step++) {
            double phi = angle * step / STEPS;
            double lean = phi - place.uprightAt().radians();
            straight[step] = radius * (angle - phi);
            sin[step] = Math.sin(phi);
            cos[step] = Math.cos(phi);
            leanSin[step] = Math.sin(lean);
            leanCos[step] = Math.cos(lean);
        }
    }

    /** What the conduit on one side leaves free. */
    Room of(Chain chain, Stance stance, boolean heel) {
        return switch (stance) {
            case ON_THE_FLOOR -> heel ? onTheFloor(chain) : rising(chain);
            case IN_THE_AIR -> heel ? pulledDown(chain) : held(chain);
        };
    }

    /** The heel's side lies still; the lever swings over it, about a centre that comes nearer as the curve grows. */
    private Room onTheFloor(Chain chain) {
        double lowest = Double.POSITIVE_INFINITY;
        double highest = 2 * half;
        for (Chain.Point point : chain.points()) {
            lowest = Math.min(lowest, point.y());
            highest = Math.max(highest, point.y() + 2 * half);
        }
        Touched touched = new Touched();
        for (Chain.Point point : chain.points()) {
            if (Math.abs(point.z()) < near) {
                swungOver(point, touched);
            }
        }
        return touched.room(lowest, highest);
    }

    private void swungOver(Chain.Point point, Touched touched) {
        double before = Double.NaN;
        double y = point.y() - radius;
        for (int step = 0; step <= STEPS; step++) {
            double x = point.x() + straight[step];
            double along = x * leanSin[step] + y * leanCos[step];
            double off = x * leanCos[step] - y * leanSin[step];
            touched.by(along, off, before, point.z());
            before = off;
        }
    }

    /** The hook's side turns with shoe and lever, which stands to it as at the beginning, and rises. */
    private Room rising(Chain chain) {
        Touched touched = new Touched();
        double stands = Math.PI / 2 - place.uprightAt().radians();
        double highest = highest(chain.first(), 0, 0);
        for (Chain.Point point : chain.points()) {
            double y = point.y() - radius;
            double along = point.x() * Math.cos(stands) + y * Math.sin(stands);
            double off = y * Math.cos(stands) - point.x() * Math.sin(stands);
            touched.by(along, off, Double.NaN, -point.z());
            highest = highest(point.x(), point.y(), highest);
        }
        return touched.room(Double.POSITIVE_INFINITY, highest);
    }

    private double highest(double x, double y, double before) {
        double highest = before;
        for (int step = 0; step <= STEPS; step++) {
            double height = 2 * half + radius + x * sin[step] + (y - radius) * cos[step];
            highest = Math.max(highest, height);
        }
        return highest;
    }

    /** In the air the hook's side is held level, over the end of the lever that stands on the floor. */
    private Room held(Chain chain) {
        Touched touched = new Touched();
        double lowest = Double.POSITIVE_INFINITY;
        for (Chain.Point point : chain.points()) {
            double depth = point.y() - radius;
            lowest = Math.min(lowest, lever - depth - half);
            touched.by(depth, point.x(), Double.NaN, -point.z());
        }
        return touched.room(lowest, 0);
    }

    /** In the air the heel's side is pulled down. */
    private Room pulledDown(Chain chain) {
        Touched touched = new Touched();
        double lowest = pulled(chain.first(), 0, 0, new Touched());
        for (Chain.Point point : chain.points()) {
            lowest = Math.min(lowest, pulled(point.x(), point.y(), point.z(), touched));
        }
        return touched.room(lowest, 0);
    }

    private double pulled(double x, double y, double z, Touched touched) {
        double lowest = Double.POSITIVE_INFINITY;
        double before = Double.NaN;
        for (int step = 0; step <= STEPS; step++) {
            double out = x + straight[step];
            double depth = out * sin[step] + (y - radius) * cos[step];
            double off = out * cos[step] - (y - radius) * sin[step];
            lowest = Math.min(lowest, lever - depth - half);
            touched.by(depth, off, before, z);
            before = off;
        }
        return lowest;
    }

    /** What comes into the strip that the lever needs. */
    private final class Touched {

        private double leanToOne;
        private double leanToOther;
        private double closest = Double.POSITIVE_INFINITY;

        /**
         * A point at one moment.
         *
         * @param along how far out on the lever it is
         * @param off how far before it, in the plane of bending
         * @param before the same a moment ago; not a number at first
         * @param beside how far out of the plane
         */
        void by(double along, double off, double before, double beside) {
            boolean reached = along > 0 && along < lever && Math.abs(beside) < near;
            boolean passed = Math.signum(off) != Math.signum(before) && Math.abs(off - before) < lever;
            if (reached && (passed || Math.abs(off) < near)) {
                closest = Math.min(closest, along);
                leanToOne = Math.max(leanToOne, Math.toDegrees(Math.atan2(near + beside, along)));
                leanToOther = Math.max(leanToOther, Math.toDegrees(Math.atan2(near - beside, along)));
            }
        }

        Room room(double lowest, double highest) {
            return new Room(lowest, highest, leanToOne, leanToOther, closest);
        }
    }
}
