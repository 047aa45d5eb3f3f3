package lobrik.wire;

import org.jspecify.annotations.Nullable;

/** Conduit as a request gives it. */
public record ConduitInput(@Nullable Double outsideDiameterIn) {}
