package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import org.jspecify.annotations.Nullable;

/** What was typed into a field. */
public record QuantityRequest(
        @Nullable Kind kind,
        @Nullable String text,
        @Nullable BareUnit bare) {

    /** What the field takes. */
    public enum Kind {
        @JsonProperty("length")
        LENGTH,
        /** A length that may be less than nothing. */
        @JsonProperty("signedLength")
        SIGNED_LENGTH,
        /** A length, or two readings of a tape with play and insertion. */
        @JsonProperty("distance")
        DISTANCE,
        @JsonProperty("angle")
        ANGLE
    }

    /** The unit of a number that names none; inches if it is not given. */
    public enum BareUnit {
        @JsonProperty("in")
        INCH,
        @JsonProperty("mm")
        MILLIMETRE
    }
}
