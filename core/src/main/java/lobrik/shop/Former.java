package lobrik.shop;

import lobrik.fault.FaultCode;
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
 * @param warmSeconds about how long it is warmed until it is soft, 0 to 3600
 * @param coolSeconds about how long it is held until it is cold, 0 to 3600
 */
public record Former(Length radius, Length minSpacing, Support support, int warmSeconds, int coolSeconds)
        implements Tool {

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

    /** Where a profile does not say: about how long. What the hand feels decides. */
    public static final int USUAL_WARM_SECONDS = 150;

    public static final int USUAL_COOL_SECONDS = 120;

    private static final int MOST_SECONDS = 3600;
    private static final Length ROOM_BEYOND = Length.ofInches(8);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Former {
        Faults faults = new Faults();
        faults.requirePositive("radiusIn", "the bend radius", radius, LARGEST_FIGURE);
        faults.requireWithin("minSpacingIn", "the least spacing", minSpacing, Length.ZERO, LARGEST_FIGURE);
        requireSeconds(faults, "warmSeconds", "the time of warming", warmSeconds);
        requireSeconds(faults, "coolSeconds", "the time of cooling", coolSeconds);
        faults.refuseIfAny();
    }

    /** A former with the usual times. */
    public Former(Length radius, Length minSpacing, Support support) {
        this(radius, minSpacing, support, USUAL_WARM_SECONDS, USUAL_COOL_SECONDS);
    }

    private static void requireSeconds(Faults faults, String input, String name, int seconds) {
        if (seconds < 0 || seconds > MOST_SECONDS) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    input,
                    name + " is " + seconds + " s; it must be from 0 to " + MOST_SECONDS + " s");
        }
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
        return new Former(other, minSpacing, support, warmSeconds, coolSeconds);
    }

    /** How thick the wall stays on the outside of a bend, as a part of what it was: {@code R/(R + d/2)} (handbook 4.10). */
    public double wallLeft(Conduit conduit) {
        return radius.inches() / (radius.inches() + conduit.outsideDiameter().inches() / 2);
    }
}
