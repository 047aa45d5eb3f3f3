/** Attempts and their readings, and the verdict on them. */
@NullMarked
package lobrik.server.attempt;

import org.jspecify.annotations.NullMarked;
