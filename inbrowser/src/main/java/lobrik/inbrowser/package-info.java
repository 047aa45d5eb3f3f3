/** The core's rules of taking a reading, as functions for the screens: the same Java, compiled to JavaScript. */
@NullMarked
package lobrik.inbrowser;

import org.jspecify.annotations.NullMarked;
