package lobrik.bend;

import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/** Sizes that an input takes. */
sealed interface Range {

    /** More than nothing, and no longer than anybody bends. */
    Range POSITIVE = new Positive(Length.LONGEST_ENTRY);

    /** Nothing or more, and no longer than anybody bends. */
    Range NOT_NEGATIVE = new Lengths(Length.ZERO, Length.LONGEST_ENTRY);

    /** What may be left free beside an obstacle. */
    Range OF_CLEARANCE = new Lengths(Length.ZERO, Length.ofInches(120));

    /** From a degree to a right angle. */
    Range OF_ANGLE = upTo(Angle.RIGHT);

    /** From a degree to the steepest that makes sense. */
    static Range upTo(Angle steepest) {
        return new Angles(Angle.ofDegrees(1), steepest);
    }

    /**
     * Adds a fault where a size is outside.
     *
     * @param input as programs see it
     * @param name in a sentence
     */
    void require(Faults faults, String input, String name, Quantity size);

    /** Lengths of more than nothing. */
    record Positive(Length most) implements Range {
        @Override
        public void require(Faults faults, String input, String name, Quantity size) {
            faults.requirePositive(input, name, (Length) size, most);
        }
    }

    /** Lengths, both limits included. */
    record Lengths(Length least, Length most) implements Range {
        @Override
        public void require(Faults faults, String input, String name, Quantity size) {
            faults.requireWithin(input, name, (Length) size, least, most);
        }
    }

    /** Angles, both limits included. */
    record Angles(Angle least, Angle most) implements Range {
        @Override
        public void require(Faults faults, String input, String name, Quantity size) {
            faults.requireWithin(input, name, (Angle) size, least, most);
        }
    }
}
