/** Platform: security, problems, the served screens, the interface description. Knows no feature. */
@NullMarked
package lobrik.server.platform;

import org.jspecify.annotations.NullMarked;
