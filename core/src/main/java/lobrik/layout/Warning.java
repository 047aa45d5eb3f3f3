package lobrik.layout;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import lobrik.fault.Cure;
import lobrik.fault.Fault;
import lobrik.measure.Length;
import lobrik.shape.Clearance;
import lobrik.shape.Segment;

/**
 * What can be bent but should be thought about, with where on the piece it shows.
 *
 * @param at position along the straight conduit; empty for what concerns the whole piece or the bender
 */
public record Warning(Fault fault, Optional<Length> at) {

    static Warning of(Fault fault, Layout layout, Optional<Clearance> clearance) {
        Optional<Length> at = switch (fault.code()) {
            case MARKS_TOO_CLOSE -> Optional.of(tightest(layout));
            case GRIP_TOO_SHORT, STUB_TOO_SHORT, END_FLATTENS ->
                Optional.of((concernsFarEnd(fault, layout) ? layout.marks().getLast() : mark(layout, 0)).position());
            case STANDING_TOO_SHORT -> Optional.of(middleOfLeg(layout, concernsFarEnd(fault, layout)));
            case LONGER_THAN_STICK -> Optional.of(layout.predicted().length());
            case NOTCH_OFF_CENTRE -> Optional.of(mark(layout, 1).position());
            case ANGLE_NOT_ON_CHART, DEGREES_OVER_LIMIT ->
                Optional.of(mark(layout, 0).position());
            case OBSTACLE_TOUCHED -> clearance.map(Clearance::at);
            case MISSING,
                    BEND_BLOCKED,
                    NOT_POSITIVE,
                    OUT_OF_RANGE,
                    UNKNOWN_VALUE,
                    DUPLICATE,
                    NOT_INCREASING,
                    TOOL_WITHOUT_MARK,
                    OUTSIDE_TABLE,
                    WRONG_NUMBER_OF_BENDS,
                    RADIUS_TOO_SMALL,
                    LEG_SHORTER_THAN_BEND,
                    MARK_OFF_CONDUIT,
                    ARC_OFF_CONDUIT,
                    ARCS_OVERLAP,
                    NOT_A_NINETY,
                    ARROW_LEAD_NEGATIVE,
                    SPACING_IMPOSSIBLE,
                    RADIUS_UNDER_LEAST,
                    NOT_DETERMINED,
                    TOO_FEW_VARIANTS -> Optional.empty();
        };
        return new Warning(fault, at);
    }

    Warning curedBy(List<Cure> cures) {
        return new Warning(fault.curedBy(cures), at);
    }

    private static boolean concernsFarEnd(Fault fault, Layout layout) {
        return fault.input().equals(InputsConcerned.farEnd(layout.job().bend()));
    }

    private static Mark mark(Layout layout, int index) {
        return layout.marks().get(index);
    }

    private static Length middleOfLeg(Layout layout, boolean far) {
        List<Segment.Straight> straights = layout.predicted().straights();
        Length half =
                (far ? straights.getLast() : straights.getFirst()).length().times(0.5);
        return far ? layout.predicted().length().minus(half) : half;
    }

    /** The middle between the two rings whose bends leave least straight between them. */
    private static Length tightest(Layout layout) {
        List<Segment.Straight> straights = layout.predicted().straights();
        int between = IntStream.range(1, straights.size() - 1)
                .boxed()
                .min(Comparator.comparing(i -> straights.get(i).length()))
                .orElseThrow();
        return mark(layout, between - 1)
                .position()
                .plus(mark(layout, between).position())
                .times(0.5);
    }
}
