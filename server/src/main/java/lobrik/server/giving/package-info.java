/** Exercises given out: to whom, until when, how often, and each one's variant. */
@NullMarked
package lobrik.server.giving;

import org.jspecify.annotations.NullMarked;
