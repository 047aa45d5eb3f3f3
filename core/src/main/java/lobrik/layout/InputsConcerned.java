package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Role;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.measure.Length;

/** Which input of a bend a fault of its marks or arcs concerns. */
final class InputsConcerned {

    private InputsConcerned() {}

    /** The fault with its input named as the bend names it; what to do about marks is no advice about inputs. */
    static Fault name(Bend bend, Fault fault) {
        BendKind kind = bend.kind();
        String input = switch (fault.code()) {
            case ARCS_OVERLAP, SPACING_IMPOSSIBLE, MARKS_TOO_CLOSE -> size(kind);
            case MARK_OFF_CONDUIT -> isBeforeDatumEnd(fault) ? place(kind) : farEnd(kind);
            case ARC_OFF_CONDUIT -> fault.input().equals("lengthIn") ? farEnd(kind) : place(kind);
            default -> fault.input();
        };
        return fault.at(input).curedBy(List.of());
    }

    private static boolean isBeforeDatumEnd(Fault fault) {
        return fault.code() == FaultCode.MARK_OFF_CONDUIT
                && fault.figures().getFirst().value() instanceof Length mark
                && !mark.isMoreThan((Length) fault.figures().getLast().value());
    }

    /** What makes the bends come close together: its size, or where it lies if it has none. */
    static String size(BendKind kind) {
        Form form = Form.of(kind);
        return pointer(form.first(Role.SIZE).or(() -> form.first(Role.PLACE)));
    }

    /** What decides where the bends lie from the datum end. */
    static String place(BendKind kind) {
        return pointer(Form.of(kind).first(Role.PLACE));
    }

    /** What decides how much conduit there is beyond the bends; where that is nobody's to say, how large it is. */
    static String farEnd(BendKind kind) {
        Form form = Form.of(kind);
        return pointer(form.first(Role.FAR_END).or(() -> form.first(Role.SIZE)));
    }

    private static String pointer(Optional<Field> field) {
        return "bend/" + field.orElseThrow().id().id();
    }
}
