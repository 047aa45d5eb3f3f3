/** Sheets to hold: what a trainee is to bend, on one page, with a code that leads back to their measuring; pocket cards. */
@NullMarked
package lobrik.server.sheet;

import org.jspecify.annotations.NullMarked;
