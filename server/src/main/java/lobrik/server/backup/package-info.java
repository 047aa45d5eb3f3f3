/** Backups: the whole of a data folder in one file while the server runs, and what is in such a file. */
@NullMarked
package lobrik.server.backup;

import org.jspecify.annotations.NullMarked;
