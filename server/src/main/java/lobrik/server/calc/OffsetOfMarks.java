package lobrik.server.calc;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Marks of an offset that are there already. With an angle the rise is found, with a rise the angle; not with both.
 *
 * @param multipliers rows of the school's card that differ from the usual one
 * @param spacingIn distance of the two marks
 */
public record OffsetOfMarks(
        LayoutRequest.@Nullable Method method,
        @Nullable List<LayoutRequest.@Nullable MultiplierRow> multipliers,
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable Double spacingIn,
        @Nullable Double angleDeg,
        @Nullable Double riseIn) {

    /** Rise and angle, one as given and one as found, and the shrink of such an offset on this bender. */
    @Schema(name = "OffsetOfMarksAnswer")
    public record Answer(double riseIn, double angleDeg, double shrinkIn) {}
}
