package lobrik.verdict;

import java.util.Optional;
import java.util.stream.Stream;

/** What is looked over on a finished piece besides its sizes (handbook 5). Ids are stable. */
public enum InspectionPoint {
    LIES_FLAT("liesFlat", "Lies flat", "does not lie flat"),
    ENDS("ends", "Ends cut square and reamed", "ends not square or not reamed"),
    RIPPLE("ripple", "No ripple inside a bend", "ripple inside a bend"),
    KINK("kink", "No kink", "a kink"),
    FLATTENING("flattening", "Round all through", "flattened"),
    SCORCH("scorch", "No scorch (heated plastic)", "scorched"),
    MARKS_LEFT("marksLeft", "No marks left where they show", "marks left where they show"),
    FITS("fits", "Enters its fitting straight", "does not enter its fitting straight"),
    CLEARS("clears", "Clears the obstacle", "touches the obstacle");

    private final String id;
    private final String good;
    private final String fault;

    InspectionPoint(String id, String good, String fault) {
        this.id = id;
        this.good = good;
        this.fault = fault;
    }

    /** As programs see it. */
    public String id() {
        return id;
    }

    /** What is seen when nothing is wrong. */
    public String good() {
        return good;
    }

    /** What is seen when something is. */
    public String fault() {
        return fault;
    }

    /** The point with this id, if there is one. */
    public static Optional<InspectionPoint> withId(String id) {
        return Stream.of(values()).filter(point -> point.id.equals(id)).findFirst();
    }
}
