package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.OrderedBend;
import lobrik.bending.BendingOrder;
import lobrik.bending.Workplace;
import lobrik.fault.Refused;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;

/** In which order the bends of a run are made, and how the shoe stands at each: proposed where nobody has said it, else looked at. */
public final class RunOrder {

    private RunOrder() {}

    /** The same job with an order in which nothing stands in the way: where its bend is a run that says none, and there is one. */
    public static Job proposed(Job job) {
        return job.bend()
                .run()
                .filter(run -> run.order().isEmpty())
                .flatMap(run -> laidOut(job)
                        .flatMap(RunOrder::found)
                        .filter(BendingOrder.Found::isFree)
                        .map(found -> job.with(run.inOrder(found.steps().stream()
                                .map(step -> new OrderedBend(step.bend(), step.hookTowards()))
                                .toList()))))
                .orElse(job);
    }

    private static Optional<Layout> laidOut(Job job) {
        try {
            return Optional.of(Layout.of(job));
        } catch (Refused told) {
            // Whoever lays it out hears why it cannot be.
            return Optional.empty();
        }
    }

    /** How the bends of a run are made by hand: in the order that it says, or in the best that there is; empty for anything else. */
    static Optional<BendingOrder.Found> found(Layout layout) {
        return layout.job().bend().run().filter(_ -> isBentByHand(layout)).map(run -> {
            List<BendMade> bends = layout.marks().stream().map(Mark::asMarked).toList();
            Length length = layout.predicted().length();
            return run.order().isEmpty()
                    ? BendingOrder.of(Workplace.USUAL, layout.job().tooling(), length, bends)
                    : BendingOrder.inOrder(
                            Workplace.USUAL,
                            layout.job().tooling(),
                            length,
                            bends,
                            run.order().stream().map(OrderedBend::bend).toList());
        });
    }

    /** A machine, or heat, bends off the floor and has no lever. */
    private static boolean isBentByHand(Layout layout) {
        return switch (layout.job().tooling().tool()) {
            case Shoe _ -> true;
            case Machine _, Former _ -> false;
        };
    }
}
