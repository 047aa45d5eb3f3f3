package lobrik.wire;

import java.util.List;
import lobrik.layout.Method;
import org.jspecify.annotations.Nullable;

/**
 * Marks of an offset that are there already. With an angle the rise is found, with a rise the angle; not with both.
 *
 * @param multipliers rows of the school's card that differ from the usual one
 * @param spacingIn distance of the two marks
 */
public record OffsetOfMarks(
        @Nullable Method method,
        @Nullable List<LayoutRequest.@Nullable MultiplierRow> multipliers,
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable Double spacingIn,
        @Nullable Double angleDeg,
        @Nullable Double riseIn) {

    /** Rise and angle, one as given and one as found, and the shrink of such an offset on this bender. */
    public record OffsetOfMarksAnswer(double riseIn, double angleDeg, double shrinkIn) {}
}
