package lobrik.wire;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Choice;
import lobrik.bend.Entries;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.InputId;
import lobrik.measure.Quantity;
import org.jspecify.annotations.Nullable;

/**
 * A bend as a request gives it: its kind decides the inputs. What a kind asks for is what its {@link Form} says.
 *
 * @param numbers sizes that are given, in inches or degrees
 * @param options ids of the options that are chosen, by choice
 */
public record BendInput(BendKind kind, Map<InputId, Double> numbers, Map<String, String> options) {

    public BendInput {
        numbers = Map.copyOf(numbers);
        options = Map.copyOf(options);
    }

    /** A bend of the core as a request would ask for it, with everything said. */
    public static BendInput of(Bend bend) {
        Form form = Form.of(bend.kind());
        Entries entries = form.read(bend);
        Map<InputId, Double> numbers = new LinkedHashMap<>();
        entries.sizes().forEach((input, size) -> numbers.put(input, Numbers.of(size)));
        Map<String, String> options = new LinkedHashMap<>();
        for (Choice choice : form.choices()) {
            choice.options().stream()
                    .filter(option -> option.value() == entries.options().get(choice.id()))
                    .forEach(option -> options.put(choice.id(), option.id()));
        }
        return new BendInput(bend.kind(), numbers, options);
    }

    /** The same with another size of an input. */
    BendInput with(InputId input, Quantity size) {
        Map<InputId, Double> other = new LinkedHashMap<>(numbers);
        other.put(input, Numbers.of(size));
        return new BendInput(kind, other, options);
    }

    /** What is given for an input. */
    @Nullable
    Double number(InputId input) {
        return numbers.get(input);
    }

    /** What is chosen. */
    Optional<String> option(Choice choice) {
        return Optional.ofNullable(options.get(choice.id()));
    }

    /** As it is written: the kind, then what is given in the order of the form. */
    public Map<String, Object> written() {
        Map<String, Object> written = new LinkedHashMap<>();
        written.put("kind", kind.id());
        Form form = Form.of(kind);
        for (Field field : form.fields()) {
            Double number = numbers.get(field.id());
            if (number != null) {
                written.put(field.id().id(), number);
            }
        }
        form.choices().forEach(choice -> option(choice).ifPresent(option -> written.put(choice.id(), option)));
        return Collections.unmodifiableMap(written);
    }
}
