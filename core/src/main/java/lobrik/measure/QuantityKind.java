package lobrik.measure;

/** What something is measured as: by a tape, by a level or by a caliper. */
public enum QuantityKind {
    LENGTH("length"),
    ANGLE("angle"),
    PERCENTAGE("percentage");

    private final String id;

    QuantityKind(String id) {
        this.id = id;
    }

    /** As programs see it: {@code length}. */
    public String id() {
        return id;
    }

    /** So many inches, degrees or per cent. */
    public Quantity of(double number) {
        return switch (this) {
            case LENGTH -> Length.ofInches(number);
            case ANGLE -> Angle.ofDegrees(number);
            case PERCENTAGE -> Percentage.of(number);
        };
    }

    /** So many picometres, nanodegrees or billionths of one per cent. */
    public Quantity ofCount(long count) {
        return switch (this) {
            case LENGTH -> new Length(count);
            case ANGLE -> new Angle(count);
            case PERCENTAGE -> new Percentage(count);
        };
    }
}
