package lobrik.bending;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * Where a hand bender is worked: figures that a school edits.
 *
 * @param lever from the shoe's centre to the end of the handle
 * @param besideLever to each side of the plane of bending, what the handle and the hands on it need
 * @param uprightAt angle of a bend at which the handle of a shoe on the floor stands upright
 * @param ceiling above the floor
 */
public record Workplace(Length lever, Length besideLever, Angle uprightAt, Length ceiling) {

    /** A handle of 36 in, an inch to each side, upright at 30°, under a ceiling of 9 ft (handbook 4.9). */
    public static final Workplace USUAL =
            new Workplace(Length.ofInches(36), Length.ofInches(1), Angle.ofDegrees(30), Length.ofInches(108));
}
