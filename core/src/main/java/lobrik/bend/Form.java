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
 * Describes a kind of bend: its inputs and choices, in the order in which they are asked for, how a bend is made of them, and how
 * they are read off it. Whatever goes through the inputs of a bend goes through its form.
 */
public final class Form {

    /** An input with how it is read off a bend. */
    private record Asked(Field field, Function<Bend, Optional<? extends Quantity>> read) {}

    /** A choice with how it is read off a bend. */
    private record Left(Choice choice, Function<Bend, Enum<?>> read) {}

    private final List<Asked> asked;
    private final List<Left> left;
    private final Function<Entries, Bend> make;
    private final List<Field> fields;
    private final List<Field> shapingFirst;

    private Form(List<Asked> asked, List<Left> left, Function<Entries, Bend> make) {
        this.asked = List.copyOf(asked);
        this.left = List.copyOf(left);
        this.make = make;
        this.fields = asked.stream().map(Asked::field).toList();
        this.shapingFirst = fields.stream()
                .sorted(Comparator.comparingInt(field -> rank(field.role())))
                .toList();
    }

    /** Begins the form of a kind of bend. */
    static <B extends Bend> Builder<B> of(Class<B> type) {
        return new Builder<>(type);
    }

    /** Collects a form. */
    static final class Builder<B extends Bend> {

        private final Class<B> type;
        private final List<Asked> asked = new ArrayList<>();
        private final List<Left> left = new ArrayList<>();

        private Builder(Class<B> type) {
            this.type = type;
        }

        Builder<B> ask(Field field, Function<B, ? extends Quantity> read) {
            return askOpen(field, bend -> Optional.of(read.apply(bend)));
        }

        Builder<B> askOpen(Field field, Function<B, Optional<? extends Quantity>> read) {
            asked.add(new Asked(field, bend -> read.apply(type.cast(bend))));
            return this;
        }

        Builder<B> leave(Choice choice, Function<B, Enum<?>> read) {
            left.add(new Left(choice, bend -> read.apply(type.cast(bend))));
            return this;
        }

        /**
         * Ends it.
         *
         * @param make makes a bend of entries that have all that may not be left open; throws {@link lobrik.fault.Refused} for
         *     sizes outside of their range
         */
        Form makes(Function<Entries, B> make) {
            return new Form(asked, left, make::apply);
        }
    }

    /** The form of a kind of bend. */
    public static Form of(BendKind kind) {
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

    /** Whether it has this input. */
    public boolean has(InputId input) {
        return fields.stream().anyMatch(field -> field.id() == input);
    }

    /** The first input that does this to the bend. */
    public Optional<Field> first(Role role) {
        return fields.stream().filter(field -> field.role() == role).findFirst();
    }

    /**
     * Makes a bend.
     *
     * @throws lobrik.fault.Refused with every input that is outside its range
     * @throws IllegalArgumentException if an input is missing that may not be left open
     */
    public Bend make(Entries entries) {
        return make.apply(entries);
    }

    /** What is said of a bend of this kind. */
    public Entries read(Bend bend) {
        Map<InputId, Quantity> sizes = new EnumMap<>(InputId.class);
        asked.forEach(each ->
                each.read().apply(bend).ifPresent(size -> sizes.put(each.field().id(), size)));
        Map<String, Enum<?>> options = new HashMap<>();
        left.forEach(each -> options.put(each.choice().id(), each.read().apply(bend)));
        return new Entries(sizes, options);
    }

    /** All sizes of a bend of this kind that are not left open, with what decides its shape first. */
    List<Input> inputs(Bend bend) {
        Entries entries = read(bend);
        return shapingFirst.stream()
                .filter(field -> entries.sizes().containsKey(field.id()))
                .map(field -> new Input(field, entries.size(field.id()), size -> make(entries.with(field.id(), size))))
                .toList();
    }

    private static int rank(Role role) {
        return switch (role) {
            case ANGLE -> 0;
            case SIZE, WIDTH, PLACE -> 1;
            case CLEARANCE -> 2;
            case FAR_END -> 3;
        };
    }
}
