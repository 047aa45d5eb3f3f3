/**
 * Out and in: gradebooks, every reading, all about one person, learning records, rosters, and the erasure of a person. Everything goes
 * out as a stream, row by row, however much there is.
 */
@NullMarked
package lobrik.server.transfer;

import org.jspecify.annotations.NullMarked;
