package lobrik.wire;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A bend of which somebody wants to know what else would do.
 *
 * @param layout as it is asked for
 * @param friction of wire in conduit, {@code µ} from 0 to 2; 0.4 where nothing is said
 * @param benders with their conduits, that it could be bent with instead; at most 20
 */
public record CompareRequest(
        @Nullable LayoutRequest layout,
        @Nullable Double friction,
        @Nullable List<@Nullable ToolingRequest> benders) {}
