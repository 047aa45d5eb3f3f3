package lobrik.server.calc;

/** What was typed, as a number: inches or degrees. */
public record QuantityAnswer(double value, LayoutAnswer.Unit unit) {}
