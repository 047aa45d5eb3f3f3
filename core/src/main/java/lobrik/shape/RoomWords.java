package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;

/**
 * Says how far something is off in the room, to a sixteenth of an inch.
 *
 * @param up words for what is off upwards
 * @param down and for what is off downwards
 */
public record RoomWords(LengthUnit unit, String up, String down) {

    /**
     * Each direction in which it is off.
     *
     * @param off inches to the right, up and out of the wall
     * @return empty where it is not off by a sixteenth in any
     */
    public String of(Vector3 off) {
        List<String> parts = new ArrayList<>();
        side(parts, off.x(), "to the right", "to the left");
        side(parts, off.y(), up, down);
        side(parts, off.z(), "out of the wall", "into the wall");
        return String.join(", ", parts);
    }

    private void side(List<String> parts, double inches, String one, String other) {
        Length off = Length.ofInches(Math.abs(inches)).nearest(TapeDivision.SIXTEENTH);
        if (off.isPositive()) {
            parts.add(off.inWords(unit) + " " + (inches > 0 ? one : other));
        }
    }
}
