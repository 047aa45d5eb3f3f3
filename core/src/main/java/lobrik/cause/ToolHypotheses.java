package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import lobrik.layout.Layout;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;

/** What goes wrong while bending because of the tool that it is done with. */
final class ToolHypotheses {

    private ToolHypotheses() {}

    static List<Hypothesis> of(Layout layout) {
        return switch (layout.job().tooling().tool()) {
            case Shoe _ -> ShoeHypotheses.byHand(layout);
            case Machine machine -> MachineHypotheses.of(layout, machine);
            case Former former -> FormerHypotheses.of(layout, former);
        };
    }

    /**
     * What of an error of an angle the hands can have made: what was let go before it was cold opens, so bent with heat only what is too
     * much is theirs.
     */
    static DoubleUnaryOperator anglesByHand(Layout layout) {
        return switch (layout.job().tooling().tool()) {
            case Shoe _, Machine _ -> amount -> amount;
            case Former _ -> amount -> Math.max(0, amount);
        };
    }

    /** The same mistake at each bend by itself, and at all of them. */
    static List<Hypothesis> eachAndAll(
            CauseId cause, Layout layout, double weight, IntFunction<Hypothesis.Change> change) {
        int bends = layout.marks().size();
        List<Hypothesis.Change> changes =
                IntStream.range(0, bends).mapToObj(change).toList();
        List<Hypothesis> all = new ArrayList<>();
        for (int i = 0; i < bends; i++) {
            all.add(Hypothesis.of(cause, i + 1, "", weight, changes.get(i)));
        }
        if (bends > 1) {
            all.add(Hypothesis.of(
                    cause, 0, "", weight, (making, amount) -> changes.forEach(each -> each.apply(making, amount))));
        }
        return all;
    }

    /** Neighbours are taken for one another more often than what is far apart. */
    static double nearness(double line, double asked) {
        return 1 / (1 + Math.abs(line - asked) / 15);
    }
}
