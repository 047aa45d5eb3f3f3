package lobrik.layout;

import lobrik.measure.TapeDivision;

/**
 * How a school lays out: its method, its card of multipliers, the tape that marks are rounded to, and the limits it keeps.
 *
 * <p>Choices that belong to one kind of bend, such as the saddle factor, the order of bending or arrow and star, are inputs
 * of that bend.
 */
public record School(Method method, MultiplierChart chart, TapeDivision division, RunLimits limits) {

    /** A school with the usual card and the usual limits. */
    public static School of(Method method, TapeDivision division) {
        return new School(method, MultiplierChart.USUAL, division, RunLimits.USUAL);
    }

    /** The same school with the other method. */
    public School by(Method other) {
        return new School(other, chart, division, limits);
    }
}
