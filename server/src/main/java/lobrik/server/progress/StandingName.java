package lobrik.server.progress;

import com.fasterxml.jackson.annotation.JsonProperty;
import lobrik.progress.Standing;

/** Where somebody stands, as it is sent. */
public enum StandingName {
    @JsonProperty("notTried")
    NOT_TRIED,
    @JsonProperty("learning")
    LEARNING,
    @JsonProperty("steady")
    STEADY,
    @JsonProperty("ready")
    READY,
    @JsonProperty("signed")
    SIGNED;

    /** In a table. */
    String words() {
        return Standing.valueOf(name()).words();
    }

    static StandingName of(Standing standing) {
        return valueOf(standing.name());
    }
}
