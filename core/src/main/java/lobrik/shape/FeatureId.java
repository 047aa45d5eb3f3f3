package lobrik.shape;

/** What is measured on a piece (handbook 6). The ids are stable. */
public enum FeatureId {
    /** Position of the first mark from the datum end. */
    MARK_1("mark1", Kind.LENGTH),
    /** Datum end face to the back of the bend. */
    LEG("leg", Kind.LENGTH),
    /** Angle of the first bend at rest. */
    ANGLE_1("angle1", Kind.ANGLE),
    /** Back of the bend to the far end face. */
    OTHER_LEG("otherLeg", Kind.LENGTH);

    /** What it is measured in. */
    public enum Kind {
        LENGTH,
        ANGLE
    }

    private final String id;
    private final Kind kind;

    FeatureId(String id, Kind kind) {
        this.id = id;
        this.kind = kind;
    }

    public String id() {
        return id;
    }

    public Kind kind() {
        return kind;
    }
}
