/** The first contents of an empty database: the made-up school, or one account to begin with. */
@NullMarked
package lobrik.server.demo;

import org.jspecify.annotations.NullMarked;
