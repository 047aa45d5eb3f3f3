package lobrik.remedy;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/** One thing to do with a finished piece. */
public sealed interface RemedyStep {

    /** An end of the conduit. */
    enum End {
        DATUM,
        FAR
    }

    /** Put a bend back on its mark and close it by so much, or with a negative angle ease it open. */
    record Rebend(int bend, Angle by) implements RemedyStep {}

    /** Take a dog leg out: turn the part from this bend on back into the plane of the others. */
    record Untwist(int bend, Angle by) implements RemedyStep {}

    /** Cut so much off an end, and ream it. */
    record Trim(End end, Length by) implements RemedyStep {}
}
