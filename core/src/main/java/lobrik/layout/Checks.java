package lobrik.layout;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.bend.Input;
import lobrik.bend.Role;
import lobrik.bending.BendingOrder;
import lobrik.bending.Hindrance;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.Clearance;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/** What can be bent but should be thought about (handbook 4, checks of a layout). Faults here have no cures yet. */
final class Checks {

    private final Layout layout;
    private final Job job;
    private final Tooling tooling;
    private final Faults warnings = new Faults();

    private Checks(Layout layout) {
        this.layout = layout;
        this.job = layout.job();
        this.tooling = job.tooling();
    }

    /**
     * All warnings of a layout; with the gap to what it passes, if that is known.
     *
     * @param way how it is bent, where that was looked for
     */
    static List<Fault> of(Layout layout, Optional<Clearance> clearance, Optional<BendingOrder.Found> way) {
        Checks checks = new Checks(layout);
        ToolChecks tool = ToolChecks.of(layout, checks.warnings);
        tool.figures();
        checks.radius();
        checks.chart();
        checks.spacing();
        tool.hold();
        checks.limits();
        tool.marks();
        clearance.ifPresent(checks::obstacle);
        way.ifPresent(checks::blocked);
        return checks.warnings.found();
    }

    private void radius() {
        job.school()
                .limits()
                .leastRadius()
                .filter(least -> tooling.tool().radius().isLessThan(least))
                .filter(_ -> !keptRound())
                .ifPresent(least -> warnings.add(
                        FaultCode.RADIUS_UNDER_LEAST,
                        "bender/radiusIn",
                        "the bend radius of " + tooling.tool().radius().inWords() + " is under the least of "
                                + least.inWords() + " for this conduit; " + wider(),
                        new Figure("radius", tooling.tool().radius()),
                        new Figure("least radius", least)));
    }

    /** Bent round a former or with something inside, the caliper decides and not the table (handbook 4.10). */
    private boolean keptRound() {
        return switch (tooling.tool()) {
            case Former former -> former.support() != Former.Support.NONE;
            case Shoe _, Machine _ -> false;
        };
    }

    private String wider() {
        return switch (tooling.tool()) {
            case Shoe _ -> "use another bender";
            case Machine _ -> "use another shoe";
            case Former _ -> "bend it wider, or with something that keeps it round";
        };
    }

    /** Why bends need room between them. */
    private String orElse() {
        return switch (tooling.tool()) {
            case Shoe _, Machine _ -> "; this bender needs %s, or it runs into the bend before";
            case Former _ -> "; leave %s, or the heat opens the bend before";
        };
    }

    private void chart() {
        if (job.school().method() == Method.CHART && !job.bend().kind().isExactByTheChart()) {
            charted()
                    .filter(angle -> !job.school().chart().has(angle))
                    .ifPresent(angle -> warnings.add(
                            FaultCode.ANGLE_NOT_ON_CHART,
                            InputsConcerned.angle(job.bend()),
                            angle.text() + " is not on the card of multipliers; its cosecant is used",
                            new Figure("angle", angle)));
        }
    }

    /** The angle that the card is asked for; none for nineties. */
    private Optional<Angle> charted() {
        return Input.of(job.bend()).stream()
                .filter(input -> input.field().role() == Role.ANGLE)
                .map(input -> (Angle) input.current())
                .findFirst();
    }

    /**
     * Bends too close together: the shoe would run into the bend before. What is left straight between them decides
     * (handbook 4, checks); for a box offset the distance of its marks, as small offsets are taught (handbook 4.4).
     */
    private void spacing() {
        Length least = tooling.tool().minSpacing();
        for (int i = 1; i < layout.marks().size(); i++) {
            boolean byMarks = isSmallOffset(i);
            Length between = byMarks
                    ? layout.marks()
                            .get(i)
                            .position()
                            .minus(layout.marks().get(i - 1).position())
                    : layout.predicted().straights().get(i).length();
            if (between.isLessThan(least)) {
                warnings.add(
                        FaultCode.MARKS_TOO_CLOSE,
                        InputsConcerned.between(job.bend(), i + 1),
                        (byMarks
                                        ? "rings " + i + " and " + (i + 1) + " are " + between.inWords() + " apart"
                                        : "bends " + i + " and " + (i + 1) + " leave " + between.inWords()
                                                + " of straight conduit between them")
                                + orElse().replace("%s", least.inWords()),
                        new Figure(byMarks ? "apart" : "straight between", between),
                        new Figure("least spacing", least));
                return;
            }
        }
    }

    /** Whether a bend and the one after it are a box offset, or that of a run. */
    private boolean isSmallOffset(int bend) {
        return job.bend()
                .run()
                .map(run -> run.shape().isBoxOffset(bend))
                .orElseGet(() -> job.bend().kind().isSmall());
    }

    private void limits() {
        RunLimits limits = job.school().limits();
        layout.cutLength()
                .filter(length -> length.isMoreThan(limits.stick()))
                .ifPresent(length -> warnings.add(
                        FaultCode.LONGER_THAN_STICK,
                        InputsConcerned.farEnd(job.bend()),
                        "the piece takes " + length.inWords() + ", more than a stick of "
                                + limits.stick().inWords() + "; shorten it or plan a coupling",
                        new Figure("cut length", length),
                        new Figure("stick", limits.stick())));
        Angle total = layout.totalBend();
        if (total.isMoreThan(limits.mostBends())) {
            warnings.add(
                    FaultCode.DEGREES_OVER_LIMIT,
                    InputsConcerned.angle(job.bend()),
                    "the bends add up to " + total.text() + ", more than "
                            + limits.mostBends().text() + " between pull points",
                    new Figure("bends", total),
                    new Figure("limit", limits.mostBends()));
        }
    }

    private void obstacle(Clearance clearance) {
        if (clearance.isTouched()) {
            warnings.add(
                    FaultCode.OBSTACLE_TOUCHED,
                    clearance.from().input(),
                    "the conduit would run " + clearance.gap().abs().inWords() + " into "
                            + clearance.from().words(),
                    new Figure("gap", clearance.gap()));
        }
    }

    /** What of a run cannot be bent with what is bent already: told once, of the bend that is nearest to being free. */
    private void blocked(BendingOrder.Found way) {
        way.hindrances().stream().min(Comparator.comparing(Hindrance::by)).ifPresent(hindrance -> {
            String when = way.hindrances().size() == 1 && !way.steps().isEmpty()
                    ? "bend " + hindrance.bend() + " cannot be made at its place in the order: "
                    : "there is no order in which bend " + hindrance.bend() + " can be made: ";
            warnings.add(
                    FaultCode.BEND_BLOCKED,
                    InputsConcerned.between(job.bend(), hindrance.bend()),
                    when + hindrance.words() + "; another leg, or a coupling, makes room",
                    new Figure("by", hindrance.by()));
        });
    }
}
