package lobrik.server.attempt;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Which of the rows about one thing count. A row stands until it is corrected or set aside. When two people wrote down the
 * same thing without knowing of each other, both stand, and somebody has to decide.
 */
final class Standing {

    private Standing() {}

    /** The rows that stand, from the oldest. */
    static <T extends Kept> List<T> of(List<T> rows, Set<UUID> setAside) {
        Set<UUID> corrected =
                rows.stream().map(Kept::corrects).filter(Objects::nonNull).collect(Collectors.toSet());
        return inOrder(rows).stream()
                .filter(row -> !corrected.contains(row.id()) && !setAside.contains(row.id()))
                .toList();
    }

    /** All rows from the oldest; a correction always comes after what it corrects, whatever the clocks said. */
    static <T extends Kept> List<T> inOrder(Collection<T> rows) {
        Map<UUID, T> byId = rows.stream().collect(Collectors.toMap(Kept::id, Function.identity()));
        return rows.stream()
                .sorted(Comparator.comparingInt((T row) -> corrections(row, byId))
                        .thenComparing(Kept::takenAt)
                        .thenComparing(Kept::id))
                .toList();
    }

    private static <T extends Kept> int corrections(T row, Map<UUID, T> byId) {
        int depth = 0;
        for (Kept at = row; at != null && at.corrects() != null; at = byId.get(at.corrects())) {
            depth++;
        }
        return depth;
    }
}
