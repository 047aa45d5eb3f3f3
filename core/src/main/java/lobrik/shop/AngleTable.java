package lobrik.shop;

import java.util.List;
import java.util.function.ToDoubleFunction;
import lobrik.measure.Angle;

/** Rows over an angle, between which a figure is interpolated on a straight line. */
final class AngleTable {

    /** More rows than anybody fills by test bends. */
    static final int MOST_ROWS = 50;

    private AngleTable() {}

    /**
     * The figure at an angle, from its nearest row below and its nearest above.
     *
     * @param rows in order of their angles, at least one
     * @param angle from the first row's to the last row's
     */
    static <R> double between(List<R> rows, ToDoubleFunction<R> angleOf, ToDoubleFunction<R> figureOf, Angle angle) {
        double at = angle.degrees();
        for (int i = 1; i < rows.size(); i++) {
            double above = angleOf.applyAsDouble(rows.get(i));
            if (at <= above) {
                double below = angleOf.applyAsDouble(rows.get(i - 1));
                double part = (at - below) / (above - below);
                double figure = figureOf.applyAsDouble(rows.get(i - 1));
                return figure + part * (figureOf.applyAsDouble(rows.get(i)) - figure);
            }
        }
        return figureOf.applyAsDouble(rows.getLast());
    }
}
