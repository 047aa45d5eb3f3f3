/** What the screens in a room are told at once: one stream of events for each screen. */
@NullMarked
package lobrik.server.live;

import org.jspecify.annotations.NullMarked;
