package lobrik.bend;

import java.util.List;
import java.util.function.Function;
import lobrik.measure.Quantity;

/**
 * A size of a bend, or of a part of one, that can be changed.
 *
 * @param path as programs see it: {@code riseIn}, {@code legs/0/lengthIn}
 * @param words in a sentence: {@code the rise}, {@code the length of leg 1}
 * @param current its size now
 * @param with the same bend with another size of it, of the same kind of quantity; throws {@link lobrik.fault.Refused} for
 *     sizes outside the input's range
 */
public record Input(String path, String words, Field field, Quantity current, Function<Quantity, Bend> with) {

    /** All sizes of a bend that are not left open, with what decides its shape first. */
    public static List<Input> of(Bend bend) {
        return Form.of(bend.kind()).inputs(bend);
    }

    /** On a form: {@code Rise}, of a part with what it is a part of: {@code Length of leg 1}. */
    public String title() {
        if (!path.contains("/")) {
            return field.title();
        }
        String name = words.startsWith("the ") ? words.substring("the ".length()) : words;
        return Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }

    public InputId id() {
        return field.id();
    }
}
