package lobrik.cause;

import java.util.Optional;
import java.util.OptionalInt;
import lobrik.measure.Quantity;

/**
 * A cause with its figures.
 *
 * @param bend the bend or mark that it is about, from 1; empty where it is about the whole piece
 * @param amount what the cause's id says, signed; empty where it has none
 * @param detail which of several ways it was, in a few words; may be empty
 * @param probability that it played a part, alone or together with another
 */
public record Cause(CauseId id, OptionalInt bend, Optional<Quantity> amount, String detail, double probability) {

    /** The same cause with another probability. */
    Cause with(double other) {
        return new Cause(id, bend, amount, detail, other);
    }

    /** The same cause, of which nobody can say at which bend it was. */
    Cause somewhere() {
        return new Cause(id, OptionalInt.empty(), amount, detail, probability);
    }

    /** Whether both say that the same went wrong at the same place; where a dog leg sits is seldom to be told. */
    boolean isSameAs(Cause other) {
        return id == other.id
                && (bend.equals(other.bend) || id == CauseId.DOG_LEG)
                && (id != CauseId.READING_DOUBTFUL || detail.equals(other.detail));
    }
}
