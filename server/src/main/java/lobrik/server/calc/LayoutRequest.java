package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import org.jspecify.annotations.Nullable;

/** What to lay out. Also the definition of an exercise, as it is stored. */
public record LayoutRequest(
        @Nullable Method method,
        @Nullable Double tapeDivisionIn,
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable BendInput bend) {

    /** How marks are found. */
    public enum Method {
        @JsonProperty("chart")
        CHART,
        @JsonProperty("exact")
        EXACT
    }
}
