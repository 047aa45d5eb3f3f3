/** Studies of how far a school's readings can be trusted, and what is made of them wherever readings are weighed. */
@NullMarked
package lobrik.server.study;

import org.jspecify.annotations.NullMarked;
