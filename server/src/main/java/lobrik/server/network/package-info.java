/** On the school's network: the secure address for other devices, the certificates it needs, its name, and the page that explains it. */
@NullMarked
package lobrik.server.network;

import org.jspecify.annotations.NullMarked;
