package lobrik.fault;

import java.util.ArrayList;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;

/** Collects the faults of a set of inputs, so that all of them are told at once. */
public final class Faults {

    private final List<Fault> found = new ArrayList<>();

    public void add(FaultCode code, String input, String reason, Figure... figures) {
        found.add(new Fault(code, input, reason, figures));
    }

    /** More than nothing, and at most the limit. */
    public void requirePositive(String input, String name, Length value, Length most) {
        if (!value.isPositive()) {
            add(FaultCode.NOT_POSITIVE, input, name + " is " + value.inWords() + "; it must be more than 0");
        } else if (value.isMoreThan(most)) {
            add(
                    FaultCode.OUT_OF_RANGE,
                    input,
                    name + " is " + value.inWords() + "; it can be at most " + most.inWords());
        }
    }

    /** Between two limits, both included. */
    public void requireWithin(String input, String name, Length value, Length least, Length most) {
        if (value.isLessThan(least) || value.isMoreThan(most)) {
            add(
                    FaultCode.OUT_OF_RANGE,
                    input,
                    name + " is " + value.inWords() + "; it must be from " + least.inWords() + " to " + most.inWords());
        }
    }

    /** Between two limits, both included. */
    public void requireWithin(String input, String name, Angle value, Angle least, Angle most) {
        if (value.isLessThan(least) || value.isMoreThan(most)) {
            add(
                    FaultCode.OUT_OF_RANGE,
                    input,
                    name + " is " + value.text() + "; it must be from " + least.text() + " to " + most.text());
        }
    }

    /** Between two limits, both included. */
    public void requireWithin(String input, String name, Percentage value, Percentage least, Percentage most) {
        if (value.isLessThan(least) || value.isMoreThan(most)) {
            add(
                    FaultCode.OUT_OF_RANGE,
                    input,
                    name + " is " + value.text() + "; it must be from " + least.text() + " to " + most.text());
        }
    }

    public List<Fault> found() {
        return List.copyOf(found);
    }

    /**
     * Ends the collecting.
     *
     * @throws Refused if anything was found
     */
    public void refuseIfAny() {
        if (!found.isEmpty()) {
            throw Refused.badInput(found);
        }
    }
}
