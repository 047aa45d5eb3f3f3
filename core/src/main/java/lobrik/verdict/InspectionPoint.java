package lobrik.verdict;

import java.util.Optional;
import java.util.stream.Stream;

/** What is looked over on a finished piece besides its sizes (handbook 5). Ids are stable. */
public enum InspectionPoint {
    LIES_FLAT("liesFlat", "Lies flat"),
    ENDS("ends", "Ends cut square and reamed"),
    RIPPLE("ripple", "No ripple inside a bend"),
    KINK("kink", "No kink"),
    FLATTENING("flattening", "Round all through"),
    SCORCH("scorch", "No scorch (heated plastic)"),
    MARKS_LEFT("marksLeft", "No marks left where they show"),
    FITS("fits", "Enters its fitting straight"),
    CLEARS("clears", "Clears the obstacle");

    private final String id;
    private final String good;

    InspectionPoint(String id, String good) {
        this.id = id;
        this.good = good;
    }

    /** As programs see it. */
    public String id() {
        return id;
    }

    /** What is seen when nothing is wrong. */
    public String good() {
        return good;
    }

    /** The point with this id, if there is one. */
    public static Optional<InspectionPoint> withId(String id) {
        return Stream.of(values()).filter(point -> point.id.equals(id)).findFirst();
    }
}
