package lobrik.bend;

import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;

/** Inputs and choices that several kinds of bend share. */
final class Fields {

    static final WhenOpen OPEN = new WhenOpen.Open();

    static final Field OVERALL = Field.of(InputId.OVERALL, "Overall", Role.FAR_END, Range.POSITIVE, First.NONE)
            .on(FeatureId.OVERALL)
            .to(End.START, End.END)
            .orElse(OPEN);

    static final Field ANGLE = angle("30", Range.OF_ANGLE);

    static final Field DISTANCE = Field.of(
                    InputId.DISTANCE, "Distance", Role.PLACE, Range.POSITIVE, new First("36", "900"))
            .on(FeatureId.LANDING)
            .to(End.START);

    static final Choice PLACEMENT = new Choice(
            "placement",
            "Placed by",
            Choice.Of.WORKING,
            new Choice.Option(Placement.ARROW, "By the arrow"),
            new Choice.Option(Placement.STAR, "By the star"));

    static final Choice TOWARDS = new Choice(
                    "towards",
                    "Towards",
                    Choice.Of.PLACE,
                    new Choice.Option(Towards.RIGHT, "Right"),
                    new Choice.Option(Towards.LEFT, "Left"),
                    new Choice.Option(Towards.UP, "Up"),
                    new Choice.Option(Towards.DOWN, "Down"),
                    new Choice.Option(Towards.OUT, "Out of the wall"),
                    new Choice.Option(Towards.IN, "Into the wall"))
            .asked();

    private Fields() {}

    /** Clearance over an obstacle, none where nothing is said. */
    static Field clearance(String inches, String millimetres) {
        return Field.of(
                        InputId.CLEARANCE,
                        "Clearance",
                        Role.CLEARANCE,
                        Range.OF_CLEARANCE,
                        new First(inches, millimetres))
                .orElse(new WhenOpen.Usual(Length.ZERO));
    }

    /** The angle of all bends. */
    static Field angle(String first, Range range) {
        return Field.of(InputId.ANGLE, "Angle", Role.ANGLE, range, new First(first, first))
                .on(FeatureId.angle(1));
    }

    static Field rise(String inches, String millimetres) {
        return Field.of(InputId.RISE, "Rise", Role.SIZE, Range.POSITIVE, new First(inches, millimetres))
                .on(FeatureId.RISE);
    }

    static Field height(String inches, String millimetres) {
        return Field.of(InputId.HEIGHT, "Height", Role.SIZE, Range.POSITIVE, new First(inches, millimetres))
                .on(FeatureId.HEIGHT);
    }

    /** From where a distance was measured. */
    static Choice layout(String beforeObstacle, String fromEdge) {
        return new Choice(
                "layout",
                "Distance measured",
                Choice.Of.PLACE,
                new Choice.Option(OffsetLayout.BEFORE_OBSTACLE, beforeObstacle),
                new Choice.Option(OffsetLayout.FROM_EDGE, fromEdge));
    }
}
