/**
 * Lengths and angles as exact values, and how the trade writes them (handbook 8).
 *
 * <p>Verbs: {@code of…} makes a value from a number whose unit is in the name, {@code parse} reads what a person typed
 * and refuses with place and reason, {@code plus}, {@code minus}, {@code times} calculate, {@code nearest} rounds to a
 * division that the caller names, {@code text} writes. Nothing else in the core rounds.
 */
package lobrik.measure;
