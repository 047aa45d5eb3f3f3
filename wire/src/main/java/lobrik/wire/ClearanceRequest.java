package lobrik.wire;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** A piece as it was bent, and what it has to clear. */
public record ClearanceRequest(
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable Double lengthIn,
        @Nullable List<SimulateRequest.@Nullable BendMadeInput> bends,
        LayoutRequest.@Nullable ObstacleInput obstacle) {}
