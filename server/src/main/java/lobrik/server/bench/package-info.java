/** The trainee's own side of a sheet: where they are with it, and their figures. The code on the sheet is the key to it. */
@NullMarked
package lobrik.server.bench;

import org.jspecify.annotations.NullMarked;
