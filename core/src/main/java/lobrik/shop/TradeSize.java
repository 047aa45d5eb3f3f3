package lobrik.shop;

/** The trade sizes of conduit, by which it is bought; the true diameter is in {@link ConduitTable}. */
public enum TradeSize {
    HALF("1/2"),
    THREE_QUARTERS("3/4"),
    ONE("1"),
    ONE_AND_A_QUARTER("1 1/4"),
    ONE_AND_A_HALF("1 1/2"),
    TWO("2"),
    TWO_AND_A_HALF("2 1/2"),
    THREE("3"),
    THREE_AND_A_HALF("3 1/2"),
    FOUR("4");

    private final String label;

    TradeSize(String label) {
        this.label = label;
    }

    /** As it is written on the conduit, such as {@code 1 1/4}. */
    public String label() {
        return label;
    }
}
