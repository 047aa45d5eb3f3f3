/** How a server stands: for whoever leads the school in words, for whoever runs it in figures. */
@NullMarked
package lobrik.server.inside;

import org.jspecify.annotations.NullMarked;
