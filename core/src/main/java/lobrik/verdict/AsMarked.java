package lobrik.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.fault.Refused;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;

/** The piece that the rings would have given, had it been bent as planned on them: what marking alone did to it. */
public final class AsMarked {

    private AsMarked() {}

    /**
     * Simulates it.
     *
     * @param readings of which only the marks count; a mark that was not read stands where it was planned
     * @return empty where no mark was read, or where no conduit can be bent on these rings
     */
    public static Optional<Piece> of(Layout layout, Map<FeatureId, Quantity> readings) {
        List<BendMade> bends = new ArrayList<>();
        boolean any = false;
        for (Mark mark : layout.marks()) {
            boolean read = readings.get(FeatureId.mark(mark.number())) instanceof Length;
            Length ring = read ? (Length) readings.get(FeatureId.mark(mark.number())) : mark.position();
            any |= read;
            bends.add(new BendMade(ring, mark.reference(), mark.hookTowards(), mark.angle(), mark.roll()));
        }
        if (!any) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends));
        } catch (Refused nobodyCanBendThat) {
            return Optional.empty();
        }
    }
}
