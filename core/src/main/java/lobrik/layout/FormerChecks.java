package lobrik.layout;

import java.util.List;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.measure.Length;
import lobrik.shape.Segment;
import lobrik.shop.Former;

/** What of a layout should be thought about because it is bent with heat (handbook 4.10). */
final class FormerChecks implements ToolChecks {

    private final Layout layout;
    private final Former former;
    private final Faults warnings;

    FormerChecks(Layout layout, Former former, Faults warnings) {
        this.layout = layout;
        this.former = former;
        this.warnings = warnings;
    }

    /** A radius and a spacing cannot contradict each other. */
    @Override
    public void figures() {
        // What there is to say of the radius is said of every tool.
    }

    /** Beside the curve an inch is warmed, and an end that is warm does not stay round. */
    @Override
    public void hold() {
        List<Segment.Straight> straights = layout.predicted().straights();
        endStaysCold(
                straights.getFirst().length(),
                "datum",
                InputsConcerned.place(layout.job().bend()));
        layout.cutLength()
                .ifPresent(_ -> endStaysCold(
                        straights.getLast().length(),
                        "far",
                        InputsConcerned.farEnd(layout.job().bend())));
    }

    private void endStaysCold(Length straight, String end, String input) {
        if (straight.isLessThan(Former.WARMED_BESIDE)) {
            warnings.add(
                    FaultCode.END_FLATTENS,
                    input,
                    "only " + straight.inWords() + " is left straight at the " + end + " end, and "
                            + Former.WARMED_BESIDE.inWords() + " beside a curve is warmed: the end does not stay round",
                    new Figure("straight", straight),
                    new Figure("warmed beside a curve", Former.WARMED_BESIDE));
        }
    }

    @Override
    public void marks() {
        // A middle is a middle at any angle.
    }
}
