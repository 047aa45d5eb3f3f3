package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OrderedBend;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.bending.BendingOrder;
import lobrik.bending.Workplace;
import lobrik.fault.Refused;
import lobrik.measure.Length;
import lobrik.shape.BendMade;

/** In which order the bends of a run are made, and how the shoe stands at each: proposed where nobody has said it, else looked at. */
public final class RunOrder {

    private RunOrder() {}

    /** The same job with an order in which nothing stands in the way: where its bend is a run that says none, and there is one. */
    public static Job proposed(Job job) {
        return run(job).filter(run -> run.order().isEmpty())
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

    /** How the bends of a run are made: in the order that it says, or in the best that there is; empty for anything else. */
    static Optional<BendingOrder.Found> found(Layout layout) {
        return run(layout.job()).map(run -> {
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

    private static Optional<Run> run(Job job) {
        return switch (job.bend()) {
            case Run run -> Optional.of(run);
            case Stub90 _,
                    BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    Saddle4 _,
                    OverBent90 _ -> Optional.empty();
        };
    }
}
