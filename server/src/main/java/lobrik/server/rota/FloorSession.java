package lobrik.server.rota;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The session that a floor follows.
 *
 * @param from at what time it begins, by the clock of the school
 * @param planned how many exercises are planned for it
 * @param begunAt when they were given out
 */
public record FloorSession(
        UUID id,
        String from,
        String until,
        @Nullable String roomName,
        @Nullable String instructorName,
        int planned,
        @Nullable Instant begunAt) {}
