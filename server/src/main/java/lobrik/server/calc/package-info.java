/** The calculation interface: translates requests to the core and its answers back. Keeps nothing. */
@NullMarked
package lobrik.server.calc;

import org.jspecify.annotations.NullMarked;
