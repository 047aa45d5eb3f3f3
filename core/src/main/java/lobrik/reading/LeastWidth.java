package lobrik.reading;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Length;
import lobrik.measure.Percentage;

/**
 * How wide a bend is where it is flattest, as a caliper reads it, of what the conduit is wide where it is straight.
 *
 * @param least more than 0, at most the diameter
 * @param diameter more than 0
 */
public record LeastWidth(Length least, Length diameter) {

    /** @throws lobrik.fault.Refused if one of them is nothing, or the bend is wider than the conduit */
    public LeastWidth {
        Faults faults = new Faults();
        if (!diameter.isPositive()) {
            faults.add(
                    FaultCode.NOT_POSITIVE,
                    "diameter",
                    "the diameter is " + diameter.inWords() + "; it must be more than 0");
        } else if (!least.isPositive() || least.isMoreThan(diameter)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "least",
                    "the least width is " + least.inWords() + "; of a conduit of " + diameter.inWords()
                            + " it is more than 0 and at most that: give the least width first, then the diameter");
        }
        faults.refuseIfAny();
    }

    /** Formula {@code flattening}, handbook 4.10: one less the least width over the diameter. */
    public Percentage flattening() {
        return Percentage.of(100.0 * (diameter.picometres() - least.picometres()) / diameter.picometres());
    }
}
