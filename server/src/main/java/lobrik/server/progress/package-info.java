/**
 * Progress: what finished pieces come to, where everybody stands, what holds them back, what comes next, and who was signed off.
 *
 * <p>{@link lobrik.server.progress.OutcomeBook} writes one row for each finished piece, whenever something is written down of it;
 * everything else here reads those rows, a bounded number of them however many there are.
 */
@NullMarked
package lobrik.server.progress;

import org.jspecify.annotations.NullMarked;
