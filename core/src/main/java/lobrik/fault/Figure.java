package lobrik.fault;

import lobrik.measure.Quantity;

/**
 * A figure that a fault rests on.
 *
 * @param name what it is, such as {@code least rise}
 */
public record Figure(String name, Quantity value) {}
