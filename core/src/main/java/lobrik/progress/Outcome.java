package lobrik.progress;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;

/**
 * What one finished piece came to.
 *
 * @param attempt what the caller knows it by
 * @param day on which it was measured, counted from any day that is the same for all
 * @param bender what the caller knows the bender by
 * @param points 0 to 100
 * @param judgedBy the limits that it was judged by
 * @param rebent how often a bend of it went back into the shoe
 * @param slip what went wrong with it, where a single cause is clear
 * @param missed how far its features are off, in any order
 * @param parts bends of it that are also learnt by themselves: of a run, its ninetys and offsets
 */
public record Outcome(
        String attempt,
        long day,
        Family family,
        String bender,
        double points,
        boolean passed,
        Strictness judgedBy,
        int rebent,
        Optional<Slip> slip,
        List<Missed> missed,
        List<Part> parts) {

    /** Bends of one family that are part of the piece, with how far their features are off; several of one sort on the mean. */
    public record Part(Family family, List<Missed> missed) {

        public Part {
            missed = List.copyOf(missed);
        }
    }

    public Outcome {
        missed = List.copyOf(missed);
        parts = List.copyOf(parts);
    }

    /** Of a piece that is one bend of its family. */
    public Outcome(
            String attempt,
            long day,
            Family family,
            String bender,
            double points,
            boolean passed,
            Strictness judgedBy,
            int rebent,
            Optional<Slip> slip,
            List<Missed> missed) {
        this(attempt, day, family, bender, points, passed, judgedBy, rebent, slip, missed, List.of());
    }

    /**
     * How far a feature of it is off.
     *
     * @param deviation reading less target
     * @param planned how far the marks as planned would have been off: the method's share, and no one's habit
     * @param tolerance that it was judged by, on the side of the deviation
     */
    public record Missed(FeatureId feature, Quantity deviation, Quantity planned, Quantity tolerance) {

        /** How much of its tolerance it takes up; more than 1 is outside. */
        public double inTolerances() {
            return (double) Math.abs(deviation.count()) / tolerance.count();
        }

        /** Exactly on the limit is within. */
        public boolean isWithin() {
            return Math.abs(deviation.count()) <= tolerance.count();
        }

        /** What the hands, and the bender, have added to the plan. */
        public Quantity byHand() {
            return deviation.minus(planned);
        }

        /** What the hands alone have added, as far as the bender is known. */
        public Quantity byHandOn(KnownBender bender) {
            return bender.adds(feature).map(byHand()::minus).orElseGet(this::byHand);
        }
    }

    /** The features that took up most of their tolerance, or went furthest beyond it; at most so many. */
    public List<FeatureId> furthestOff(int most) {
        return missed.stream()
                .sorted(Comparator.comparingDouble(Missed::inTolerances).reversed())
                .limit(most)
                .map(Missed::feature)
                .toList();
    }

    /** How far its features of a kind are off on the mean, by hands and bender; empty where it has none, or does not tell. */
    public Optional<Quantity> off(DeviationKind deviations) {
        List<Quantity> own = missed.stream()
                .filter(each -> DeviationKind.of(each.feature())
                        .filter(deviations::equals)
                        .isPresent())
                .map(Missed::byHand)
                .toList();
        if (own.isEmpty() || !tellsOfHands()) {
            return Optional.empty();
        }
        double mean = own.stream().mapToLong(Quantity::count).average().orElseThrow();
        return Optional.of(own.getFirst().withCount(Math.round(mean)));
    }

    /** What its own family tells by: of a piece with parts, all that is not of one of them. */
    List<Missed> ofItself() {
        return parts.isEmpty()
                ? missed
                : missed.stream()
                        .filter(each -> !RunParts.isOfABend(each.feature().kind()))
                        .toList();
    }

    /** What of it tells of steady hands: nothing where a slip with a name of its own is to blame. */
    boolean tellsOfHands() {
        return slip.filter(Slip::isOnce).isEmpty();
    }
}
