/** The floor: what each trainee of a cohort is on. */
@NullMarked
package lobrik.server.floor;

import org.jspecify.annotations.NullMarked;
