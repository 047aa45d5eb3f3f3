package lobrik.reading;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A twist as it is seen on a flat floor: one leg lies flat, and the other stands off by the gap, so far along as the span.
 *
 * @param gap 0 or more, at most the span
 * @param span more than 0
 */
public record GapOverSpan(Length gap, Length span) {

    /** @throws lobrik.fault.Refused if the span is nothing or the gap is wider than it */
    public GapOverSpan {
        Faults faults = new Faults();
        if (!span.isPositive()) {
            faults.add(FaultCode.NOT_POSITIVE, "span", "the span is " + span.inWords() + "; it must be more than 0");
        } else if (gap.isNegative() || gap.isMoreThan(span)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "gap",
                    "the gap is " + gap.inWords() + "; over a span of " + span.inWords()
                            + " it is from 0 to that: give the gap first, then the span");
        }
        faults.refuseIfAny();
    }

    /** The angle of the twist. Formula {@code dog-leg-of-gap}, handbook 6: asin(gap / span). */
    public Angle angle() {
        return Angle.ofRadians(Math.asin((double) gap.picometres() / span.picometres()));
    }
}
