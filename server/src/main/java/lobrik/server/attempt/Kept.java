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

    /** By the clock of the device that it was written down on. */
    Instant takenAt();
}
