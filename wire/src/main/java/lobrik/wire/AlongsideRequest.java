package lobrik.wire;

import java.util.List;
import lobrik.layout.Layout;
import org.jspecify.annotations.Nullable;

/**
 * Conduits bent alike, side by side.
 *
 * @param first the conduit nearest to the side to which they rise
 * @param count how many in all
 */
public record AlongsideRequest(
        @Nullable LayoutRequest first,
        @Nullable Double centreSpacingIn,
        @Nullable Integer count) {

    /** One of the conduits. */
    public record ConduitAlongside(int number, List<LayoutAnswer.MarkAnswer> marks, PieceShape shape) {

        static ConduitAlongside of(int number, Layout layout) {
            return new ConduitAlongside(
                    number,
                    layout.marks().stream().map(LayoutAnswer.MarkAnswer::of).toList(),
                    PieceShape.of(layout.job().bend(), layout.predicted()));
        }
    }
}
