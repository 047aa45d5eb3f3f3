package lobrik.bend;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lobrik.measure.Quantity;

/**
 * Describes a kind of bend, or a part of one: its inputs and choices, in the order in which they are asked for, the parts it has, how
 * it is made of them, and how they are read off it. Whatever goes through the inputs of a bend goes through its form.
 *
 * @param <T> what is made
 */
public final class Form<T> {

    /** An input with how it is read off. */
    private record Asked(Field field, Function<Object, Optional<? extends Quantity>> read) {}

    /** A choice with how it is read off. */
    private record Left(Choice choice, Function<Object, Enum<?>> read) {}

    /** A count with how it is read off. */
    private record Counted(Count count, Function<Object, Integer> read) {}

    /** Parts with how they are read off. */
    private record Parted(Group group, Function<Object, List<?>> read) {}

    private final List<Asked> asked;
    private final List<Left> left;
    private final List<Counted> counted;
    private final List<Parted> parted;
    private final Function<Entries, T> make;
    private final List<Field> fields;
    private final List<Field> shapingFirst;

    private Form(Builder<T> builder, Function<Entries, T> make) {
        this.asked = List.copyOf(builder.asked);
        this.left = List.copyOf(builder.left);
        this.counted = List.copyOf(builder.counted);
        this.parted = List.copyOf(builder.parted);
        this.make = make;
        this.fields = asked.stream().map(Asked::field).toList();
        this.shapingFirst = fields.stream()
                .sorted(Comparator.comparingInt(field -> rank(field.role())))
                .toList();
    }

    /** Begins the form of a kind of bend, or of a part. */
    static <B> Builder<B> of(Class<B> type) {
        return new Builder<>(type);
    }

    /** Collects a form. */
    static final class Builder<B> {

        private final Class<B> type;
        private final List<Asked> asked = new ArrayList<>();
        private final List<Left> left = new ArrayList<>();
        private final List<Counted> counted = new ArrayList<>();
        private final List<Parted> parted = new ArrayList<>();

        private Builder(Class<B> type) {
            this.type = type;
        }

        Builder<B> ask(Field field, Function<B, ? extends Quantity> read) {
            return askOpen(field, bend -> Optional.of(read.apply(bend)));
        }

        Builder<B> askOpen(Field field, Function<B, Optional<? extends Quantity>> read) {
            asked.add(new Asked(field, made -> read.apply(type.cast(made))));
            return this;
        }

        Builder<B> leave(Choice choice, Function<B, Enum<?>> read) {
            left.add(new Left(choice, made -> read.apply(type.cast(made))));
            return this;
        }

        Builder<B> count(Count count, Function<B, Integer> read) {
            counted.add(new Counted(count, made -> read.apply(type.cast(made))));
            return this;
        }

        Builder<B> have(Group group, Function<B, List<?>> read) {
            parted.add(new Parted(group, made -> read.apply(type.cast(made))));
            return this;
        }

        /**
         * Ends it.
         *
         * @param make makes a bend of entries that have all that may not be left open; throws {@link lobrik.fault.Refused} for
         *     sizes outside of their range
         */
        Form<B> makes(Function<Entries, B> make) {
            return new Form<>(this, make);
        }
    }

    /** The form of a kind of bend. */
    public static Form<? extends Bend> of(BendKind kind) {
        return switch (kind) {
            case STUB_90 -> Stub90.FORM;
            case BACK_TO_BACK_90 -> BackToBack90.FORM;
            case BOX_OFFSET -> BoxOffset.FORM;
            case OFFSET -> Offset.FORM;
            case ROLLING_OFFSET -> RollingOffset.FORM;
            case KICK -> Kick.FORM;
            case SADDLE_3 -> Saddle3.FORM;
            case SADDLE_4 -> Saddle4.FORM;
            case OVER_BENT_90 -> OverBent90.FORM;
            case RUN -> Run.FORM;
        };
    }

    /** Its inputs. */
    public List<Field> fields() {
        return fields;
    }

    /** Its choices. */
    public List<Choice> choices() {
        return left.stream().map(Left::choice).toList();
    }

    /** What it counts. */
    public List<Count> counts() {
        return counted.stream().map(Counted::count).toList();
    }

    /** What parts it has. */
    public List<Group> groups() {
        return parted.stream().map(Parted::group).toList();
    }

    /** Whether it has this input. */
    public boolean has(InputId input) {
        return fields.stream().anyMatch(field -> field.id() == input);
    }

    /** The first input that does this to the bend. */
    public Optional<Field> first(Role role) {
        return fields.stream().filter(field -> field.role() == role).findFirst();
    }

    /**
     * Makes what it describes.
     *
     * @throws lobrik.fault.Refused with every input that is outside its range
     * @throws IllegalArgumentException if an input is missing that may not be left open
     */
    public T make(Entries entries) {
        return make.apply(entries);
    }

    /**
     * What is said of something that this describes.
     *
     * @throws ClassCastException for anything else
     */
    public Entries read(Object made) {
        Map<InputId, Quantity> sizes = new EnumMap<>(InputId.class);
        asked.forEach(each ->
                each.read().apply(made).ifPresent(size -> sizes.put(each.field().id(), size)));
        Map<String, Enum<?>> options = new HashMap<>();
        left.forEach(each -> options.put(each.choice().id(), each.read().apply(made)));
        Map<String, Integer> counts = new HashMap<>();
        counted.forEach(each -> counts.put(each.count().id(), each.read().apply(made)));
        Map<String, List<Entries.Item>> parts = new HashMap<>();
        parted.forEach(each -> parts.put(
                each.group().id(),
                each.read().apply(made).stream().map(each.group()::read).toList()));
        return new Entries(sizes, options, counts, parts);
    }

    /** All sizes of a bend of this kind that are not left open, with what decides its shape first; then those of its parts. */
    List<Input> inputs(Bend bend) {
        Entries entries = read(bend);
        List<Input> inputs = new ArrayList<>();
        inputs(inputs, "", "", entries, changed -> (Bend) make(changed));
        return List.copyOf(inputs);
    }

    /**
     * Adds the sizes of what this describes and of its parts.
     *
     * @param path to it: empty, or such as {@code legs/0/}
     * @param of what it is a part of, in a sentence: empty, or such as {@code  of leg 1}
     * @param made the bend with this described otherwise
     */
    void inputs(List<Input> inputs, String path, String of, Entries entries, Function<Entries, Bend> made) {
        for (Field field : shapingFirst) {
            if (entries.sizes().containsKey(field.id())) {
                inputs.add(new Input(
                        path + field.id().id(),
                        field.id().words() + of,
                        field,
                        entries.size(field.id()),
                        size -> made.apply(entries.with(field.id(), size))));
            }
        }
        for (Parted each : parted) {
            each.group().inputs(inputs, path, entries, made);
        }
    }

    private static int rank(Role role) {
        return switch (role) {
            case ANGLE -> 0;
            case SIZE, WIDTH, PLACE -> 1;
            case CLEARANCE -> 2;
            case FAR_END -> 3;
            case FIT -> 4;
        };
    }
}
