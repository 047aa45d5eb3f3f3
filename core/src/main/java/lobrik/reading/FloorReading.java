package lobrik.reading;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Quantity;

/**
 * What a level reads on the floor, or on the leg that lies on it, before it is laid on a bend (handbook, levels and floors). A level
 * knows only the horizontal, so that every angle read with it is off by as much as the floor slopes.
 *
 * @param tilt positive where the floor rises the way the bend does, −10° to 10°
 */
public record FloorReading(Angle tilt) {

    /** Nobody lays out on a floor that slopes more; the level stood on something else. */
    private static final Angle STEEPEST = Angle.ofDegrees(10);

    /** @throws lobrik.fault.Refused if it is steeper than a floor is */
    public FloorReading {
        Faults faults = new Faults();
        if (tilt.isMoreThan(STEEPEST) || tilt.isLessThan(Angle.ZERO.minus(STEEPEST))) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "floor",
                    "the floor's reading is " + tilt.signedText()
                            + "; a floor is from −10° to +10°: lay the level on the floor, or on"
                            + " the leg that lies on it, pointing as it will on the bend");
        }
        faults.refuseIfAny();
    }

    /**
     * What was typed for a floor: degrees with their sign.
     *
     * @throws lobrik.measure.RefusedText for what is no angle
     * @throws lobrik.fault.Refused if it is steeper than a floor is
     */
    public static FloorReading parse(String text) {
        return new FloorReading(Angle.parseSigned(text));
    }

    /** Whether a feature is read with a level, against the horizontal: angles are; planes are seen along the conduit. */
    public static boolean concerns(FeatureId feature) {
        return feature.kind().isReadByLevel();
    }

    /** The true figure of what was read by level. Formula {@code angle-by-level}, handbook 4: reading − floor reading, with signs. */
    public Quantity corrected(Quantity read) {
        return read.withCount(read.count() - tilt.count());
    }
}
