package lobrik.progress;

import lobrik.measure.Quantity;

/** From one quantity to another of the same type, the smaller first. */
public record Interval(Quantity from, Quantity to) {

    /** Whether nothing is inside, or on a limit. */
    public boolean holdsZero() {
        return from.count() <= 0 && to.count() >= 0;
    }
}
