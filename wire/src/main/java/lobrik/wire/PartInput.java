package lobrik.wire;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Choice;
import lobrik.bend.Count;
import lobrik.bend.Entries;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Group;
import lobrik.bend.InputId;
import lobrik.measure.Quantity;
import org.jspecify.annotations.Nullable;

/**
 * What a request says of a bend, or of a part of one.
 *
 * @param numbers sizes that are given, in inches or degrees
 * @param counts numbers that are given, by what they count
 * @param options ids of the options that are chosen, by choice
 * @param parts by group
 */
public record PartInput(
        Map<InputId, Double> numbers,
        Map<String, Integer> counts,
        Map<String, String> options,
        Map<String, List<Item>> parts) {

    /** What names the sort of a part, where a group has several. */
    public static final String SORT = "kind";

    /** A part with its sort among those of its group. */
    public record Item(String sort, PartInput said) {}

    public PartInput {
        numbers = Map.copyOf(numbers);
        counts = Map.copyOf(counts);
        options = Map.copyOf(options);
        Map<String, List<Item>> copied = new HashMap<>();
        parts.forEach((group, items) -> copied.put(group, List.copyOf(items)));
        parts = Map.copyOf(copied);
    }

    static PartInput of(Form<?> form, Entries entries) {
        Map<InputId, Double> numbers = new LinkedHashMap<>();
        entries.sizes().forEach((input, size) -> numbers.put(input, Numbers.of(size)));
        Map<String, String> options = new LinkedHashMap<>();
        for (Choice choice : form.choices()) {
            choice.options().stream()
                    .filter(option -> option.value() == entries.options().get(choice.id()))
                    .forEach(option -> options.put(choice.id(), option.id()));
        }
        Map<String, List<Item>> parts = new LinkedHashMap<>();
        for (Group group : form.groups()) {
            parts.put(
                    group.id(),
                    entries.parts(group).stream()
                            .map(item -> new Item(
                                    item.sort(), of(group.sort(item.sort()).orElseThrow(), item.said())))
                            .toList());
        }
        return new PartInput(numbers, entries.counts(), options, parts);
    }

    /** What is given for an input. */
    @Nullable
    Double number(InputId input) {
        return numbers.get(input);
    }

    /** What is given for a count. */
    @Nullable
    Integer count(Count count) {
        return counts.get(count.id());
    }

    /** What is chosen. */
    Optional<String> option(Choice choice) {
        return Optional.ofNullable(options.get(choice.id()));
    }

    /** Its parts of a group. */
    List<Item> parts(Group group) {
        return parts.getOrDefault(group.id(), List.of());
    }

    /**
     * The same with another size of an input.
     *
     * @param path such as {@code riseIn} or {@code legs/0/lengthIn}
     */
    PartInput with(String path, Quantity size) {
        String[] steps = path.split("/", 3);
        if (steps.length == 1) {
            Map<InputId, Double> other = new HashMap<>(numbers);
            other.put(InputId.withId(path).orElseThrow(), Numbers.of(size));
            return new PartInput(other, counts, options, parts);
        }
        boolean listed = steps.length == 3;
        int number = listed ? Integer.parseInt(steps[1]) : 0;
        String rest = listed ? steps[2] : steps[1];
        Map<String, List<Item>> other = new HashMap<>(parts);
        List<Item> items = new ArrayList<>(other.getOrDefault(steps[0], List.of()));
        Item item = items.get(number);
        items.set(number, new Item(item.sort(), item.said().with(rest, size)));
        other.put(steps[0], items);
        return new PartInput(numbers, counts, options, other);
    }

    /** As it is written, in the order of its form. */
    Map<String, Object> written(Form<?> form) {
        Map<String, Object> written = new LinkedHashMap<>();
        for (Field field : form.fields()) {
            Double number = numbers.get(field.id());
            if (number != null) {
                written.put(field.id().id(), number);
            }
        }
        for (Count count : form.counts()) {
            Integer number = counts.get(count.id());
            if (number != null) {
                written.put(count.id(), number);
            }
        }
        form.choices().forEach(choice -> option(choice).ifPresent(option -> written.put(choice.id(), option)));
        for (Group group : form.groups()) {
            List<Map<String, Object>> items =
                    parts(group).stream().map(item -> written(group, item)).toList();
            if (group.isList()) {
                written.put(group.id(), items);
            } else if (!items.isEmpty()) {
                written.put(group.id(), items.getFirst());
            }
        }
        return Collections.unmodifiableMap(written);
    }

    private static Map<String, Object> written(Group group, Item item) {
        Map<String, Object> written = new LinkedHashMap<>();
        if (!item.sort().equals(Group.ONLY)) {
            written.put(SORT, item.sort());
        }
        written.putAll(item.said().written(group.sort(item.sort()).orElseThrow()));
        return Collections.unmodifiableMap(written);
    }
}
