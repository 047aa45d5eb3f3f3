/** The conduit on the rack: what came, what was cut, what is left over, and when there is too little. */
@NullMarked
package lobrik.server.stock;

import org.jspecify.annotations.NullMarked;
