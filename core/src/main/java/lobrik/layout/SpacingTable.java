package lobrik.layout;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import lobrik.bend.Bend;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Saddle3;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shop.Tooling;

/**
 * Distances of rings by height with one bender, for a card to carry: by the card's multipliers, and laid out exactly (handbook 4.3,
 * 4.6).
 *
 * @param angles of the columns
 * @param rows by height
 */
public record SpacingTable(List<Angle> angles, List<Row> rows) {

    /** A height with the distances of its rings, one for each angle. */
    public record Row(Length height, List<Spacing> spacings) {}

    /**
     * From one ring to the next, unrounded.
     *
     * @param byCard empty where it cannot be bent by the card
     * @param exactly empty where it cannot be bent at all with this bender
     */
    public record Spacing(Optional<Length> byCard, Optional<Length> exactly) {}

    private static final List<Angle> OFFSET_ANGLES =
            List.of(Angle.ofDegrees(22.5), Angle.ofDegrees(30), Angle.ofDegrees(45));

    /** So far along that no ring of a table is off the conduit. */
    private static final Length FAR_ENOUGH = Length.ofInches(100);

    private static final int RISES = 8;
    private static final double MILLIMETRES_OF_A_RISE = 25;
    private static final int HEIGHTS = 7;
    private static final double LEAST_MILLIMETRES = 30;
    private static final double MILLIMETRES_MORE = 10;

    /** Offsets of 1 to 8 in, or of 25 to 200 mm. */
    public static SpacingTable offsets(Tooling tooling, MultiplierChart chart, LengthUnit unit) {
        List<Row> rows = IntStream.rangeClosed(1, RISES)
                .mapToObj(step -> switch (unit) {
                    case INCH -> Length.ofInches(step);
                    case MILLIMETRE -> Length.ofMillimetres(step * MILLIMETRES_OF_A_RISE);
                })
                .map(rise -> new Row(
                        rise,
                        OFFSET_ANGLES.stream()
                                .map(angle -> spacing(offset(rise, angle), tooling, chart))
                                .toList()))
                .toList();
        return new SpacingTable(OFFSET_ANGLES, rows);
    }

    /** Three-point saddles of 1 to 4 in, or of 30 to 90 mm: from the first ring to the middle one. */
    public static SpacingTable saddles(Tooling tooling, MultiplierChart chart, LengthUnit unit) {
        List<Row> rows = IntStream.range(0, HEIGHTS)
                .mapToObj(step -> switch (unit) {
                    case INCH -> Length.ofInches(1 + step / 2.0);
                    case MILLIMETRE -> Length.ofMillimetres(LEAST_MILLIMETRES + step * MILLIMETRES_MORE);
                })
                .map(height -> new Row(height, List.of(spacing(saddle(height), tooling, chart))))
                .toList();
        return new SpacingTable(List.of(Saddle3.USUAL_OUTER_ANGLE), rows);
    }

    private static Bend offset(Length rise, Angle angle) {
        return new Offset(rise, Length.ZERO, angle, FAR_ENOUGH, OffsetLayout.BEFORE_OBSTACLE, Optional.empty());
    }

    private static Bend saddle(Length height) {
        return new Saddle3(
                height,
                Length.ZERO,
                Saddle3.USUAL_OUTER_ANGLE,
                FAR_ENOUGH,
                Saddle3.Spacing.FACTOR,
                Saddle3.Order.CENTRE_FIRST,
                Optional.empty());
    }

    private static Spacing spacing(Bend bend, Tooling tooling, MultiplierChart chart) {
        return new Spacing(apart(bend, tooling, chart, Method.CHART), apart(bend, tooling, chart, Method.EXACT));
    }

    private static Optional<Length> apart(Bend bend, Tooling tooling, MultiplierChart chart, Method method) {
        School school = new School(method, chart, TapeDivision.NONE, RunLimits.USUAL);
        try {
            List<Mark> marks = Layout.of(new Job(bend, tooling, school)).marks();
            return Optional.of(marks.get(1).position().minus(marks.get(0).position()));
        } catch (Refused tooTight) {
            return Optional.empty();
        }
    }
}
