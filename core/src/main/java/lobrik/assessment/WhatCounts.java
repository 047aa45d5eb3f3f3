package lobrik.assessment;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Which of the entries about one thing count. An entry stands until it is corrected or set aside. When two people wrote down the
 * same thing without knowing of each other, both stand, and somebody has to decide.
 */
public final class WhatCounts {

    private WhatCounts() {}

    /**
     * Those that stand, from the oldest.
     *
     * @param about all entries about one thing
     * @param setAside ids of those that somebody decided do not count
     */
    public static <T extends Entry> List<T> standing(Collection<T> about, Set<UUID> setAside) {
        Set<UUID> corrected =
                about.stream().flatMap(entry -> entry.correctionOf().stream()).collect(Collectors.toSet());
        return inOrder(about).stream()
                .filter(entry -> !corrected.contains(entry.id()) && !setAside.contains(entry.id()))
                .toList();
    }

    /** All from the oldest; a correction always comes after what it corrects, whatever the clocks said. */
    public static <T extends Entry> List<T> inOrder(Collection<T> entries) {
        Map<UUID, T> byId = entries.stream().collect(Collectors.toMap(Entry::id, Function.identity()));
        return entries.stream()
                .sorted(Comparator.comparingInt((T entry) -> corrections(entry, byId))
                        .thenComparingLong(Entry::takenAtMicros)
                        .thenComparing(Entry::id))
                .toList();
    }

    private static <T extends Entry> int corrections(T entry, Map<UUID, T> byId) {
        int depth = 0;
        for (Optional<T> at = Optional.of(entry);
                at.flatMap(Entry::correctionOf).isPresent();
                at = at.flatMap(Entry::correctionOf).map(byId::get)) {
            depth++;
        }
        return depth;
    }

    /**
     * Of entries that hold for what is written down after them, the one that holds for another. A correction holds from where the
     * corrected one did: what was read wrongly was wrong from the beginning.
     *
     * @param about all entries about one thing
     * @param setAside ids of those that somebody decided do not count
     */
    public static <T extends Entry> Optional<T> holding(Collection<T> about, Set<UUID> setAside, Entry other) {
        Map<UUID, T> byId = about.stream().collect(Collectors.toMap(Entry::id, Function.identity()));
        return standing(about, setAside).stream()
                .filter(entry -> other.isAfter(first(entry, byId).number()))
                .reduce((one, next) ->
                        first(next, byId).isAfter(first(one, byId).number()) ? next : one);
    }

    /** What a chain of corrections began with, of all entries that it may run through. */
    public static <T extends Entry> T origin(T entry, Collection<T> about) {
        return first(entry, about.stream().collect(Collectors.toMap(Entry::id, Function.identity())));
    }

    private static <T extends Entry> T first(T entry, Map<UUID, T> byId) {
        return entry.correctionOf()
                .map(byId::get)
                .map(before -> first(before, byId))
                .orElse(entry);
    }

    /** Of entries of which the newest counts, that one. */
    public static <T extends Entry> Optional<T> newest(List<T> standing) {
        return standing.stream().reduce((one, other) -> one.isAfter(other.number()) ? one : other);
    }

    /**
     * The readings of a feature that count: none, one, or those that somebody has to decide between. Whoever measured it knows more than
     * whoever did not, and two who read the same are one reading.
     *
     * @param standing those of one feature
     * @param value what was read; nothing where it was not measured
     */
    public static <T extends Entry> List<T> readings(List<T> standing, Function<T, ? extends Optional<?>> value) {
        List<T> read = standing.stream()
                .filter(entry -> value.apply(entry).isPresent())
                .toList();
        return read.isEmpty() ? standing.stream().limit(1).toList() : agreed(read, value);
    }

    /** The one where all say the same, and otherwise all: somebody has to decide between them. */
    public static <T extends Entry> List<T> agreed(List<T> standing, Function<T, ? extends Optional<?>> says) {
        boolean same = standing.stream().map(says).distinct().count() <= 1;
        return same ? standing.stream().limit(1).toList() : standing;
    }
}
