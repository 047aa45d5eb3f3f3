package lobrik.layout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * The trade's card of multipliers, as data (handbook 3): rounded figures that fit in a head. A school teaches its own.
 *
 * @param rows one for each angle, from the flattest
 */
public record MultiplierChart(List<Row> rows) {

    /**
     * One angle of the card.
     *
     * @param multiplier spacing of marks per inch of rise, more than 0
     * @param shrinkPerInch shrink per inch of rise, 0 or more
     */
    public record Row(Angle angle, double multiplier, double shrinkPerInch) {

        private static final double LARGEST = 100;

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public Row {
            Faults faults = new Faults();
            faults.requireWithin("angleDeg", "the angle", angle, Angle.ofDegrees(0.1), Angle.RIGHT);
            if (!(multiplier > 0 && multiplier <= LARGEST)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        "multiplier",
                        "the multiplier is " + multiplier + "; it must be more than 0 and at most 100");
            }
            if (!(shrinkPerInch >= 0 && shrinkPerInch <= LARGEST)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        "shrinkPerInch",
                        "the shrink per inch is " + shrinkPerInch + "; it must be from 0 to 100");
            }
            faults.refuseIfAny();
        }
    }

    /** The usual card; many say 4 for 15°. */
    public static final MultiplierChart USUAL = new MultiplierChart(List.of(
            row(10, 6.0, 1.0 / 16),
            row(15, 3.9, 1.0 / 8),
            row(22.5, 2.6, 3.0 / 16),
            row(30, 2.0, 1.0 / 4),
            row(45, 1.4, 3.0 / 8),
            row(60, 1.2, 1.0 / 2)));

    /** The usual field factor for the outer marks of a 22½–45–22½ saddle, per inch of height (handbook 4.6). */
    public static final double SADDLE_FACTOR = 2.5;

    /** The outer angle that the field factor is for. */
    public static final Angle SADDLE_FACTOR_ANGLE = Angle.ofDegrees(22.5);

    public MultiplierChart {
        rows = List.copyOf(rows);
    }

    private static Row row(double degrees, double multiplier, double shrinkPerInch) {
        return new Row(Angle.ofDegrees(degrees), multiplier, shrinkPerInch);
    }

    /** This card with some rows of another: each takes the place of the row for its angle, or is added. */
    public MultiplierChart with(List<Row> others) {
        List<Row> merged = new ArrayList<>(rows);
        for (Row other : others) {
            merged.removeIf(row -> row.angle().equals(other.angle()));
            merged.add(other);
        }
        merged.sort(Comparator.comparing(Row::angle));
        return new MultiplierChart(merged);
    }

    /** Whether the card has this angle. For others {@link #multiplier} and {@link #shrinkPerInch} are not rounded. */
    public boolean has(Angle angle) {
        return row(angle).isPresent();
    }

    private Optional<Row> row(Angle angle) {
        for (Row row : rows) {
            if (row.angle().equals(angle)) {
                return Optional.of(row);
            }
        }
        return Optional.empty();
    }

    /** Spacing of marks per inch of rise: from the card, else {@code csc θ}. Formula {@code multiplier}, handbook 3. */
    public double multiplier(Angle angle) {
        return row(angle).map(Row::multiplier).orElseGet(() -> cosecant(angle));
    }

    /** {@code csc θ}: what a multiplier rounds. Formula {@code cosecant}, handbook 3. */
    public static double cosecant(Angle angle) {
        return 1 / Math.sin(angle.radians());
    }

    /** Shrink per inch of rise: from the card, else {@code tan(θ/2)}. Formula {@code shrink-per-inch}, handbook 3. */
    public double shrinkPerInch(Angle angle) {
        return row(angle).map(Row::shrinkPerInch).orElseGet(() -> Math.tan(angle.radians() / 2));
    }

    /** {@code L = multiplier × h}. Formula {@code chart-spacing}, handbook 4.3. */
    public Length spacing(Length rise, Angle angle) {
        return rise.times(multiplier(angle));
    }

    /** Shrink per inch × {@code h}. Formula {@code chart-shrink}, handbook 4.3. */
    public Length shrink(Length rise, Angle angle) {
        return rise.times(shrinkPerInch(angle));
    }
}
