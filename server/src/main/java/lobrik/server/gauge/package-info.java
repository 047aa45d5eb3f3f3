/** Digital gauges that the server reads over loopback, and which screen has which of them. */
@NullMarked
package lobrik.server.gauge;

import org.jspecify.annotations.NullMarked;
