package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.measure.Length;
import lobrik.shop.HookSide;
import lobrik.shop.ShoeFigures;
import lobrik.shop.ShoePlacing;

/** The rings of a layout that is bent round a shoe, by hand or by a machine. */
record OnShoe(Layout layout, ShoeFigures figures, List<Ring> rings) {

    /** A ring with the shoe on it. */
    record Ring(Mark mark, ShoePlacing shoe) {}

    /** @throws java.util.NoSuchElementException for a tool without a shoe */
    static OnShoe of(Layout layout) {
        List<Ring> rings = layout.marks().stream()
                .flatMap(mark -> mark.placing().onShoe().map(shoe -> new Ring(mark, shoe)).stream())
                .toList();
        return new OnShoe(layout, layout.job().tooling().shoe().orElseThrow(), rings);
    }

    /** What lies on the hook's side of the arrow, as far as the exercise says where the conduit ends. */
    Optional<Length> held(Ring ring) {
        Length arrow = figures.arrowPosition(ring.mark().position(), ring.shoe());
        return ring.shoe().hookTowards() == HookSide.DATUM
                ? Optional.of(arrow)
                : layout.cutLength().map(length -> length.minus(arrow));
    }

    /** The input that says how much that is. */
    String concerned(Ring ring) {
        return ring.shoe().hookTowards() == HookSide.DATUM
                ? InputsConcerned.place(layout.job().bend())
                : InputsConcerned.farEnd(layout.job().bend());
    }

    /** Whether the figures can be those of one shoe. */
    void contradictions(Faults warnings) {
        if (figures.arrowLead().isNegative()) {
            String takeUp = ToolMarks.takeUp(layout.job().tooling());
            Length least = layout.job().tooling().backOfBend();
            warnings.add(
                    FaultCode.ARROW_LEAD_NEGATIVE,
                    "bender/takeUpIn",
                    "the " + takeUp + " of " + figures.takeUp().inWords()
                            + " is less than radius and half the diameter, " + least.inWords()
                            + ": the bender's figures contradict each other; measure a test bend",
                    new Figure(takeUp, figures.takeUp()),
                    new Figure("radius and half the diameter", least));
        }
    }
}
