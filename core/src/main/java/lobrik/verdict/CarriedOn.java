package lobrik.verdict;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.IntFunction;
import lobrik.measure.Length;

/**
 * What a trainee's marks are held to, so that one slip counts once (handbook 7): a ring on the trainee's own figure is rightly
 * ringed, whatever the figure is worth, and a mark that stands rightly to an earlier wrong one is right.
 */
public final class CarriedOn {

    /** Why something is not held to its own right place. */
    public enum Reason {
        /** The ring stands where the trainee worked it out. */
        OWN_FIGURE,
        /** It stands as far from an earlier mark as it should, and that mark was charged. */
        EARLIER_MARK,
        /** It is off from the mark before it by as much as an earlier one that was charged: one slip, made at each. */
        SAME_SLIP,
        /** It is a finished dimension of a run, and is what an earlier slip makes of it. */
        EARLIER_PLACE
    }

    /**
     * What a mark is held to.
     *
     * @param reason empty where that is its right place
     */
    public record Target(Length at, Optional<Reason> reason) {}

    private final Map<Integer, Length> right;
    private final IntFunction<Tolerance> tolerance;
    private final boolean sameSlipCountsOnce;

    /**
     * For the marks of a piece.
     *
     * @param right places of the marks, by number
     * @param tolerance of a mark by its number, within which it stands on a figure, or follows from another mark
     * @param sameSlipCountsOnce whether what is left out at every bend, such as the gain of a run's ninetys, is charged where it was left out
     *     first
     */
    public CarriedOn(Map<Integer, Length> right, IntFunction<Tolerance> tolerance, boolean sameSlipCountsOnce) {
        this.right = Map.copyOf(right);
        this.tolerance = tolerance;
        this.sameSlipCountsOnce = sameSlipCountsOnce;
    }

    /** What the trainee's own figures are held to, by number; of those that are known. */
    public Map<Integer, Target> figures(Map<Integer, Length> own) {
        return held(own, Map.of());
    }

    /**
     * What rings are held to, by number; of those that are known.
     *
     * @param own figures of the trainee, as far as they are known
     */
    public Map<Integer, Target> rings(Map<Integer, Length> rings, Map<Integer, Length> own) {
        return held(rings, own);
    }

    /** Goes from the datum end on: of marks that are off together, the first is charged and the others follow from it. */
    private Map<Integer, Target> held(Map<Integer, Length> made, Map<Integer, Length> own) {
        Map<Integer, Target> held = new TreeMap<>();
        Map<Integer, Length> charged = new HashMap<>();
        List<Length> steps = new ArrayList<>();
        List<Length> off = new ArrayList<>(List.of(Length.ZERO));
        new TreeMap<>(made).forEach((number, at) -> {
            Length place = right.get(number);
            if (place == null) {
                return;
            }
            Target target = new Target(place, Optional.empty());
            Length figure = own.get(number);
            if (figure != null) {
                target = nearer(number, at, target, new Target(figure, Optional.of(Reason.OWN_FIGURE)));
            }
            for (Map.Entry<Integer, Length> earlier : charged.entrySet()) {
                Length follows = earlier.getValue().plus(place).minus(right.getOrDefault(earlier.getKey(), place));
                target = nearer(number, at, target, new Target(follows, Optional.of(Reason.EARLIER_MARK)));
            }
            Length before = off.getLast();
            for (Length step : steps) {
                Length again = place.plus(before).plus(step);
                target = nearer(number, at, target, new Target(again, Optional.of(Reason.SAME_SLIP)));
            }
            held.put(number, target);
            if (sameSlipCountsOnce
                    && target.reason().isEmpty()
                    && !tolerance.apply(number).holds(at.minus(place))) {
                steps.add(at.minus(place).minus(before));
            }
            off.add(at.minus(place));
            // What lies within its tolerance is no slip that others could follow from.
            if (!tolerance.apply(number).holds(at.minus(place))) {
                charged.put(number, at);
            }
        });
        return Map.copyOf(held);
    }

    /** The other only where the mark follows it: a second slip is not carried on, it is charged by itself. */
    private Target nearer(int number, Length at, Target one, Target other) {
        Length off = at.minus(other.at());
        return tolerance.apply(number).holds(off)
                        && off.abs().isLessThan(at.minus(one.at()).abs())
                ? other
                : one;
    }
}
