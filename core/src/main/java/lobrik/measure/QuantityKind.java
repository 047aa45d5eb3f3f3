package lobrik.measure;

/** What something is measured as: by a tape or by a level. */
public enum QuantityKind {
    LENGTH("length"),
    ANGLE("angle");

    private final String id;

    QuantityKind(String id) {
        this.id = id;
    }

    /** As programs see it: {@code length}. */
    public String id() {
        return id;
    }

    /** So many inches or degrees. */
    public Quantity of(double number) {
        return switch (this) {
            case LENGTH -> Length.ofInches(number);
            case ANGLE -> Angle.ofDegrees(number);
        };
    }

    /** So many picometres or nanodegrees. */
    public Quantity ofCount(long count) {
        return switch (this) {
            case LENGTH -> new Length(count);
            case ANGLE -> new Angle(count);
        };
    }
}
