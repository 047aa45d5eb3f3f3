package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.Form;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.bend.Role;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.measure.Length;

/** Which input of a bend a fault of its marks or arcs concerns. */
final class InputsConcerned {

    private InputsConcerned() {}

    /** The fault with its input named as the bend names it; what to do about marks is no advice about inputs. */
    static Fault name(Bend bend, Fault fault) {
        String input = switch (fault.code()) {
            case ARCS_OVERLAP, SPACING_IMPOSSIBLE, MARKS_TOO_CLOSE ->
                isOfInput(bend, fault) ? fault.input() : size(bend);
            case MARK_OFF_CONDUIT -> isBeforeDatumEnd(fault) ? place(bend) : farEnd(bend);
            case ARC_OFF_CONDUIT -> fault.input().equals("lengthIn") ? farEnd(bend) : place(bend);
            default -> fault.input();
        };
        return fault.at(input).curedBy(List.of());
    }

    /** Whether it names one of several parts already. */
    private static boolean isOfInput(Bend bend, Fault fault) {
        return Form.of(bend.kind()).groups().stream()
                .anyMatch(group -> fault.input().startsWith("bend/" + group.id() + "/"));
    }

    private static boolean isBeforeDatumEnd(Fault fault) {
        return fault.code() == FaultCode.MARK_OFF_CONDUIT
                && fault.figures().getFirst().value() instanceof Length mark
                && !mark.isMoreThan((Length) fault.figures().getLast().value());
    }

    /** What makes the bends come close together: its size, or where it lies if it has none. */
    static String size(Bend bend) {
        return pointer(bend, Role.SIZE, Role.PLACE);
    }

    /** What makes a bend come close to the one before it. */
    static String between(Bend bend, int number) {
        return bend.run().map(run -> run.pointerBefore(number)).orElseGet(() -> size(bend));
    }

    /** What decides where the bends lie from the datum end. */
    static String place(Bend bend) {
        return pointer(bend, Role.PLACE, Role.SIZE);
    }

    /** What decides how much conduit there is beyond the bends; where that is nobody's to say, how large it is. */
    static String farEnd(Bend bend) {
        return bend.run()
                .map(run -> run.pointer(run.legs().size()))
                .orElseGet(() -> pointer(bend, Role.FAR_END, Role.SIZE));
    }

    /** What says how steep a bend is. */
    static String angle(Bend bend) {
        return "bend/" + path(bend, Role.ANGLE).orElse(InputId.ANGLE.id());
    }

    private static String pointer(Bend bend, Role role, Role or) {
        return "bend/" + path(bend, role).or(() -> path(bend, or)).orElseThrow();
    }

    /** The first input that does this to the bend: one of its own, which may be open, or one of its parts. */
    private static Optional<String> path(Bend bend, Role role) {
        return Form.of(bend.kind())
                .first(role)
                .map(field -> field.id().id())
                .or(() -> Input.of(bend).stream()
                        .filter(input -> input.field().role() == role)
                        .findFirst()
                        .map(Input::path));
    }
}
