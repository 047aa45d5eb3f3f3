/** Exercises as set, and to whom they were given. */
@NullMarked
package lobrik.server.exercise;

import org.jspecify.annotations.NullMarked;
