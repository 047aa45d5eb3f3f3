package lobrik.server.attempt;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something that was written down of a piece. It never changes: a correction is a new row that names the one it corrects. */
interface Kept {

    UUID id();

    /** What it corrects. */
    @Nullable
    UUID corrects();

    /** When it was written down, as far as the clocks can be believed; see {@link DeviceTime}. */
    Instant takenAt();

    /** In which order things were written down; null until it is read from the database again. */
    @Nullable
    Long entryNo();

    /** Whether this was written down after something else, whatever the clocks said. */
    static boolean isAfter(@Nullable Long entryNo, @Nullable Long other) {
        return other != null && (entryNo == null || entryNo > other);
    }
}
