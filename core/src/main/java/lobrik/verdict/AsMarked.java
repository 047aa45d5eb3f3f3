package lobrik.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.BackDatum;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Piece;

/** The piece that the rings would have given, had it been bent as planned on them: what marking alone did to it. */
public final class AsMarked {

    private AsMarked() {}

    /**
     * Simulates it.
     *
     * @param readings of which only the marks count; a mark that was not read stands where it was planned
     * @param fromBack numbers of the marks that were measured from the back of an earlier bend, which they followed
     * @return empty where no mark was read, or where no conduit can be bent on these rings
     */
    public static Optional<Piece> of(Layout layout, Map<FeatureId, Quantity> readings, Set<Integer> fromBack) {
        List<BendMade> bends = new ArrayList<>();
        boolean any = false;
        for (Mark mark : layout.marks()) {
            boolean read = readings.get(FeatureId.mark(mark.number())) instanceof Length;
            Length ring = read ? (Length) readings.get(FeatureId.mark(mark.number())) : mark.position();
            any |= read;
            Optional<BackDatum> back = mark.back().filter(datum -> fromBack.contains(mark.number()));
            if (back.isPresent()) {
                int bend = back.get().bend() - 1;
                ring = ring.plus(bends.get(bend)
                        .position()
                        .minus(layout.marks().get(bend).position()));
            }
            bends.add(new BendMade(ring, mark.placing(), mark.angle(), mark.roll()));
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
