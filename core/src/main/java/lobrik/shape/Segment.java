package lobrik.shape;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/** A part of the centreline, from the frame where it begins. */
public sealed interface Segment {

    /** Where and how it begins. */
    Frame start();

    /** Conduit that it takes. */
    Length length();

    /** Where and how it ends. */
    default Frame end() {
        return at(1);
    }

    /** The frame after this part of it, 0 to 1. */
    Frame at(double part);

    /** A straight part; possibly of no length, between two arcs that touch or at an end. */
    record Straight(Frame start, Length length) implements Segment {
        @Override
        public Frame at(double part) {
            return start.ahead(part * length.inches());
        }
    }

    /** A circular arc of centreline radius {@code R} and angle {@code θ} that turns in the direction of its roll. */
    record Arc(Frame start, Length radius, Angle angle, Angle roll, Length length) implements Segment {
        @Override
        public Frame at(double part) {
            return start.turned(radius.inches(), part * angle.radians(), start.bendDirection(roll));
        }
    }
}
