package lobrik.measure;

import java.util.Optional;
import java.util.stream.Stream;

/** The unit a person works in: it decides what a bare number means and how a length is shown. */
public enum LengthUnit {
    INCH("in"),
    MILLIMETRE("mm");

    private final String id;

    LengthUnit(String id) {
        this.id = id;
    }

    /** As programs see it: {@code mm}. */
    public String id() {
        return id;
    }

    /** The one with this id; nothing if there is none. */
    public static Optional<LengthUnit> withId(String id) {
        return Stream.of(values()).filter(unit -> unit.id.equals(id)).findFirst();
    }
}
