package lobrik.server.platform;

import java.io.IOException;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** Keeps the record as it is before this build brings it up to itself. */
@FunctionalInterface
public interface BeforeUpgrade {

    /**
     * Makes a backup.
     *
     * @param form of the record as it is
     * @return where it is; null where this server has no place for backups
     * @throws IOException if it cannot be made, in one sentence
     */
    @Nullable
    Path keep(String form) throws IOException;
}
