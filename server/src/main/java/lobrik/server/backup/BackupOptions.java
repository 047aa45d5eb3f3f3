package lobrik.server.backup;

import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where backups that are made by themselves go, as the launcher says it.
 *
 * @param folder of this server's own; null where none are made
 * @param programs the folder that the database's own programs are in
 * @param network where certificates are kept, which belong into a backup; may not be there
 * @param elsewhere whether another server of the same record makes them, and this one none
 * @param archive where the database puts every change besides; null if it does not
 */
@ConfigurationProperties("lobrik.backup")
record BackupOptions(
        @Nullable Path folder,
        @Nullable Path programs,
        @Nullable Path network,
        boolean elsewhere,
        @Nullable Path archive) {}
