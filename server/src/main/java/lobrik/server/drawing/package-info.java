/**
 * Drawings of an exercise on paper and for other programs: the strip and the elevation, as SVG, DXF and in PDF.
 *
 * <p>Conventions. Inches at full size, x to the right, y up. The strip begins at x = 0 at the datum end, its underside at
 * y = 0; an elevation stands on y = 0.
 */
@NullMarked
package lobrik.server.drawing;

import org.jspecify.annotations.NullMarked;
