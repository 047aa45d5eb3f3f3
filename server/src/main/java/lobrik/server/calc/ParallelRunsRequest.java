package lobrik.server.calc;

import java.util.List;
import lobrik.layout.Layout;
import org.jspecify.annotations.Nullable;

/**
 * Conduits bent alike, side by side.
 *
 * @param first the conduit nearest to the side to which they rise
 * @param count how many in all
 */
public record ParallelRunsRequest(
        @Nullable LayoutRequest first,
        @Nullable Double centreSpacingIn,
        @Nullable Integer count) {

    /** One of the conduits. */
    public record Run(int number, List<LayoutAnswer.MarkAnswer> marks, PieceShape shape) {

        static Run of(int number, Layout layout) {
            return new Run(
                    number,
                    layout.marks().stream().map(LayoutAnswer.MarkAnswer::of).toList(),
                    PieceShape.of(layout.job().bend(), layout.predicted()));
        }
    }
}
