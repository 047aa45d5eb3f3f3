package lobrik.wire;

import java.util.List;
import java.util.stream.IntStream;
import lobrik.bending.ShownBend;
import lobrik.bending.Stance;
import lobrik.bending.Workplace;
import lobrik.layout.BendingStep;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.shape.Vector3;
import org.jspecify.annotations.Nullable;

/**
 * One bend as it is seen while it is made: the part-bent piece in the shoe. Points are inches over the floor: x towards where the
 * person stands, y up, z to the person's left; the axis in the shoe before the pull is z = 0.
 *
 * @param mark number of its ring
 * @param fromDatumEnd whether the person stands at the datum end
 * @param turnSeenDeg how far the conduit is turned about its axis before it, clockwise as the person sees it
 * @param arcs number of curves in every centreline
 * @param moments from straight to let go
 */
public record ShownBendAnswer(
        int mark, Stance stance, boolean fromDatumEnd, double turnSeenDeg, int arcs, List<MomentAnswer> moments) {

    private static final double FINE = 1000;

    /**
     * One moment.
     *
     * @param bentDeg how far, under load; at rest in the last
     * @param centreline from the datum end: the two ends, and between them equally many points for every curve
     * @param lever from the shoe's centre to its end; null where there is none
     */
    public record MomentAnswer(
            double bentDeg,
            List<List<Double>> centreline,
            @Nullable List<List<Double>> lever) {

        static MomentAnswer of(ShownBend.Moment moment) {
            return new MomentAnswer(
                    moment.bent().degrees(),
                    moment.centreline().stream().map(ShownBendAnswer::point).toList(),
                    moment.lever()
                            .map(lever -> List.of(point(lever.centre()), point(lever.end())))
                            .orElse(null));
        }
    }

    /** All bends of a layout, in the order of bending. */
    static List<ShownBendAnswer> of(Layout layout) {
        List<BendingStep> steps = layout.steps();
        List<ShownBend> shown = ShownBend.of(
                Workplace.USUAL,
                layout.job().tooling(),
                layout.predicted().length(),
                layout.marks().stream().map(Mark::asMarked).toList(),
                steps.stream().map(step -> step.mark().number()).toList());
        return IntStream.range(0, steps.size())
                .mapToObj(i -> of(steps.get(i), shown.get(i), i + 1))
                .toList();
    }

    private static ShownBendAnswer of(BendingStep step, ShownBend shown, int arcs) {
        double turn = step.turn().degrees();
        return new ShownBendAnswer(
                step.mark().number(),
                shown.standing().stance(),
                shown.isSeenFromDatumEnd(),
                shown.isSeenFromDatumEnd() ? turn : -turn,
                arcs,
                shown.moments().stream().map(MomentAnswer::of).toList());
    }

    /** To a thousandth of an inch: it is drawn, not measured. */
    private static List<Double> point(Vector3 point) {
        return List.of(rounded(point.x()), rounded(point.y()), rounded(point.z()));
    }

    private static double rounded(double inches) {
        return Math.round(inches * FINE) / FINE;
    }
}
