/** Several servers of one record: what they tell each other, and who does what is to be done once. */
@NullMarked
package lobrik.server.together;

import org.jspecify.annotations.NullMarked;
