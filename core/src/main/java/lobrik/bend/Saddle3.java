package lobrik.bend;

import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A three-point saddle over a round or narrow obstacle (handbook 4.6).
 *
 * @param height of the obstacle
 * @param clearance added to it, 0 or more
 * @param outerAngle {@code α} of the outer bends; the centre bend is {@code 2α}
 * @param centre {@code D}: from the datum end to the middle of the obstacle
 * @param spacing how chart practice finds the outer marks
 * @param overall finished length wanted, if it is
 */
public record Saddle3(
        Length height,
        Length clearance,
        Angle outerAngle,
        Length centre,
        Spacing spacing,
        Order order,
        Optional<Length> overall)
        implements AlongLeg {

    public static final Angle USUAL_OUTER_ANGLE = Angle.ofDegrees(22.5);

    private static final Field HEIGHT = Fields.height("2 3/8", "60");
    private static final Field CLEARANCE = Fields.clearance("1", "25");

    /** At most so steep that the centre bend is 120°. */
    private static final Field OUTER_ANGLE = Field.of(
                    InputId.OUTER_ANGLE,
                    "Outer angle",
                    Role.ANGLE,
                    Range.upTo(Angle.ofDegrees(60)),
                    new First("22.5", "22.5"))
            .on(FeatureId.angle(1))
            .called("the outer angle")
            .orElse(new WhenOpen.Usual(USUAL_OUTER_ANGLE));

    private static final Field CENTRE = Field.of(
                    InputId.CENTRE, "Centre", Role.PLACE, Range.POSITIVE, new First("30", "760"))
            .on(FeatureId.CENTRE)
            .to(End.START);
    private static final Choice SPACING = new Choice(
            "spacing",
            "Outer marks",
            Choice.Of.WORKING,
            new Choice.Option(Spacing.FACTOR, "2.5 × the height"),
            new Choice.Option(Spacing.COSECANT, "By the multiplier"));
    private static final Choice ORDER = new Choice(
            "order",
            "Order",
            Choice.Of.WORKING,
            new Choice.Option(Order.CENTRE_FIRST, "Centre first"),
            new Choice.Option(Order.PUSH_THROUGH, "Push through"));

    static final Form<Saddle3> FORM = Form.of(Saddle3.class)
            .ask(HEIGHT, Saddle3::height)
            .ask(CLEARANCE, Saddle3::clearance)
            .ask(OUTER_ANGLE, Saddle3::outerAngle)
            .ask(CENTRE, Saddle3::centre)
            .askOpen(Fields.OVERALL, Saddle3::overall)
            .leave(SPACING, Saddle3::spacing)
            .leave(ORDER, Saddle3::order)
            .makes(said -> new Saddle3(
                    said.length(InputId.HEIGHT),
                    said.length(InputId.CLEARANCE),
                    said.angle(InputId.OUTER_ANGLE),
                    said.length(InputId.CENTRE),
                    said.option(SPACING, Spacing.class),
                    said.option(ORDER, Order.class),
                    said.open(InputId.OVERALL)));

    /** How chart practice finds the outer marks. */
    public enum Spacing {
        /** The usual 2.5 per inch of height for 22½°; the multiplier for other angles. */
        FACTOR,
        /** The multiplier, for every angle. */
        COSECANT
    }

    /** In which order the bends are made. */
    public enum Order {
        /** Centre, one outer bend, then turned end for end for the other. */
        CENTRE_FIRST,
        /** Outer, centre, outer, never turned end for end. */
        PUSH_THROUGH
    }

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Saddle3 {
        Faults faults = new Faults();
        HEIGHT.require(faults, height);
        CLEARANCE.require(faults, clearance);
        OUTER_ANGLE.require(faults, outerAngle);
        CENTRE.require(faults, centre);
        Fields.OVERALL.require(faults, overall);
        faults.refuseIfAny();
    }

    /** {@code h}: the height with its clearance. */
    public Length raised() {
        return height.plus(clearance);
    }

    /** {@code 2α}. */
    public Angle centreAngle() {
        return outerAngle.plus(outerAngle);
    }

    /** The same with its middle elsewhere. */
    public Saddle3 at(Length otherCentre) {
        return new Saddle3(height, clearance, outerAngle, otherCentre, spacing, order, overall);
    }
}
