package lobrik.bend;

import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * What is said of a bend: sizes by input, options by choice. A size that is not among them is left open.
 */
public record Entries(Map<InputId, Quantity> sizes, Map<String, Enum<?>> options) {

    public Entries {
        Map<InputId, Quantity> inOrder = new EnumMap<>(InputId.class);
        inOrder.putAll(sizes);
        sizes = Collections.unmodifiableMap(inOrder);
        options = Map.copyOf(options);
    }

    /** The same with another size. */
    public Entries with(InputId input, Quantity size) {
        Map<InputId, Quantity> other = new EnumMap<>(InputId.class);
        other.putAll(sizes);
        other.put(input, size);
        return new Entries(other, options);
    }

    /** The same with another option of a choice. */
    public Entries with(String choice, Enum<?> option) {
        Map<String, Enum<?>> other = new HashMap<>(options);
        other.put(choice, option);
        return new Entries(sizes, other);
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

    /** A size that is said, as it is. */
    public Quantity size(InputId input) {
        Quantity size = sizes.get(input);
        if (size == null) {
            throw new IllegalArgumentException(input.id() + " is missing");
        }
        return size;
    }
}
