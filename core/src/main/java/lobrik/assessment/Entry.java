package lobrik.assessment;

import java.util.Optional;
import java.util.UUID;

/** Something that was written down of a piece. It never changes: a correction is a new entry that names the one it corrects. */
public interface Entry {

    UUID id();

    /** The entry that it corrects. */
    Optional<UUID> correctionOf();

    /** When it was written down, as far as the clocks can be believed: microseconds since the beginning of 1970. */
    long takenAtMicros();

    /** In which order things were written down, whatever the clocks said; nothing of what is not on record yet, which is the last. */
    Optional<Long> number();

    /** Whether this was written down after something else, whatever the clocks said. */
    default boolean isAfter(Optional<Long> other) {
        return other.isPresent() && (number().isEmpty() || number().get() > other.get());
    }
}
