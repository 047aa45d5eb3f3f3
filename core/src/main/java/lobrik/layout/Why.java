package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.derivation.Line;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/**
 * Explains a layout's numbers one after the other, in the order in which they are worked out: its derivation, with what is
 * marked on the tape, and why each finished dimension comes out as it does.
 */
public final class Why {

    private Why() {}

    /** Explanations of all marks, of what they rest on, of the cut length, and of each predicted feature. */
    public static List<Line> of(Layout layout) {
        List<Line> all = new ArrayList<>();
        for (Line line : layout.derivation().lines()) {
            all.add(marked(layout, line).map(line::markedAt).orElse(line).written());
        }
        WhyPredicted.of(layout).forEach(line -> all.add(line.written()));
        return List.copyOf(all);
    }

    /** What of a line is marked on the tape, and where. */
    private static Optional<Quantity> marked(Layout layout, Line line) {
        if (line.about().equals(Line.CUT)) {
            return layout.cutLength().map(length -> length);
        }
        return layout.marks().stream()
                .filter(mark -> FeatureId.mark(mark.number()).id().equals(line.about()))
                .findFirst()
                .map(Mark::position);
    }
}
