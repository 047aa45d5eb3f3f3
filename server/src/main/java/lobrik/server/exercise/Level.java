package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Locale;

/** For whom an exercise is meant. */
public enum Level {
    @JsonProperty("first")
    FIRST,
    @JsonProperty("steady")
    STEADY,
    @JsonProperty("advanced")
    ADVANCED;

    /** As it is stored and sent. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
