/** Photos taken in: checked, turned upright, made small, and stripped of everything but the picture. */
@NullMarked
package lobrik.server.photo;

import org.jspecify.annotations.NullMarked;
