/**
 * Taking a reading at the bench: what was typed as a quantity, whether it looks like a slip of the finger, the next line of
 * the tape, whether a gauge is steady, and which features are read at all. These are the rules that a screen also needs
 * while it has no signal, so this package is compiled for the browser as well.
 */
package lobrik.reading;
