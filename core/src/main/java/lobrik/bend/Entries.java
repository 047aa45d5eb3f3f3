package lobrik.bend;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * What is said of a bend or a part of one: sizes by input, options by choice, numbers by what they count, and its parts by group. A
 * size that is not among them is left open.
 */
public record Entries(
        Map<InputId, Quantity> sizes,
        Map<String, Enum<?>> options,
        Map<String, Integer> counts,
        Map<String, List<Item>> parts) {

    /** What is said of a part, with its sort among those of its group. */
    public record Item(String sort, Entries said) {}

    public Entries {
        Map<InputId, Quantity> inOrder = new EnumMap<>(InputId.class);
        inOrder.putAll(sizes);
        sizes = Collections.unmodifiableMap(inOrder);
        options = Map.copyOf(options);
        counts = Map.copyOf(counts);
        Map<String, List<Item>> copied = new HashMap<>();
        parts.forEach((group, items) -> copied.put(group, List.copyOf(items)));
        parts = Map.copyOf(copied);
    }

    /** Of what has no parts. */
    public Entries(Map<InputId, Quantity> sizes, Map<String, Enum<?>> options) {
        this(sizes, options, Map.of(), Map.of());
    }

    /** The same with another size. */
    public Entries with(InputId input, Quantity size) {
        Map<InputId, Quantity> other = new EnumMap<>(InputId.class);
        other.putAll(sizes);
        other.put(input, size);
        return new Entries(other, options, counts, parts);
    }

    /** The same with another option of a choice. */
    public Entries with(String choice, Enum<?> option) {
        Map<String, Enum<?>> other = new HashMap<>(options);
        other.put(choice, option);
        return new Entries(sizes, other, counts, parts);
    }

    /** The same with another part in the place of one, from 0. */
    Entries with(Group group, int number, Item part) {
        Map<String, List<Item>> other = new HashMap<>(parts);
        List<Item> items = new ArrayList<>(parts(group));
        items.set(number, part);
        other.put(group.id(), items);
        return new Entries(sizes, options, counts, other);
    }

    /** A size that is said. */
    Length length(InputId input) {
        return (Length) size(input);
    }

    /** An angle that is said. */
    Angle angle(InputId input) {
        return (Angle) size(input);
    }

    /** A size that may be left open. */
    Optional<Length> open(InputId input) {
        return Optional.ofNullable((Length) sizes.get(input));
    }

    /** What is chosen. */
    <E extends Enum<E>> E option(Choice choice, Class<E> type) {
        return type.cast(options.get(choice.id()));
    }

    /** What is chosen, as it is. */
    Enum<?> option(Choice choice) {
        return Objects.requireNonNull(options.get(choice.id()), choice.id());
    }

    /** A number that is said. */
    int count(Count count) {
        return Objects.requireNonNull(counts.get(count.id()), count.id());
    }

    /** Its parts of a group. */
    public List<Item> parts(Group group) {
        return parts.getOrDefault(group.id(), List.of());
    }

    /** A size that is said, as it is. */
    public Quantity size(InputId input) {
        Quantity size = sizes.get(input);
        if (size == null) {
            throw new IllegalArgumentException(input.id() + " is missing");
        }
        return size;
    }
}
