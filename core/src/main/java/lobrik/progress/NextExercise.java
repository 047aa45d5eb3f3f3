package lobrik.progress;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.shop.ToolKind;

/**
 * What somebody should bend next (handbook 7): the first family in the order that is not steady while all before it are,
 * with the tool that somebody is at as long as there is one; a habit that persists comes first.
 *
 * @param family of bends
 * @param habit that it is meant to work on, where it is
 */
public record NextExercise(Family family, Reason reason, Optional<Habit> habit) {

    /** Why it is this one. */
    public enum Reason {
        /** A habit that has to go first. */
        HABIT,
        /** It was never bent, and nothing comes before it. */
        FIRST,
        /** It was never bent, and what it builds on is steady. */
        NEXT,
        /** It was never bent; what it builds on was not either, but counts as shown by what was bent since. */
        PASSED_OVER,
        /** It was begun and is not steady. */
        NOT_STEADY,
        /** Everything is steady; this was not bent for the longest time. */
        REFRESH
    }

    /** A habit as large as this is worked on even where pieces pass. */
    private static final double LARGE = 0.5;

    /**
     * What comes next.
     *
     * @param standings of the families that were bent
     * @param habits as {@link Habits} finds them
     * @param lastDay on which each family was bent last
     * @param has the sorts of tools that there are
     */
    public static NextExercise of(
            Curriculum curriculum,
            Map<Family, Standing> standings,
            List<Habit> habits,
            Map<Family, Long> lastDay,
            Set<ToolKind> has) {
        Optional<Habit> first =
                habits.stream().filter(habit -> isInTheWay(habit, standings)).findFirst();
        if (first.isPresent()) {
            return new NextExercise(first.get().family(), Reason.HABIT, first);
        }
        return curriculum
                .next(standings, toolOfLast(lastDay), has)
                .map(family -> new NextExercise(family, reason(curriculum, family, standings), Optional.empty()))
                .orElseGet(
                        () -> new NextExercise(longestAgo(curriculum, lastDay, has), Reason.REFRESH, Optional.empty()));
    }

    /** Of two that were bent last on the same day, the one that is learnt later. */
    private static Optional<ToolKind> toolOfLast(Map<Family, Long> lastDay) {
        return lastDay.entrySet().stream()
                .max(Map.Entry.<Family, Long>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(each -> each.getKey().tool());
    }

    private static Reason reason(Curriculum curriculum, Family family, Map<Family, Standing> standings) {
        if (standings.getOrDefault(family, Standing.NOT_TRIED) != Standing.NOT_TRIED) {
            return Reason.NOT_STEADY;
        }
        List<Family> before = curriculum.before(family);
        if (before.isEmpty()) {
            return Reason.FIRST;
        }
        return before.stream()
                        .allMatch(each ->
                                standings.getOrDefault(each, Standing.NOT_TRIED).isSteady())
                ? Reason.NEXT
                : Reason.PASSED_OVER;
    }

    private static boolean isInTheWay(Habit habit, Map<Family, Standing> standings) {
        Standing standing = standings.getOrDefault(habit.family(), Standing.NOT_TRIED);
        boolean shown = standing == Standing.READY || standing == Standing.SIGNED;
        return switch (habit) {
            case Habit.Bias bias -> bias.persists() && (!shown || bias.inTolerances() >= LARGE);
            case Habit.Recurring _ -> !shown;
        };
    }

    private static Family longestAgo(Curriculum curriculum, Map<Family, Long> lastDay, Set<ToolKind> has) {
        return curriculum.with(has).stream()
                .min(Comparator.comparingLong(family -> lastDay.getOrDefault(family, Long.MIN_VALUE)))
                .orElseThrow();
    }
}
