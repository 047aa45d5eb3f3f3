package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.bend.Bend;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.Conduit;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/** Exercises on a 3/4 bender, and what is read of pieces that were made of them. */
public final class Pieces {

    private static final Tooling TOOLING =
            new Tooling(new Conduit(Length.ofInches(0.922)), Shoe.of(Length.ofInches(6), Length.ofInches(5.125)));

    private Pieces() {}

    public static Layout laidOut(Bend bend) {
        return Layout.of(new Job(bend, TOOLING, School.of(Method.CHART, TapeDivision.SIXTEENTH)));
    }

    /** A stub of 18 in on a piece that is 22 in beyond. */
    public static Layout stub() {
        return laidOut(new Stub90(Length.ofInches(18), Optional.of(Length.ofInches(22)), Placement.ARROW));
    }

    /** An offset of 6 in at 30° before an obstacle at 36 in: shrink 1 1/2 in. */
    public static Layout offset() {
        return laidOut(new Offset(
                Length.ofInches(5),
                Length.ofInches(1),
                Angle.ofDegrees(30),
                Length.ofInches(36),
                OffsetLayout.BEFORE_OBSTACLE,
                Optional.of(Length.ofInches(80))));
    }

    public static Layout saddle() {
        return laidOut(new Saddle4(
                Length.ofInches(3.25),
                Length.ofInches(0.75),
                Angle.ofDegrees(30),
                Length.ofInches(11.5),
                Length.ofInches(0.5),
                Saddle4.MeasuredTo.NEAR_EDGE,
                Length.ofInches(36),
                Placement.ARROW,
                Optional.of(Length.ofInches(92))));
    }

    /** What is read of a piece on which bends were moved, opened or twisted; one entry for each bend. */
    public static Map<FeatureId, Quantity> readings(
            Layout layout, double[] movedInches, double[] openedDegrees, double[] twistedDegrees) {
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            int i = mark.number() - 1;
            bends.add(new BendMade(
                    mark.position().plus(Length.ofInches(movedInches[i])),
                    mark.placing(),
                    mark.angle().plus(Angle.ofDegrees(openedDegrees[i])),
                    mark.roll().plus(Angle.ofDegrees(twistedDegrees[i]))));
        }
        Piece piece = Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        for (Feature feature : Features.of(layout.job().bend(), piece)) {
            readings.put(feature.id(), read(feature.value()));
        }
        return readings;
    }

    /** To the line of a tape and to half a degree. */
    private static Quantity read(Quantity value) {
        return switch (value) {
            case Length length -> length.nearest(TapeDivision.SIXTEENTH);
            case Angle angle -> Angle.ofDegrees(Math.rint(2 * angle.degrees()) / 2);
            case Percentage part -> Percentage.of(Math.rint(2 * part.perCent()) / 2);
        };
    }

    /** Only these of some readings. */
    public static Map<FeatureId, Quantity> only(Map<FeatureId, Quantity> readings, FeatureId... wanted) {
        Map<FeatureId, Quantity> chosen = new TreeMap<>(readings);
        chosen.keySet().retainAll(List.of(wanted));
        return chosen;
    }
}
