/** Progress: a trainee's attempts over time, a cohort at a glance. */
@NullMarked
package lobrik.server.progress;

import org.jspecify.annotations.NullMarked;
