package lobrik.wire;

import java.util.Optional;
import java.util.stream.Stream;
import lobrik.measure.LengthUnit;
import org.jspecify.annotations.Nullable;

/**
 * What was typed into a field.
 *
 * @param bare the unit of a number that names none; inches if it is not given
 */
public record QuantityRequest(
        @Nullable Kind kind,
        @Nullable String text,
        @Nullable LengthUnit bare) {

    /** What the field takes. */
    public enum Kind {
        LENGTH("length"),
        /** A length that may be less than nothing. */
        SIGNED_LENGTH("signedLength"),
        /** A length, or two readings of a tape with play and insertion. */
        DISTANCE("distance"),
        ANGLE("angle"),
        PERCENTAGE("percentage");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        /** As programs see it: {@code signedLength}. */
        public String id() {
            return id;
        }

        /** The one with this id; nothing if there is none. */
        public static Optional<Kind> withId(String id) {
            return Stream.of(values()).filter(kind -> kind.id.equals(id)).findFirst();
        }
    }
}
