package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.shop.Machine;
import lobrik.shop.MachineTable;
import lobrik.shop.RamTravel;
import lobrik.shop.TradeSize;

/** What goes wrong at a machine (handbook 4.11): its springback, its rows of travel, and which shoe is in it. */
final class MachineHypotheses {

    /** Rows nearer than this to what is asked give the same bend, as nearly as a level can tell. */
    private static final double SAME_ROW = 1;

    private final Layout layout;
    private final Machine machine;
    private final int bends;
    private final List<Hypothesis> all = new ArrayList<>();

    private MachineHypotheses(Layout layout, Machine machine) {
        this.layout = layout;
        this.machine = machine;
        this.bends = layout.marks().size();
    }

    static List<Hypothesis> of(Layout layout, Machine machine) {
        MachineHypotheses hypotheses = new MachineHypotheses(layout, machine);
        hypotheses.springback();
        hypotheses.rows();
        hypotheses.shoes();
        hypotheses.all.addAll(ShoeHypotheses.standing(layout));
        return hypotheses.all;
    }

    /** Pulled to the angle itself under load: what stays of that is less. */
    private void springback() {
        double[] stays = new double[bends];
        for (int i = 0; i < bends; i++) {
            stays[i] = machine.springback().restOf(mark(i).angle()).degrees();
            if (stays[i] >= angle(i)) {
                return;
            }
        }
        for (int i = 0; i < bends; i++) {
            int bend = i;
            all.add(Hypothesis.ofAmount(
                    CauseId.SPRINGBACK_OMITTED,
                    i + 1,
                    "",
                    1,
                    stays[i] - angle(i),
                    (making, _) -> making.angles[bend] = stays[bend]));
        }
        if (bends > 1) {
            // Whoever does not know of it does not know of it at any bend.
            all.add(Hypothesis.ofAmount(
                    CauseId.SPRINGBACK_OMITTED,
                    0,
                    "",
                    bends * 2.0,
                    stays[0] - angle(0),
                    (making, _) -> System.arraycopy(stays, 0, making.angles, 0, bends)));
        }
    }

    /** The ram was stopped at the travel of another angle. */
    private void rows() {
        TreeSet<Angle> asked = new TreeSet<>();
        layout.marks().forEach(mark -> asked.add(mark.angle()));
        for (RamTravel.Row row : machine.ramTravel().rows()) {
            double line = row.underLoad().degrees();
            double stays = machine.springback().restOf(row.underLoad()).degrees();
            for (int i = 0; i < bends; i++) {
                int bend = i;
                if (Math.abs(stays - angle(i)) > SAME_ROW && Math.abs(line - angle(i)) > SAME_ROW) {
                    all.add(Hypothesis.ofAmount(
                            CauseId.TRAVEL_OF_ANOTHER_ROW,
                            i + 1,
                            "",
                            ToolHypotheses.nearness(line, angle(i)),
                            line,
                            (making, _) -> making.angles[bend] = stays));
                }
            }
            if (bends > 1
                    && asked.size() == 1
                    && Math.abs(stays - angle(0)) > SAME_ROW
                    && Math.abs(line - angle(0)) > SAME_ROW) {
                all.add(Hypothesis.ofAmount(
                        CauseId.TRAVEL_OF_ANOTHER_ROW,
                        0,
                        "",
                        bends * ToolHypotheses.nearness(line, angle(0)),
                        line,
                        (making, _) -> Arrays.fill(making.angles, stays)));
            }
        }
    }

    /** The shoe of another size in the machine: its radius, and the curve begins elsewhere. */
    private void shoes() {
        for (TradeSize size : TradeSize.values()) {
            MachineTable.forEmt(size)
                    .filter(other -> !other.radius().equals(machine.radius()))
                    .ifPresent(other -> all.add(Hypothesis.ofAmount(
                            CauseId.WRONG_SHOE,
                            0,
                            "",
                            1
                                    / (1
                                            + Math.abs(other.radius()
                                                    .minus(machine.radius())
                                                    .inches())),
                            other.radius().inches(),
                            (making, _) -> Arrays.fill(making.tools, other))));
        }
    }

    private Mark mark(int bend) {
        return layout.marks().get(bend);
    }

    private double angle(int bend) {
        return mark(bend).angle().degrees();
    }
}
