package lobrik.progress;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collector;
import java.util.stream.Collectors;
import lobrik.measure.Quantity;
import lobrik.shop.ToolKind;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;

/**
 * Compares benders by what comes out of them, whoever bends and whatever is bent: a bender that makes everybody over-bend is a
 * bender to calibrate, not fifteen bad trainees.
 *
 * <p>Each piece's deviation is taken as person with that sort of tool + bender + family of bends + chance, fitted
 * by {@link ThreeWayFit}. Benders are compared with those that people lead to, from one to the other. The one that differs most clearly from the mean of the others
 * is set apart if that difference is no chance (Student's t, Bonferroni over all benders) and is worth telling; then the rest
 * are compared again without it, so that one bad bender makes no others look bad. Of the last two nobody can say which is off,
 * and both are named.
 *
 * @param kind of deviation that they are compared by
 * @param effects by bender
 */
public record BenderComparison(DeviationKind kind, List<Effect> effects) {

    /** How often a bender is set apart where all are alike. */
    public static final double FALSE_ALARM = 0.01;

    /** Half of an interval at 95 %, in standard errors. */
    private static final double ERRORS_IN_REACH = 1.96;

    private static final int FEWEST_PIECES = 8;
    private static final int FEWEST_PEOPLE = 3;

    /** One piece: who bent it, on what, and how far it is off. */
    public record Seen(String person, String bender, Family family, Quantity off) {

        /** Whoever bends by hand and at the machine: what hands do at one says nothing of what they do at the other. */
        Hands hands() {
            return new Hands(person, family.tool());
        }
    }

    /** Somebody with a sort of tool. */
    record Hands(String person, ToolKind tool) {}

    /** What is said of a bender. */
    public enum Finding {
        LIKE_THE_OTHERS,
        /** To be calibrated. */
        OFF,
        /** It or the other one. */
        ONE_OF_TWO,
        /** Too few pieces or people, or nobody who bent on it bent on another. */
        NOT_COMPARABLE
    }

    /**
     * What a bender adds.
     *
     * @param pieces that were bent on it
     * @param people who bent them
     * @param off how much more than the others; empty where it cannot be compared
     * @param interval of that, at 95 %
     */
    public record Effect(
            String bender,
            int pieces,
            int people,
            Optional<Quantity> off,
            Optional<Interval> interval,
            Finding finding) {

        /** The same of a bender that is called otherwise. */
        public Effect named(String name) {
            return new Effect(name, pieces, people, off, interval, finding);
        }
    }

    /** The benders that pieces were bent on, by whatever tells them apart, compared. */
    public static BenderComparison of(DeviationKind kind, List<Seen> seen) {
        Map<String, List<Seen>> byBender =
                seen.stream().collect(Collectors.groupingBy(Seen::bender, LinkedHashMap::new, Collectors.toList()));
        Set<String> comparable = new TreeSet<>();
        byBender.forEach((bender, own) -> {
            if (own.size() >= FEWEST_PIECES && people(own) >= FEWEST_PEOPLE) {
                comparable.add(bender);
            }
        });
        Map<String, ThreeWayFit.Contrast> contrasts = new HashMap<>();
        Map<String, Finding> findings = new HashMap<>();
        List<Set<String>> groups = connected(seen, comparable);
        if (!groups.isEmpty()) {
            ThreeWayFit fit = ThreeWayFit.of(seen);
            // Set apart once in a hundred times in all, into however many groups the benders fall.
            double limit = FALSE_ALARM / comparable.size();
            groups.forEach(group -> setApart(kind, fit, group, limit, contrasts, findings));
        }
        Quantity unit = kind.worthTelling();
        return new BenderComparison(
                kind,
                byBender.keySet().stream()
                        .sorted()
                        .map(bender -> effect(
                                bender,
                                byBender.getOrDefault(bender, List.of()),
                                Optional.ofNullable(contrasts.get(bender)),
                                findings.getOrDefault(bender, Finding.NOT_COMPARABLE),
                                unit))
                        .toList());
    }

