package lobrik.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tool;
import lobrik.shop.ToolKind;

/**
 * A piece as far as it tells of the hand bender that it was bent on; see {@link ClassCalibration}.
 *
 * @param person who bent it
 * @param bender on which
 * @param day it was measured, counted from any beginning
 * @param ninety what was read of it, if it is a stub that was set by the arrow, and everything of it was read
 * @param turns what was asked and read of each of its bends
 */
public record ClassPiece(String person, String bender, long day, Optional<Ninety> ninety, List<Turn> turns) {

    private static final double RIGHT = 90;
    private static final double NEAR_RIGHT = 30;

    public ClassPiece {
        turns = List.copyOf(turns);
    }

    /**
     * What was read of a piece that was bent once, and not bent on or eased.
     *
     * @param layout by which it was bent
     * @param readings that count
     */
    public static ClassPiece of(
            String person, String bender, long day, Layout layout, Map<FeatureId, Quantity> readings) {
        Tool tool = layout.job().tooling().tool();
        if (tool.kind() != ToolKind.SHOE) {
            return new ClassPiece(person, bender, day, Optional.empty(), List.of());
        }
        List<Turn> turns = new ArrayList<>();
        for (PlannedFeature feature : layout.features()) {
            Quantity read = readings.get(feature.id());
            if (feature.id().kind() == FeatureKind.ANGLE && read != null) {
                Angle asked = new Angle(feature.asked().count());
                turns.add(new Turn(asked, new Angle(read.count()), tool.springback(asked)));
            }
        }
        return new ClassPiece(person, bender, day, ninety(layout, readings), turns);
    }

    private static Optional<Ninety> ninety(Layout layout, Map<FeatureId, Quantity> readings) {
        // Nothing but a stub has another leg.
        boolean byTheArrow = layout.marks()
                .getFirst()
                .placing()
                .onShoe()
                .equals(Optional.of(new ShoePlacing(Reference.ARROW, HookSide.DATUM)));
        Quantity mark = readings.get(FeatureId.mark(1));
        Quantity leg = readings.get(FeatureId.LEG);
        Quantity other = readings.get(FeatureId.OTHER_LEG);
        Quantity angle = readings.get(FeatureId.angle(1));
        if (!byTheArrow || mark == null || leg == null || other == null || angle == null) {
            return Optional.empty();
        }
        return layout.cutLength()
                .map(straight -> new Ninety(
                        layout.job().tooling().conduit().outsideDiameter(),
                        straight,
                        new Length(mark.count()),
                        new Length(leg.count()),
                        new Length(other.count()),
                        new Angle(angle.count())))
                .filter(Ninety::tells);
    }

    /**
     * A stub ninety.
     *
     * @param diameter outside, of the conduit
     * @param straight length before bending
     * @param mark as ringed, from the datum end
     * @param markedLeg as read
     * @param otherLeg as read
     * @param angle as read
     */
    public record Ninety(
            Length diameter, Length straight, Length mark, Length markedLeg, Length otherLeg, Angle angle) {

        /** Whether legs along such an angle say anything of the bender: within 30° of a right one. */
        public boolean tells() {
            return Math.abs(angle.degrees() - RIGHT) <= NEAR_RIGHT;
        }

        private double k() {
            double theta = angle.radians();
            return (1 - Math.cos(theta)) / Math.sin(theta);
        }

        /** The radius that this piece speaks of, inches. */
        double radius() {
            double theta = angle.radians();
            double both = markedLeg.inches() + otherLeg.inches() - straight.inches();
            return (both - diameter.inches() / Math.sin(theta)) / (2 * k() - theta);
        }

        /** The take-up that this piece speaks of on a bender of this radius, both in inches. */
        double takeUp(double radius) {
            double theta = angle.radians();
            return (markedLeg.inches()
                            - otherLeg.inches()
                            - 2 * mark.inches()
                            + straight.inches()
                            + diameter.inches()
                            + radius * (2 - theta))
                    / 2;
        }

        /** The square of what both legs are off from those that a bender of these figures would have given, square inches. */
        double squaresOff(double takeUp, double radius) {
            double theta = angle.radians();
            double half = diameter.inches() / 2;
            double back = radius * k() + half / Math.sin(theta);
            double marked = mark.inches() + takeUp - radius - half + back;
            double other = straight.inches() - mark.inches() - takeUp + radius + half - radius * theta + back;
            double offMarked = markedLeg.inches() - marked;
            double offOther = otherLeg.inches() - other;
            return offMarked * offMarked + offOther * offOther;
        }
    }

    /**
     * A bend.
     *
     * @param countedOn springback that it was pulled further by
     */
    public record Turn(Angle asked, Angle read, Angle countedOn) {

        /** What it came back by, degrees. */
        double springback() {
            return countedOn.degrees() - (read.degrees() - asked.degrees());
        }
    }
}
