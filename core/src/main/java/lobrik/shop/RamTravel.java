package lobrik.shop;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * How far the ram of a machine comes out, over the angle under load (handbook 4.11): rows by test bends, in order of their angles.
 * Between two rows on a straight line; outside of them nothing is known.
 */
public record RamTravel(List<Row> rows) {

    /** Nothing is known yet. */
    public static final RamTravel NONE = new RamTravel(List.of());

    private static final Angle LEAST_ANGLE = Angle.ofDegrees(1);
    private static final Angle MOST_ANGLE = Angle.ofDegrees(180);

    /**
     * A row.
     *
     * @param underLoad angle under load, 1° to 180°
     * @param travel more than 0
     */
    public record Row(Angle underLoad, Length travel) {}

    /** @throws lobrik.fault.Refused with every row that is outside its range, twice there, or no further out than a smaller angle's */
    public RamTravel {
        Faults faults = new Faults();
        if (rows.size() > AngleTable.MOST_ROWS) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "ramTravel",
                    "there are " + rows.size() + " rows of travel; give at most " + AngleTable.MOST_ROWS);
        }
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            String at = "ramTravel/" + i;
            faults.requireWithin(at + "/angleDeg", "the angle under load", row.underLoad(), LEAST_ANGLE, MOST_ANGLE);
            faults.requirePositive(at + "/travelIn", "the travel", row.travel(), Tool.LARGEST_FIGURE);
            int twin = rows.stream().map(Row::underLoad).toList().indexOf(row.underLoad());
            if (twin < i) {
                faults.add(
                        FaultCode.DUPLICATE,
                        at + "/angleDeg",
                        "two rows say how far the ram comes out for "
                                + row.underLoad().text() + ", "
                                + rows.get(twin).travel().inWords() + " and "
                                + row.travel().inWords() + "; keep one of them");
            }
        }
        faults.refuseIfAny();
        rows = rows.stream().sorted(Comparator.comparing(Row::underLoad)).toList();
        for (int i = 1; i < rows.size(); i++) {
            Row below = rows.get(i - 1);
            Row row = rows.get(i);
            if (!row.travel().isMoreThan(below.travel())) {
                faults.add(
                        FaultCode.NOT_INCREASING,
                        "ramTravel",
                        "for " + row.underLoad().text() + " the ram comes out "
                                + row.travel().inWords() + ", no further than for "
                                + below.underLoad().text() + ", "
                                + below.travel().inWords()
                                + "; measure one of the two again");
            }
        }
        faults.refuseIfAny();
    }

    /** How far the ram is out when the conduit is bent this far under load; empty outside the rows. */
    public Optional<Length> at(Angle underLoad) {
        if (rows.isEmpty()
                || underLoad.isLessThan(rows.getFirst().underLoad())
                || underLoad.isMoreThan(rows.getLast().underLoad())) {
            return Optional.empty();
        }
        return Optional.of(Length.ofInches(AngleTable.between(
                rows, row -> row.underLoad().degrees(), row -> row.travel().inches(), underLoad)));
    }
}
