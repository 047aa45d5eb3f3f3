package lobrik.progress;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BendKind;

/**
 * What somebody should bend next (handbook 7): the first kind in the order that is not steady while all before it are; a habit
 * that persists comes first.
 *
 * @param kind of bend
 * @param habit that it is meant to work on, where it is
 */
public record NextExercise(BendKind kind, Reason reason, Optional<Habit> habit) {

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
     * @param standings of the kinds that were bent
     * @param habits as {@link Habits} finds them
     * @param lastDay on which each kind was bent last
     */
    public static NextExercise of(
            Curriculum curriculum, Map<BendKind, Standing> standings, List<Habit> habits, Map<BendKind, Long> lastDay) {
        Optional<Habit> first =
                habits.stream().filter(habit -> isInTheWay(habit, standings)).findFirst();
        if (first.isPresent()) {
            return new NextExercise(first.get().kind(), Reason.HABIT, first);
        }
        return curriculum
                .next(standings)
                .map(kind -> new NextExercise(kind, reason(curriculum, kind, standings), Optional.empty()))
                .orElseGet(() -> new NextExercise(longestAgo(curriculum, lastDay), Reason.REFRESH, Optional.empty()));
    }

    private static Reason reason(Curriculum curriculum, BendKind kind, Map<BendKind, Standing> standings) {
        if (standings.getOrDefault(kind, Standing.NOT_TRIED) != Standing.NOT_TRIED) {
            return Reason.NOT_STEADY;
        }
        List<BendKind> before = curriculum.before(kind);
        if (before.isEmpty()) {
            return Reason.FIRST;
        }
        return before.stream()
                        .allMatch(each ->
                                standings.getOrDefault(each, Standing.NOT_TRIED).isSteady())
                ? Reason.NEXT
                : Reason.PASSED_OVER;
    }

    private static boolean isInTheWay(Habit habit, Map<BendKind, Standing> standings) {
        Standing standing = standings.getOrDefault(habit.kind(), Standing.NOT_TRIED);
        boolean shown = standing == Standing.READY || standing == Standing.SIGNED;
        return switch (habit) {
            case Habit.Bias bias -> bias.persists() && (!shown || bias.inTolerances() >= LARGE);
            case Habit.Recurring _ -> !shown;
        };
    }

    private static BendKind longestAgo(Curriculum curriculum, Map<BendKind, Long> lastDay) {
        return curriculum.kinds().stream()
                .min(Comparator.comparingLong(kind -> lastDay.getOrDefault(kind, Long.MIN_VALUE)))
                .orElseThrow();
    }
}
