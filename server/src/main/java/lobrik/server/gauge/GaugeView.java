package lobrik.server.gauge;

import com.fasterxml.jackson.annotation.JsonProperty;
import org.jspecify.annotations.Nullable;

/**
 * A gauge as it is right now.
 *
 * @param text what it shows, ready to be typed with its unit; only while it can be read
 * @param said what is to be done about it; nothing while it is steady
 * @param claimedBy who has it, if a screen has
 */
public record GaugeView(
        String id,
        GaugeKind kind,
        String label,
        GaugeState state,
        @Nullable String text,
        @Nullable String said,
        @Nullable String claimedBy,
        boolean mine) {

    /** What a gauge does. */
    public enum GaugeState {
        /** It can be read. */
        @JsonProperty("steady")
        STEADY,
        @JsonProperty("moving")
        MOVING,
        @JsonProperty("noisy")
        NOISY,
        @JsonProperty("wrongUnit")
        WRONG_UNIT,
        /** Nothing is heard of it. */
        @JsonProperty("lost")
        LOST
    }
}
