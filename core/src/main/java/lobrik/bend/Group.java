package lobrik.bend;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import lobrik.fault.Fault;
import lobrik.fault.Refused;

/**
 * Parts that a bend has: a list of them, or one that may be missing. Each has a form of its own; where they are of several sorts, one
 * for each sort.
 */
public final class Group {

    /** Sort of parts that are all of one. */
    public static final String ONLY = "";

    private final String id;
    private final int most;
    private final boolean list;
    private final Map<String, Form<?>> sorts;
    private final Function<Object, String> sortOf;
    private final BiFunction<Integer, Entries.Item, String> words;

    private Group(
            String id,
            BiFunction<Integer, Entries.Item, String> words,
            int most,
            boolean list,
            Map<String, Form<?>> sorts,
            Function<Object, String> sortOf) {
        this.id = id;
        this.words = words;
        this.most = most;
        this.list = list;
        this.sorts = new LinkedHashMap<>(sorts);
        this.sortOf = sortOf;
    }

    /**
     * Any number of parts of one sort, up to a limit.
     *
     * @param words each of them in a sentence, without its number: {@code leg}
     */
    static Group list(String id, String words, int most, Form<?> form) {
        return new Group(id, (number, _) -> words + " " + (number + 1), most, true, Map.of(ONLY, form), _ -> ONLY);
    }

    /**
     * The same of several sorts.
     *
     * @param words one of them in a sentence
     */
    static <T> Group list(
            String id,
            Function<Entries.Item, String> words,
            int most,
            Map<String, Form<?>> sorts,
            Class<T> type,
            Function<T, String> sortOf) {
        return new Group(id, (_, item) -> words.apply(item), most, true, sorts, part -> sortOf.apply(type.cast(part)));
    }

    /**
     * One part, or none.
     *
     * @param words it in a sentence
     */
    static Group one(String id, String words, Form<?> form) {
        return new Group(id, (_, _) -> words, 1, false, Map.of(ONLY, form), _ -> ONLY);
    }

    /** As programs see it: {@code legs}. */
    public String id() {
        return id;
    }

    /** How many there may be. */
    public int most() {
        return most;
    }

    /** Whether there may be several. */
    public boolean isList() {
        return list;
    }

    /** Its forms by sort, the usual first; {@link #ONLY} where there is only one sort. */
    public Map<String, Form<?>> sorts() {
        return sorts;
    }

    /** Where the part with this number, from 0, stands: {@code legs/0}. */
    public String path(int number) {
        return list ? id + "/" + number : id;
    }

    /** The form of a sort, if there is one. */
    public Optional<Form<?>> sort(String sort) {
        return Optional.ofNullable(sorts.get(sort));
    }

    Entries.Item read(Object part) {
        String sort = sortOf.apply(part);
        return new Entries.Item(sort, form(sort).read(part));
    }

    /**
     * Makes the parts.
     *
     * @throws Refused with everything that is wrong about them, by its path
     */
    <T> List<T> make(List<Entries.Item> items, Class<T> type) {
        List<T> made = new ArrayList<>(items.size());
        List<Fault> faults = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            Entries.Item item = items.get(i);
            try {
                made.add(type.cast(form(item.sort()).make(item.said())));
            } catch (Refused refused) {
                String path = path(i);
                refused.faults().forEach(fault -> faults.add(fault.within(path)));
            }
        }
        if (!faults.isEmpty()) {
            throw Refused.badInput(faults);
        }
        return List.copyOf(made);
    }

    void inputs(List<Input> inputs, String path, Entries whole, Function<Entries, Bend> made) {
        List<Entries.Item> items = whole.parts(this);
        for (int i = 0; i < items.size(); i++) {
            int number = i;
            Entries.Item item = items.get(i);
            form(item.sort())
                    .inputs(
                            inputs,
                            path + path(i) + "/",
                            " of " + words.apply(i, item),
                            item.said(),
                            said -> made.apply(whole.with(this, number, new Entries.Item(item.sort(), said))));
        }
    }

    private Form<?> form(String sort) {
        return Objects.requireNonNull(sorts.get(sort), sort);
    }
}
