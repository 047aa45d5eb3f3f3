package lobrik.shape;

import lobrik.bend.Towards;
import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * Something in a room that conduit does not go through. Places are counted from where the axis of a run begins, at its datum end, as
 * seen facing the wall there: to the right, up, and out of the wall.
 */
public sealed interface Solid {

    /** Nothing in a room is further off than 100 ft. */
    Length FURTHEST = Length.ofInches(1200);

    /** Signed distance of a point, inches: negative inside. */
    double distance(double right, double up, double out);

    /** In a sentence: {@code the column}. */
    String words();

    /**
     * By how much conduit may seem to run into it: marks are rounded, and conduit may lie on what it passes. Walls are not true, and
     * straps draw conduit to them.
     */
    Length touching();

    /** The same in a mirror: right and left change places. */
    Solid mirrored();

    /** The same from another point of the room, inches to the right, up and out. */
    Solid from(double right, double up, double out);

    /**
     * A wall, the floor or the ceiling.
     *
     * @param side of the run on which it is: the wall that one faces is {@code IN}
     * @param away from where the axis of the run begins
     */
    record Surface(Towards side, Length away) implements Solid {

        private static final Length NOT_TRUE = Length.ofFraction(0, -1, 8);

        /** @throws lobrik.fault.Refused where it is out of reach */
        public Surface {
            Faults faults = new Faults();
            faults.requireWithin("awayIn", "how far " + words(side) + " is off", away, FURTHEST.times(-1), FURTHEST);
            faults.refuseIfAny();
        }

        @Override
        public double distance(double right, double up, double out) {
            return away.inches() - (right * side.x() + up * side.y() + out * side.z());
        }

        @Override
        public Surface mirrored() {
            return new Surface(side.mirrored(), away);
        }

        @Override
        public Surface from(double right, double up, double out) {
            return new Surface(side, Length.ofInches(distance(right, up, out)));
        }

        @Override
        public String words() {
            return words(side);
        }

        @Override
        public Length touching() {
            return NOT_TRUE;
        }

        private static String words(Towards side) {
            return switch (side) {
                case RIGHT -> "the wall to the right";
                case LEFT -> "the wall to the left";
                case UP -> "the ceiling";
                case DOWN -> "the floor";
                case OUT -> "the wall behind";
                case IN -> "the wall";
            };
        }
    }

    /**
     * A column, a door, a duct.
     *
     * @param right its left edge
     * @param up its lower edge
     * @param out its edge that is nearest to the wall
     */
    record Block(Kind kind, Length right, Length up, Length out, Length width, Length height, Length depth)
            implements Solid {

        private static final Length ROUNDED = Length.ofFraction(0, -1, 32);

        /** What it is. */
        public enum Kind {
            COLUMN("column"),
            DOOR("door"),
            WINDOW("window"),
            DUCT("duct"),
            BEAM("beam"),
            CABINET("cabinet");

            private final String id;

            Kind(String id) {
                this.id = id;
            }

            /** As programs see it: {@code column}. */
            public String id() {
                return id;
            }
        }

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public Block {
            Faults faults = new Faults();
            String name = "the " + kind.id() + "'s ";
            faults.requireWithin("rightIn", name + "left edge", right, FURTHEST.times(-1), FURTHEST);
            faults.requireWithin("upIn", name + "lower edge", up, FURTHEST.times(-1), FURTHEST);
            faults.requireWithin("outIn", name + "distance from the start", out, FURTHEST.times(-1), FURTHEST);
            faults.requirePositive("widthIn", name + "width", width, FURTHEST);
            faults.requirePositive("heightIn", name + "height", height, FURTHEST);
            faults.requirePositive("depthIn", name + "depth", depth, FURTHEST);
            faults.refuseIfAny();
        }

        @Override
        public double distance(double toRight, double upwards, double outwards) {
            double x = beyond(toRight, right, width);
            double y = beyond(upwards, up, height);
            double z = beyond(outwards, out, depth);
            double inside = Math.max(x, Math.max(y, z));
            return inside <= 0 ? inside : Math.sqrt(square(x) + square(y) + square(z));
        }

        private static double beyond(double at, Length from, Length size) {
            return Math.abs(at - from.inches() - size.inches() / 2) - size.inches() / 2;
        }

        private static double square(double beyond) {
            return beyond <= 0 ? 0 : beyond * beyond;
        }

        @Override
        public Block mirrored() {
            return new Block(kind, right.plus(width).times(-1), up, out, width, height, depth);
        }

        @Override
        public Block from(double toRight, double upwards, double outwards) {
            return new Block(
                    kind,
                    right.minus(Length.ofInches(toRight)),
                    up.minus(Length.ofInches(upwards)),
                    out.minus(Length.ofInches(outwards)),
                    width,
                    height,
                    depth);
        }

        @Override
        public String words() {
            return "the " + kind.id();
        }

        @Override
        public Length touching() {
            return ROUNDED;
        }
    }
}
