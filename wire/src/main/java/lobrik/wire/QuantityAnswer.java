package lobrik.wire;

/** What was typed, as a number: inches or degrees. */
public record QuantityAnswer(double value, Unit unit) {}
