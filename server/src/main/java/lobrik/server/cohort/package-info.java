/** Centres, cohorts and trainees, and who may see which. */
@NullMarked
package lobrik.server.cohort;

import org.jspecify.annotations.NullMarked;
