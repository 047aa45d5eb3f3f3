package lobrik.shop;

import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * Heat, and something to bend round: rigid plastic is bent so (handbook 4.10). There is no shoe, no hook and no take-up: a mark is the
 * middle of its curve.
 *
 * @param radius {@code R}: radius of the centreline, more than 0
 * @param minSpacing least straight conduit between two bends
 * @param support what keeps the conduit round
 */
public record Former(Length radius, Length minSpacing, Support support) implements Tool {

    /** What keeps the conduit round while it is soft; with it, bends tighter than the usual least are possible. */
    public enum Support {
        /** Bent freely. */
        NONE("none", "nothing that keeps it round"),
        /** A former round which it is laid. */
        FORMER("former", "a former round which it is laid"),
        /** A spring or a hose inside. */
        INSIDE("inside", "a spring or a hose inside");

        private final String id;
        private final String words;

        Support(String id, String words) {
            this.id = id;
            this.words = words;
        }

        /** As programs see it: {@code inside}. */
        public String id() {
            return id;
        }

        /** In a sentence: {@code a spring or a hose inside}. */
        public String words() {
            return words;
        }
    }

    /** How much more than the curve is warmed, on either side of it (handbook 4.10). */
    public static final Length WARMED_BESIDE = Length.ofInches(1);

    private static final Length ROOM_BEYOND = Length.ofInches(8);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Former {
        Faults faults = new Faults();
        faults.requirePositive("radiusIn", "the bend radius", radius, LARGEST_FIGURE);
        faults.requireWithin("minSpacingIn", "the least spacing", minSpacing, Length.ZERO, LARGEST_FIGURE);
        faults.refuseIfAny();
    }

    /** Enough to hold by hand, away from what is hot. */
    @Override
    public Length roomBeyond() {
        return ROOM_BEYOND;
    }

    /** It stays as it is held until it is cold. */
    @Override
    public Angle springback(Angle rest) {
        return Angle.ZERO;
    }

    @Override
    public Former withRadius(Length other) {
        return new Former(other, minSpacing, support);
    }

    /** How thick the wall stays on the outside of a bend, as a part of what it was: {@code R/(R + d/2)} (handbook 4.10). */
    public double wallLeft(Conduit conduit) {
        return radius.inches() / (radius.inches() + conduit.outsideDiameter().inches() / 2);
    }
}
