package lobrik.layout;

import lobrik.measure.Length;

/**
 * The back of a bend that is made before a mark is set: the tape butts against it, and the mark is taught and rung from there
 * (handbook 4.2).
 *
 * @param bend number of that bend, from 1
 * @param figure of the mark from there
 */
public record BackDatum(int bend, Length figure) {}
