/** The verdict on an attempt: how good it is, why, where it came from and what to do about it. */
@NullMarked
package lobrik.server.judging;

import org.jspecify.annotations.NullMarked;
