package lobrik.progress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lobrik.cause.CauseId;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.distribution.discrete.BinomialDistribution;

/**
 * Finds habits.
 *
 * <p><b>A bias</b> (of a ring, an angle, the plane; of a finished dimension where none of these has one in that family) is a habit if Student's interval for its mean, over the last {@value #WINDOW} pieces of the family, leaves out
 * zero, and if it is a quarter of the tolerance or more. What the plan itself is off, and what a bender is known to add, is taken
 * away first; pieces with a slip of another sort (a forgotten shrink) say nothing here. The dog leg cannot be less than nothing: it
 * is a habit where its mean is clearly more than half its tolerance. What bends of a run come out as counts with the family that they
 * belong to, a run as one piece; of the run itself are its legs, its turns and where its far end is.
 *
 * <p><b>A slip</b> is a habit if it is the cause of three or more of the last {@value #SLIP_WINDOW} pieces, and of more than chance
 * would have it for one who slips as often as everybody else (binomial).
 *
 * <p><b>False alarms.</b> Of {@link #FALSE_ALARM} per trainee, half is shared by all features that are looked at and half by all
 * slips (Bonferroni): whoever has no habit at all is told of one at most so often. Pieces of one trainee are taken as independent.
 *
 * @param usual how often others have each slip, 0 to 1
 * @param benders what benders are known to add, by bender
 */
public record Habits(Map<CauseId, Double> usual, Map<String, KnownBender> benders) {

    /** How often somebody without any habit is told of one. */
    public static final double FALSE_ALARM = 0.01;

    static final int WINDOW = 16;
    static final int SLIP_WINDOW = 24;
    private static final int FEWEST = 5;
    private static final int FEWEST_SLIPS = 3;
    private static final int STILL = 3;

    /** Nobody is so careful that a slip would never happen: less than this is not assumed. */
    private static final double LEAST_USUAL = 0.005;

    public Habits {
        usual = Map.copyOf(usual);
        benders = Map.copyOf(benders);
    }

    /** A series of what the hands added to one feature, with the tolerances. */
    private record Series(
            Family family, FeatureId feature, List<Quantity> offs, List<Boolean> inRuns, Quantity tolerance) {}

    /** A piece of a family, or what of a run belongs to that family. */
    private record Shown(Outcome piece, List<Outcome.Missed> missed, boolean inRun) {}

    /** The habits that pieces show, from the oldest piece; what hands do comes before what follows from it. */
    public List<Habit> of(List<Outcome> pieces) {
        List<Series> all = series(pieces);
        List<Habit.Bias> biases = new ArrayList<>();
        for (Series series : all) {
            biasOf(series, 1 - FALSE_ALARM / 2 / all.size(), biases);
        }
        biases.sort(Comparator.comparingInt(Habits::rank)
                .thenComparing(
                        Comparator.comparingDouble(Habit.Bias::inTolerances).reversed()));
        List<Habit> habits = new ArrayList<>(slips(pieces));
        biases.stream().filter(bias -> !followsFromAnother(bias, biases)).forEach(habits::add);
        return List.copyOf(habits);
    }

    /** A finished dimension is off where the hands are: that is told once, as what the hands do. */
    private static boolean followsFromAnother(Habit.Bias bias, List<Habit.Bias> all) {
        return rank(bias) > 0
                && all.stream().anyMatch(other -> other.family().equals(bias.family()) && rank(other) == 0);
    }

    /** Angles, rings and planes are what hands do; the rest follows from them. */
    private static int rank(Habit.Bias bias) {
        return switch (bias.feature().measured()) {
            case ANGLE, PERCENTAGE -> 0;
            case LENGTH -> bias.feature().isOfFinishedPiece() ? 1 : 0;
        };
    }

    private List<Series> series(List<Outcome> pieces) {
        Map<Family, List<Shown>> byFamily = new TreeMap<>();
        for (Outcome piece : pieces) {
            if (piece.tellsOfHands()) {
                byFamily.computeIfAbsent(piece.family(), _ -> new ArrayList<>())
                        .add(new Shown(piece, piece.ofItself(), false));
                piece.parts()
                        .forEach(part -> byFamily.computeIfAbsent(part.family(), _ -> new ArrayList<>())
                                .add(new Shown(piece, part.missed(), true)));
            }
        }
        List<Series> all = new ArrayList<>();
        byFamily.forEach((family, own) -> {
            Map<FeatureId, Series> byFeature = new LinkedHashMap<>();
            for (Shown shown : own.subList(Math.max(0, own.size() - WINDOW), own.size())) {
                for (Outcome.Missed missed : shown.missed()) {
                    Series known = byFeature.get(missed.feature());
                    List<Quantity> offs = known == null ? new ArrayList<>() : known.offs();
                    List<Boolean> inRuns = known == null ? new ArrayList<>() : known.inRuns();
                    offs.add(missed.byHandOn(bender(shown.piece())));
                    inRuns.add(shown.inRun());
                    byFeature.put(
                            missed.feature(), new Series(family, missed.feature(), offs, inRuns, missed.tolerance()));
                }
            }
            byFeature.values().stream()
                    .filter(series -> series.offs().size() >= FEWEST)
                    .forEach(all::add);
        });
        return all;
    }

