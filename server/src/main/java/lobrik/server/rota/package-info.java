/** The calendar of sessions, who is there, and who sits where. */
@NullMarked
package lobrik.server.rota;

import org.jspecify.annotations.NullMarked;
