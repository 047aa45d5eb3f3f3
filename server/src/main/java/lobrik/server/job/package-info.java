/** Runs of several pieces: a piece to each of several trainees, and all of them put together again. */
@NullMarked
package lobrik.server.job;

import org.jspecify.annotations.NullMarked;
