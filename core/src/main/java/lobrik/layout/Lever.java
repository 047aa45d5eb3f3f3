package lobrik.layout;

import java.util.List;
import java.util.function.Function;
import lobrik.bend.Bend;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.measure.Quantity;

/**
 * An input that can be changed to cure a fault.
 *
 * @param name in a sentence: {@code the rise}
 * @param with the same bend with another size of it; refuses sizes outside the input's range
 */
record Lever(Role role, String input, String name, Quantity current, Function<Quantity, Bend> with) {

    /** What a change of it does. */
    enum Role {
        ANGLE,
        SIZE,
        WIDTH,
        PLACE,
        FAR_END,
        CLEARANCE
    }

    /** All levers of a bend. */
    static List<Lever> of(Bend bend) {
        return Input.of(bend).stream()
                .map(input -> new Lever(
                        role(input.id()), "bend/" + input.id().id(), input.id().words(), input.current(), input.with()))
                .toList();
    }

    private static Role role(InputId input) {
        return switch (input) {
            case ANGLE, OUTER_ANGLE -> Role.ANGLE;
            case RISE, HEIGHT, BETWEEN -> Role.SIZE;
            case ROLL, WIDTH -> Role.WIDTH;
            case LEG, FIRST_LEG, DISTANCE, CENTRE, FIRST_MARK -> Role.PLACE;
            case OTHER_LEG, SECOND_LEG, OVERALL -> Role.FAR_END;
            case CLEARANCE, EDGE_CLEARANCE -> Role.CLEARANCE;
        };
    }
}
