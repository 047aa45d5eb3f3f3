package lobrik.server.backup;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Folders on other disks that copies of backups go to. */
final class SecondPlaces {

    private SecondPlaces() {}

    /** Why copies cannot go there just now, in a sentence; null if they can. */
    static @Nullable String fault(BackupFolder ours, BackupPlan.SecondPlace second) throws IOException {
        Path folder = Path.of(second.folder());
        // An empty folder stands where a disk was: what is written there fills the disk of the data.
        return second.onItsOwnDisk() && Files.isDirectory(folder) && !ours.isOnAnotherDisk(folder)
                ? "What was mounted at " + folder + " no longer is: it is on the disk of the data now"
                : wrong(ours, folder);
    }

    /**
     * What is wrong with a folder that somebody typed, in a sentence; null if copies can go there. It is tried by writing.
     *
     * @param typed an absolute path
     */
    static @Nullable String wrong(BackupFolder ours, String typed) {
        try {
            return wrong(ours, Path.of(typed));
        } catch (InvalidPathException e) {
            return "That is no folder: " + e.getReason().toLowerCase(Locale.ROOT);
        }
    }

    private static @Nullable String wrong(BackupFolder ours, Path folder) {
        if (!folder.isAbsolute()) {
            return "Give the whole path, from / on";
        }
        if (!Files.isDirectory(folder)) {
            return "There is no folder " + folder + " on the machine that runs Lobrik, or Lobrik may not look into it";
        }
        if (folder.normalize().startsWith(ours.path().normalize())) {
            return "That is where the backups are already; give a folder on another disk";
        }
        try {
            Files.delete(Files.createTempFile(folder, "lobrik-", ".try"));
            return null;
        } catch (IOException e) {
            return said(e);
        }
    }

    /** In words, without what only a programmer reads. */
    static String said(IOException e) {
        if (e instanceof AccessDeniedException denied) {
            return "Lobrik may not write to " + folderOf(denied)
                    + "; the user that the server runs as must be able to, and as a service it must have been named: ./lobrik install --second-place FOLDER";
        }
        return e instanceof FileSystemException file && file.getReason() != null
                ? folderOf(file) + ": " + file.getReason()
                : String.valueOf(e.getMessage());
    }

    private static String folderOf(FileSystemException e) {
        Path parent = Path.of(e.getFile()).getParent();
        return parent == null ? e.getFile() : parent.toString();
    }
}
