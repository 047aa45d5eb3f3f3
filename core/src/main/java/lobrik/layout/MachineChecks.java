package lobrik.layout;

import java.util.Optional;
import java.util.TreeSet;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Machine;

/** What of a layout should be thought about because it is bent by a machine (handbook 4.11). */
final class MachineChecks implements ToolChecks {

    private final Layout layout;
    private final Machine machine;
    private final OnShoe on;
    private final Faults warnings;

    MachineChecks(Layout layout, Machine machine, Faults warnings) {
        this.layout = layout;
        this.machine = machine;
        this.on = OnShoe.of(layout);
        this.warnings = warnings;
    }

    /** The figures of a shoe, and whether they leave an end as round as it is. */
    @Override
    public void figures() {
        on.contradictions(warnings);
        Length diameter = layout.job().tooling().conduit().outsideDiameter();
        if (machine.minPastShoe().isLessThan(diameter)) {
            warnings.add(
                    FaultCode.END_FLATTENS,
                    "bender/minPastShoeIn",
                    "the machine's least past the shoe is "
                            + machine.minPastShoe().inWords() + "; at less than the conduit's diameter of "
                            + diameter.inWords() + " the end flattens",
                    new Figure("least past the shoe", machine.minPastShoe()),
                    new Figure("diameter", diameter));
        }
    }

    /** Of the first ring that has it: a stub that is too short for the machine, or too little past its shoe. */
    @Override
    public void hold() {
        for (OnShoe.Ring ring : on.rings()) {
            Optional<Length> held = on.held(ring);
            if (held.isPresent() && (stub(ring, held.get()) || pastTheShoe(ring, held.get()))) {
                return;
            }
        }
    }

    private boolean stub(OnShoe.Ring ring, Length held) {
        Length leg = held.plus(machine.takeUp());
        if (!ring.mark().angle().equals(Angle.RIGHT) || !leg.isLessThan(machine.minStub())) {
            return false;
        }
        warnings.add(
                FaultCode.STUB_TOO_SHORT,
                on.concerned(ring),
                "bend " + ring.mark().number() + " leaves a stub of " + leg.inWords()
                        + "; this machine bends none under " + machine.minStub().inWords(),
                new Figure("stub", leg),
                new Figure("least stub", machine.minStub()));
        return true;
    }

    private boolean pastTheShoe(OnShoe.Ring ring, Length held) {
        if (!held.isLessThan(machine.minPastShoe())) {
            return false;
        }
        warnings.add(
                FaultCode.END_FLATTENS,
                on.concerned(ring),
                "at ring " + ring.mark().number() + " only " + held.inWords()
                        + " of straight conduit lies past the shoe; under "
                        + machine.minPastShoe().inWords()
                        + " the end flattens",
                new Figure("past the shoe", held),
                new Figure("least past the shoe", machine.minPastShoe()));
        return true;
    }

    /** Angles of which the tables know nothing; where there is no table at all, nobody expects one. */
    @Override
    public void marks() {
        TreeSet<Angle> angles = new TreeSet<>();
        on.rings().forEach(ring -> angles.add(ring.mark().angle()));
        angles.forEach(this::springback);
        angles.forEach(this::travel);
    }

    private void springback(Angle angle) {
        machine.springback()
                .range()
                .filter(range -> !range.has(angle))
                .ifPresent(range -> warnings.add(
                        FaultCode.OUTSIDE_TABLE,
                        "bender/springback",
                        "no test bend says how far " + angle.text() + " springs back, only from "
                                + range.from().text() + " to " + range.to().text()
                                + "; taken in proportion it is "
                                + machine.springback(angle).text() + ", so stop early and check",
                        new Figure("angle", angle),
                        new Figure("springback in proportion", machine.springback(angle))));
    }

    private void travel(Angle angle) {
        Angle underLoad = angle.plus(machine.springback(angle));
        if (machine.ramTravel().rows().isEmpty()
                || machine.ramTravel().at(underLoad).isPresent()) {
            return;
        }
        Angle first = machine.ramTravel().rows().getFirst().underLoad();
        Angle last = machine.ramTravel().rows().getLast().underLoad();
        warnings.add(
                FaultCode.OUTSIDE_TABLE,
                "bender/ramTravel",
                "for " + angle.text() + " it is pulled to " + underLoad.text() + ", and the rows of travel run from "
                        + first.text() + " to " + last.text()
                        + "; pull by the protractor, and add a row by a test bend",
                new Figure("under load", underLoad),
                new Figure("last row", last));
    }
}
