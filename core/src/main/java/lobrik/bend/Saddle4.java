package lobrik.bend;

import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A four-point saddle over a wide, boxy obstacle (handbook 4.7).
 *
 * @param height of the obstacle
 * @param clearance added to it, 0 or more
 * @param angle {@code θ} of all four bends
 * @param width {@code W} of the obstacle
 * @param edgeClearance {@code c}: on each side of the obstacle, 0 or more
 * @param measuredTo what the distance runs to
 * @param distance {@code D}: from the datum end
 * @param placement the shoe's mark that is set on the rings; the arrow, except in schools that use the star
 * @param overall finished length wanted, if it is
 */
public record Saddle4(
        Length height,
        Length clearance,
        Angle angle,
        Length width,
        Length edgeClearance,
        MeasuredTo measuredTo,
        Length distance,
        Placement placement,
        Optional<Length> overall)
        implements AlongLeg {

    private static final Field HEIGHT = Fields.height("3 1/4", "80");
    private static final Field CLEARANCE = Fields.clearance("1", "25");
    private static final Field WIDTH = Field.of(
                    InputId.WIDTH, "Width", Role.WIDTH, Range.POSITIVE, new First("11 1/2", "290"))
            .on(FeatureId.FLAT);
    private static final Field EDGE_CLEARANCE = Field.of(
                    InputId.EDGE_CLEARANCE,
                    "Edge clearance",
                    Role.CLEARANCE,
                    Range.OF_CLEARANCE,
                    new First("1/2", "12"))
            .orElse(new WhenOpen.Usual(Length.ZERO));
    private static final Choice REFERENCE = new Choice(
            "reference",
            "Distance measured",
            Choice.Of.PLACE,
            new Choice.Option(MeasuredTo.NEAR_EDGE, "To the near edge"),
            new Choice.Option(MeasuredTo.CENTRED, "To the middle"));

    static final Form<Saddle4> FORM = Form.of(Saddle4.class)
            .ask(HEIGHT, Saddle4::height)
            .ask(CLEARANCE, Saddle4::clearance)
            .ask(Fields.ANGLE, Saddle4::angle)
            .ask(WIDTH, Saddle4::width)
            .ask(EDGE_CLEARANCE, Saddle4::edgeClearance)
            .ask(Fields.DISTANCE, Saddle4::distance)
            .askOpen(Fields.OVERALL, Saddle4::overall)
            .leave(REFERENCE, Saddle4::measuredTo)
            .leave(Fields.PLACEMENT, Saddle4::placement)
            .makes(said -> new Saddle4(
                    said.length(InputId.HEIGHT),
                    said.length(InputId.CLEARANCE),
                    said.angle(InputId.ANGLE),
                    said.length(InputId.WIDTH),
                    said.length(InputId.EDGE_CLEARANCE),
                    said.option(REFERENCE, MeasuredTo.class),
                    said.length(InputId.DISTANCE),
                    said.option(Fields.PLACEMENT, Placement.class),
                    said.open(InputId.OVERALL)));

    /** What the distance of a four-point saddle runs to. */
    public enum MeasuredTo {
        /** The near edge of the obstacle, from a fixed end. */
        NEAR_EDGE,
        /** The middle of the obstacle, as marked on the straight conduit; both ends are free. */
        CENTRED
    }

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Saddle4 {
        Faults faults = new Faults();
        HEIGHT.require(faults, height);
        CLEARANCE.require(faults, clearance);
        Fields.ANGLE.require(faults, angle);
        WIDTH.require(faults, width);
        EDGE_CLEARANCE.require(faults, edgeClearance);
        Fields.DISTANCE.require(faults, distance);
        Fields.OVERALL.require(faults, overall);
        faults.refuseIfAny();
    }

    /** {@code h}: the height with its clearance. */
    public Length raised() {
        return height.plus(clearance);
    }

    /** {@code W + 2c}: from near inner ring to far inner ring. Formula {@code saddle4-flat}, handbook 4.7. */
    public Length flat() {
        return width.plus(edgeClearance.times(2));
    }

    /** The same saddle with its marks set the other way on the shoe. */
    public Saddle4 placedBy(Placement other) {
        return new Saddle4(height, clearance, angle, width, edgeClearance, measuredTo, distance, other, overall);
    }

    /** The same with its obstacle elsewhere. */
    public Saddle4 at(Length otherDistance) {
        return new Saddle4(
                height, clearance, angle, width, edgeClearance, measuredTo, otherDistance, placement, overall);
    }
}
