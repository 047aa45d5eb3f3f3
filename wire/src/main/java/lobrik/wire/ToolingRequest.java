package lobrik.wire;

import org.jspecify.annotations.Nullable;

/** A bender with its conduit. */
public record ToolingRequest(
        @Nullable ConduitInput conduit, @Nullable BenderInput bender) {}
