package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import lobrik.layout.Layout;
import lobrik.shop.Former;
import lobrik.shop.WarmPlacing;

/** What goes wrong with heat (handbook 4.10): warmed over too little, let go too soon, and the ring taken for that of a shoe. */
final class FormerHypotheses {

    /** Degrees that a bend opens by when it is let go while it is soft. */
    private static final Hypothesis.Free OPENED = new Hypothesis.Free(5, -2);

    /** Inches that are missing of the heated length. */
    private static final Hypothesis.Free SHORT = new Hypothesis.Free(2.5, 1.5);

    /** With less than this part of its length warm nobody bends it at all. */
    private static final double MOST_MISSING = 0.7;

    /**
     * How flat the cold sides press a curve, in per cent for the whole of its length: as if the outside stretched by what is missing. An
     * assumption of ours, as no table gives it; a caliper decides.
     */
    private static final double KINKS = 45;

    /** Ends are mixed up less often than that the ring is where it begins. */
    private static final double END = 0.3;

    private final Layout layout;
    private final Former former;
    private final int bends;
    private final List<Hypothesis> all = new ArrayList<>();

    private FormerHypotheses(Layout layout, Former former) {
        this.layout = layout;
        this.former = former;
        this.bends = layout.marks().size();
    }

    /** That it was too hot shows on its surface alone, so it is thought of where that was seen. */
    static Hypothesis tooHot() {
        return Hypothesis.of(CauseId.TOO_HOT, 0, "", 1, (_, _) -> {});
    }

    static List<Hypothesis> of(Layout layout, Former former) {
        FormerHypotheses hypotheses = new FormerHypotheses(layout, former);
        hypotheses.letGo();
        hypotheses.heatedShort();
        hypotheses.all.addAll(ToolHypotheses.eachAndAll(
                CauseId.MIDDLE_AS_ARROW, layout, 1, bend -> (making, _) -> making.warm(bend, WarmPlacing.On.START)));
        hypotheses.all.addAll(ToolHypotheses.eachAndAll(
                CauseId.MIDDLE_AS_ARROW, layout, END, bend -> (making, _) -> making.warm(bend, WarmPlacing.On.END)));
        return hypotheses.all;
    }

    /** It opens, never closes. */
    private void letGo() {
        for (int i = 0; i < bends; i++) {
            int bend = i;
            all.add(Hypothesis.fitted(
                    CauseId.LET_GO_WARM,
                    i + 1,
                    "",
                    1,
                    OPENED,
                    (making, amount) -> making.angles[bend] += Math.min(0, amount)));
        }
        if (bends > 1) {
            all.add(Hypothesis.fitted(CauseId.LET_GO_WARM, 0, "", 1, OPENED, (making, amount) -> {
                for (int i = 0; i < bends; i++) {
                    making.angles[i] += Math.min(0, amount);
                }
            }));
        }
    }

    /** The same angle on less conduit: what is missing of the heated length makes the curve tighter. */
    private void heatedShort() {
        for (int i = 0; i < bends; i++) {
            int bend = i;
            double radians = layout.marks().get(i).angle().radians();
            double heated = former.radius().inches() * radians;
            double most = MOST_MISSING * heated;
            all.add(Hypothesis.fitted(CauseId.HEATED_SHORT, i + 1, "", 1, SHORT, (making, amount) -> {
                double missing = Math.clamp(amount, 0, most);
                making.tighten(bend, missing / radians, KINKS * missing / heated);
            }));
        }
    }
}
