/** Conduit and benders of a centre. */
@NullMarked
package lobrik.server.shed;

import org.jspecify.annotations.NullMarked;
