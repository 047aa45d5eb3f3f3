package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.stream.Stream;

/** How a reading came in. */
public enum TakenWith {
    /** Read off a tape or a level and typed. */
    @JsonProperty("keys")
    KEYS("keys"),
    /** Read off a tape or a level and tapped on the number pad. */
    @JsonProperty("pad")
    PAD("pad"),
    /** Typed by a gauge that stands in for a keyboard. */
    @JsonProperty("wedge")
    WEDGE("wedge"),
    /** Taken from a gauge that the server reads. */
    @JsonProperty("gauge")
    GAUGE("gauge"),
    /** Looked at, and found to be as it was asked for. */
    @JsonProperty("asAsked")
    AS_ASKED("asAsked");

    private final String id;

    TakenWith(String id) {
        this.id = id;
    }

    String id() {
        return id;
    }

    /** Whether somebody's eye had no part in it. */
    boolean isByGauge() {
        return this == WEDGE || this == GAUGE;
    }

    static TakenWith withId(String id) {
        return Stream.of(values())
                .filter(with -> with.id.equals(id))
                .findFirst()
                .orElseThrow();
    }
}
