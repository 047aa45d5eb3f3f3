package lobrik.server.calc;

import lobrik.server.platform.Unit;

/** What was typed, as a number: inches or degrees. */
public record QuantityAnswer(double value, Unit unit) {}