    /**
     * The benders that can be compared with each other: somebody bent on both, or on one of them and on a third that leads on.
     * Two sites of a school that share neither people nor benders are two groups, and neither keeps the other from being
     * compared.
     */
    private static List<Set<String>> connected(List<Seen> seen, Set<String> comparable) {
        Map<Hands, Set<String>> byHands = seen.stream()
                .collect(Collectors.groupingBy(Seen::hands, Collectors.mapping(Seen::bender, toTreeSet())));
        List<Set<String>> groups = new ArrayList<>();
        for (Set<String> used : byHands.values()) {
            Set<String> merged = new TreeSet<>(used);
            groups.removeIf(group -> {
                boolean meets = group.stream().anyMatch(used::contains);
                if (meets) {
                    merged.addAll(group);
                }
                return meets;
            });
            groups.add(merged);
        }
        groups.forEach(group -> group.retainAll(comparable));
        return groups.stream().filter(group -> group.size() >= 2).toList();
    }

    private static Collector<String, ?, Set<String>> toTreeSet() {
        return Collectors.toCollection(TreeSet::new);
    }

    private static void setApart(
            DeviationKind kind,
            ThreeWayFit fit,
            Set<String> comparable,
            double limit,
            Map<String, ThreeWayFit.Contrast> contrasts,
            Map<String, Finding> findings) {
        Set<String> alike = new TreeSet<>(comparable);
        boolean again = true;
        while (again && alike.size() >= 2) {
            again = false;
            List<String> clear = new ArrayList<>();
            for (String bender : alike) {
                fit.contrast(bender, alike)
                        .filter(contrast -> contrast.chance() <= limit
                                && Math.abs(contrast.off())
                                        >= kind.worthTelling().count())
                        .ifPresent(contrast -> clear.add(bender));
            }
            Set<String> now = Set.copyOf(alike);
            String worst = clear.stream()
                    .min((a, b) -> Double.compare(-clarity(fit, a, now), -clarity(fit, b, now)))
                    .orElse(null);
            if (worst != null && alike.size() == 2) {
                alike.forEach(bender -> findings.put(bender, Finding.ONE_OF_TWO));
            } else if (worst != null) {
                findings.put(worst, Finding.OFF);
                alike.remove(worst);
                again = true;
            }
        }
        for (String bender : comparable) {
            fit.contrast(bender, alike).ifPresent(contrast -> {
                contrasts.put(bender, contrast);
                findings.putIfAbsent(bender, Finding.LIKE_THE_OTHERS);
            });
        }
    }

    private static double clarity(ThreeWayFit fit, String bender, Set<String> others) {
        return fit.contrast(bender, others)
                .map(contrast -> Math.abs(contrast.off()) / contrast.error())
                .orElse(0.0);
    }

    private static Effect effect(
            String bender, List<Seen> own, Optional<ThreeWayFit.Contrast> contrast, Finding finding, Quantity unit) {
        return new Effect(
                bender,
                own.size(),
                people(own),
                contrast.map(found -> unit.withCount(Math.round(found.off()))),
                contrast.map(found -> new Interval(
                        unit.withCount(Math.round(found.off() - found.reach())),
                        unit.withCount(Math.round(found.off() + found.reach())))),
                finding);
    }

    private static int people(List<Seen> own) {
        return (int) own.stream().map(Seen::person).distinct().count();
    }

    /** What the benders that are clearly off add, by bender. */
    public Map<String, KnownBender.Effect> known() {
        return effects.stream()
                .filter(effect -> effect.finding() == Finding.OFF)
                .collect(Collectors.toMap(Effect::bender, BenderComparison::known));
    }

    private static KnownBender.Effect known(Effect effect) {
        Quantity off = effect.off().orElseThrow();
        Interval interval = effect.interval().orElseThrow();
        double error = (interval.to().count() - interval.from().count()) / 2.0 / ERRORS_IN_REACH;
        return new KnownBender.Effect(off, off.withCount(Math.round(error)));
    }
}
