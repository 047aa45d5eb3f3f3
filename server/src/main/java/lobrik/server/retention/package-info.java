/** How long a school keeps what it knows, and what goes when that is over. */
@NullMarked
package lobrik.server.retention;

import org.jspecify.annotations.NullMarked;
