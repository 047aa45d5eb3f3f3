package lobrik.layout;

import java.util.List;
import java.util.function.Function;
import lobrik.bend.Bend;
import lobrik.bend.Input;
import lobrik.bend.Role;
import lobrik.measure.Quantity;

/**
 * An input that can be changed to cure a fault.
 *
 * @param name in a sentence: {@code the rise}
 * @param with the same bend with another size of it; refuses sizes outside the input's range
 */
record Lever(Role role, String input, String name, Quantity current, Function<Quantity, Bend> with) {

    /** All levers of a bend. */
    static List<Lever> of(Bend bend) {
        return Input.of(bend).stream()
                .map(input -> new Lever(
                        input.field().role(), "bend/" + input.path(), input.words(), input.current(), input.with()))
                .toList();
    }
}
