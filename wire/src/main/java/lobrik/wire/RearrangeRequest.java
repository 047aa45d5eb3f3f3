package lobrik.wire;

import org.jspecify.annotations.Nullable;

/**
 * A run to be mirrored or reversed, with the room that it goes through.
 *
 * @param layout the definition, whose bend is a run
 */
public record RearrangeRequest(
        @Nullable LayoutRequest layout, @Nullable Rearrangement how) {}
