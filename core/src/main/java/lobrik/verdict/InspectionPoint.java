package lobrik.verdict;

import java.util.List;
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

    /**
     * What is looked over on a piece, in the order in which it is done: on sheets and screens alike.
     *
     * @param heated whether it is bent by heat, so that it can scorch
     * @param entersFitting whether an end goes into a box or fitting
     * @param clearsObstacle whether it has to clear something
     */
    public static List<InspectionPoint> on(boolean heated, boolean entersFitting, boolean clearsObstacle) {
        return Stream.of(values())
                .filter(point -> switch (point) {
                    case SCORCH -> heated;
                    case FITS -> entersFitting;
                    case CLEARS -> clearsObstacle;
                    case LIES_FLAT, ENDS, RIPPLE, KINK, FLATTENING, MARKS_LEFT -> true;
                })
                .toList();
    }

    /** The point with this id, if there is one. */
    public static Optional<InspectionPoint> withId(String id) {
        return Stream.of(values()).filter(point -> point.id.equals(id)).findFirst();
    }
}
