package lobrik.shop;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Angle;

/**
 * How far a bend opens when it is let go, over its angle at rest (handbook 4.11): rows by test bends, in order of their angles.
 * Between two rows on a straight line; outside of them in proportion to the nearest, as an angle that is not bent does not spring.
 *
 * @param rows none where nothing is known: it is then taken not to spring back
 */
public record Springback(List<Row> rows) {

    /** Nothing is known, or it does not spring. */
    public static final Springback NONE = new Springback(List.of());

    private static final Angle LEAST_ANGLE = Angle.ofDegrees(1);
    private static final Angle MOST_ANGLE = Angle.ofDegrees(180);
    private static final Angle MOST = Angle.ofDegrees(45);
    private static final int HALVINGS = 48;

    /**
     * A row.
     *
     * @param rest angle at rest, 1° to 180°
     * @param springback 0° to 45°
     */
    public record Row(Angle rest, Angle springback) {

        /** What it has to be pulled to. */
        Angle underLoad() {
            return rest.plus(springback);
        }
    }

    /** @throws lobrik.fault.Refused with every row that is outside its range, twice there, or less under load than a smaller angle */
    public Springback {
        Faults faults = new Faults();
        if (rows.size() > AngleTable.MOST_ROWS) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "springback",
                    "there are " + rows.size() + " rows of springback; give at most " + AngleTable.MOST_ROWS);
        }
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            String at = "springback/" + i;
            faults.requireWithin(at + "/angleDeg", "the angle at rest", row.rest(), LEAST_ANGLE, MOST_ANGLE);
            faults.requireWithin(at + "/springbackDeg", "the springback", row.springback(), Angle.ZERO, MOST);
            int twin = angles(rows).indexOf(row.rest());
            if (twin < i) {
                faults.add(
                        FaultCode.DUPLICATE,
                        at + "/angleDeg",
                        "two rows say how far " + row.rest().text() + " springs back, "
                                + rows.get(twin).springback().text() + " and "
                                + row.springback().text() + "; keep one of them");
            }
        }
        faults.refuseIfAny();
        rows = rows.stream().sorted(Comparator.comparing(Row::rest)).toList();
        for (int i = 1; i < rows.size(); i++) {
            Row below = rows.get(i - 1);
            Row row = rows.get(i);
            if (!row.underLoad().isMoreThan(below.underLoad())) {
                faults.add(
                        FaultCode.NOT_INCREASING,
                        "springback",
                        row.rest().text() + " would be pulled to "
                                + row.underLoad().text() + ", no further than "
                                + below.rest().text() + " is, to "
                                + below.underLoad().text()
                                + "; measure one of the two again");
            }
        }
        faults.refuseIfAny();
    }

    private static List<Angle> angles(List<Row> rows) {
        return rows.stream().map(Row::rest).toList();
    }

    /**
     * The same at every angle, as nearly as anybody knows.
     *
     * @throws lobrik.fault.Refused if it is not from 0° to 45°
     */
    public static Springback always(Angle springback) {
        Faults faults = new Faults();
        faults.requireWithin("springbackDeg", "the springback", springback, Angle.ZERO, MOST);
        faults.refuseIfAny();
        return springback.equals(Angle.ZERO)
                ? NONE
                : new Springback(List.of(new Row(LEAST_ANGLE, springback), new Row(MOST_ANGLE, springback)));
    }

    /** How far an angle opens. */
    public Angle of(Angle rest) {
        if (rows.isEmpty()) {
            return Angle.ZERO;
        }
        Row nearest = rest.isLessThan(rows.getFirst().rest()) ? rows.getFirst() : rows.getLast();
        if (rest.isLessThan(rows.getFirst().rest())
                || rest.isMoreThan(rows.getLast().rest())) {
            return Angle.ofDegrees(nearest.springback().degrees()
                    * rest.degrees()
                    / nearest.rest().degrees());
        }
        return Angle.ofDegrees(AngleTable.between(
                rows, row -> row.rest().degrees(), row -> row.springback().degrees(), rest));
    }

    /** What stays of an angle that was pulled this far: {@code rest + springback(rest) = underLoad}, by halving. */
    public Angle restOf(Angle underLoad) {
        double low = 0;
        double high = underLoad.degrees();
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (middle + of(Angle.ofDegrees(middle)).degrees() < underLoad.degrees()) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Angle.ofDegrees(high);
    }

    /** The range that its rows cover; none without rows. */
    public Optional<Range> range() {
        return rows.isEmpty()
                ? Optional.empty()
                : Optional.of(new Range(rows.getFirst().rest(), rows.getLast().rest()));
    }

    /** From one angle to another, both included. */
    public record Range(Angle from, Angle to) {

        public boolean has(Angle angle) {
            return !angle.isLessThan(from) && !angle.isMoreThan(to);
        }
    }
}