    private KnownBender bender(Outcome piece) {
        return benders.getOrDefault(piece.bender(), KnownBender.NONE);
    }

    private static void biasOf(Series series, double confidence, List<Habit.Bias> found) {
        Estimate estimate = Estimate.of(series.offs(), confidence).orElseThrow();
        long tolerance = series.tolerance().count();
        boolean clear = FeatureId.DOG_LEG.equals(series.feature())
                ? isMoreThan(tolerance / 2, estimate, confidence)
                : estimate.biasInterval().filter(Interval::holdsZero).isEmpty()
                        && 4 * Math.abs(estimate.bias().count()) >= tolerance;
        if (!clear) {
            return;
        }
        int side = Long.signum(estimate.bias().count());
        int sameWay = (int) series.offs().stream()
                .filter(off -> Long.signum(off.count()) == side)
                .count();
        double lately = series.offs().stream()
                .skip(series.offs().size() - STILL)
                .mapToLong(Quantity::count)
                .average()
                .orElseThrow();
        boolean persists = 4 * side * lately >= tolerance;
        int inRuns = (int) series.inRuns().stream().filter(inRun -> inRun).count();
        found.add(new Habit.Bias(
                series.family(), series.feature(), estimate, series.tolerance(), sameWay, inRuns, persists));
    }

    /** One-sided, for what cannot be negative. */
    private static boolean isMoreThan(long limit, Estimate estimate, double confidence) {
        double spread = estimate.spread().orElseThrow().count();
        double reach = new TDistribution(estimate.count() - 1).inverseCumulativeProbability(confidence)
                * spread
                / Math.sqrt(estimate.count());
        return estimate.bias().count() - reach > limit;
    }

    private List<Habit> slips(List<Outcome> pieces) {
        List<Outcome> last = pieces.subList(Math.max(0, pieces.size() - SLIP_WINDOW), pieces.size());
        Map<CauseId, List<Outcome>> byCause = new EnumMap<>(CauseId.class);
        for (Outcome piece : last) {
            piece.slip()
                    .filter(slip -> isLookedFor(slip.cause()) && !isOfBender(slip.cause(), bender(piece)))
                    .ifPresent(slip -> byCause.computeIfAbsent(slip.cause(), cause -> new ArrayList<>())
                            .add(piece));
        }
        double each = FALSE_ALARM / 2 / LOOKED_FOR;
        List<Habit> habits = new ArrayList<>();
        byCause.forEach((cause, own) -> {
            double rate = Math.max(LEAST_USUAL, usual.getOrDefault(cause, 0.0));
            double chance = 1 - new BinomialDistribution(last.size(), rate).cumulativeProbability(own.size() - 1);
            if (own.size() >= FEWEST_SLIPS && chance <= each) {
                habits.add(new Habit.Recurring(
                        own.getLast().family(), cause, commonBend(own), own.size(), last.size(), rate));
            }
        });
        habits.sort(Comparator.comparingInt(habit -> -((Habit.Recurring) habit).times()));
        return habits;
    }

    /** Angles that are off are told as a bias, with their amount; what has no name is no habit. */
    private static boolean isLookedFor(CauseId cause) {
        return cause.isFault() && cause != CauseId.ANGLE_OFF && cause != CauseId.ANGLE_BIAS;
    }

    /** Before a bender was known to stand beside its rings, that was taken for what hands did. */
    private static boolean isOfBender(CauseId cause, KnownBender bender) {
        return (cause == CauseId.MARK_SLIPPED || cause == CauseId.TAKEUP_WRONG_SIZE)
                && (bender.effects().containsKey(DeviationKind.LEGS)
                        || bender.effects().containsKey(DeviationKind.PLACES));
    }

    private static final int LOOKED_FOR =
            (int) List.of(CauseId.values()).stream().filter(Habits::isLookedFor).count();

    private static OptionalInt commonBend(List<Outcome> pieces) {
        List<OptionalInt> bends = pieces.stream()
                .map(piece -> piece.slip().orElseThrow().bend())
                .distinct()
                .collect(Collectors.toList());
        return bends.size() == 1 ? bends.getFirst() : OptionalInt.empty();
    }
}
