package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.BoxOffset;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.Role;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.Clearance;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;
import lobrik.shop.Tooling;

/** What can be bent but should be thought about (handbook 4, checks of a layout). Faults here have no cures yet. */
final class Checks {

    /** The angle that the notch is the middle of (handbook 2). */
    private static final Angle NOTCH_ANGLE = Angle.ofDegrees(45);

    /** Conduit may lie on what it passes, and rounded marks may be half a line low: only more than this is touched. */
    private static final Length TOUCHING = Length.ofFraction(0, -1, 32);

    private final Layout layout;
    private final Job job;
    private final Tooling tooling;
    private final Faults warnings = new Faults();

    private Checks(Layout layout) {
        this.layout = layout;
        this.job = layout.job();
        this.tooling = job.tooling();
    }

    /** All warnings of a layout; with the gap to what it passes, if that is known. */
    static List<Fault> of(Layout layout, Optional<Clearance> clearance) {
        Checks checks = new Checks(layout);
        checks.profile();
        checks.chart();
        checks.spacing();
        checks.grip();
        checks.standing();
        checks.limits();
        checks.notch();
        clearance.ifPresent(checks::obstacle);
        return checks.warnings.found();
    }

    private void profile() {
        if (tooling.arrowLead().isNegative()) {
            warnings.add(
                    FaultCode.ARROW_LEAD_NEGATIVE,
                    "bender/takeUpIn",
                    "the take-up of " + tooling.bender().takeUp().inWords()
                            + " is less than radius and half the diameter, "
                            + tooling.backOfBend().inWords()
                            + ": the bender's figures contradict each other; measure a test bend",
                    new Figure("take-up", tooling.bender().takeUp()),
                    new Figure("radius and half the diameter", tooling.backOfBend()));
        }
        job.school()
                .limits()
                .leastRadius()
                .filter(least -> tooling.bender().radius().isLessThan(least))
                .ifPresent(least -> warnings.add(
                        FaultCode.RADIUS_UNDER_LEAST,
                        "bender/radiusIn",
                        "the bend radius of " + tooling.bender().radius().inWords() + " is under the least of "
                                + least.inWords() + " for this conduit; use another bender",
                        new Figure("radius", tooling.bender().radius()),
                        new Figure("least radius", least)));
    }

    private void chart() {
        if (job.school().method() == Method.CHART && !job.bend().kind().isExactByTheChart()) {
            charted()
                    .filter(angle -> !job.school().chart().has(angle))
                    .ifPresent(angle -> warnings.add(
                            FaultCode.ANGLE_NOT_ON_CHART,
                            angleInput(),
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

    private String angleInput() {
        return "bend/"
                + Form.of(job.bend().kind())
                        .first(Role.ANGLE)
                        .map(Field::id)
                        .orElse(InputId.ANGLE)
                        .id();
    }

    /**
     * Bends too close together: the shoe would run into the bend before. What is left straight between them decides
     * (handbook 4, checks); for a box offset the distance of its marks, as small offsets are taught (handbook 4.4).
     */
    private void spacing() {
        Length least = tooling.bender().minSpacing();
        boolean byMarks = job.bend().kind().isSmall();
        for (int i = 1; i < layout.marks().size(); i++) {
            Length between = byMarks
                    ? layout.marks()
                            .get(i)
                            .position()
                            .minus(layout.marks().get(i - 1).position())
                    : layout.predicted().straights().get(i).length();
            if (between.isLessThan(least)) {
                warnings.add(
                        FaultCode.MARKS_TOO_CLOSE,
                        InputsConcerned.size(job.bend().kind()),
                        (byMarks
                                        ? "rings " + i + " and " + (i + 1) + " are " + between.inWords() + " apart"
                                        : "bends " + i + " and " + (i + 1) + " leave " + between.inWords()
                                                + " of straight conduit between them")
                                + "; this bender needs " + least.inWords() + ", or it runs into the bend before",
                        new Figure(byMarks ? "apart" : "straight between", between),
                        new Figure("least spacing", least));
                return;
            }
        }
    }

    /** The shoe must hold the conduit on the hook's side of the arrow. */
    private void grip() {
        Length least = tooling.bender().minStub();
        for (Mark mark : layout.marks()) {
            Length arrow = tooling.arrowPosition(mark.position(), mark.reference(), mark.hookTowards());
            Optional<Length> held = mark.hookTowards() == HookSide.DATUM
                    ? Optional.of(arrow)
                    : layout.cutLength().map(length -> length.minus(arrow));
            if (held.isPresent() && held.get().isLessThan(least)) {
                String input = mark.hookTowards() == HookSide.DATUM
                        ? InputsConcerned.place(job.bend().kind())
                        : InputsConcerned.farEnd(job.bend().kind());
                warnings.add(
                        FaultCode.GRIP_TOO_SHORT,
                        input,
                        "at ring " + mark.number() + " only " + held.get().inWords()
                                + " lies beyond the arrow; the shoe holds " + least.inWords() + " or more",
                        new Figure("beyond the arrow", held.get()),
                        new Figure("least grip", least));
                return;
            }
        }
    }

    /** The part under the foot of a stub: its straight must be long enough to stand on (handbook 4.1). */
    private void standing() {
        if (!standsOnItsLeg()) {
            return;
        }
        boolean onDatumLeg = layout.marks().getFirst().hookTowards() == HookSide.FAR;
        Length least = tooling.bender().minStanding();
        Optional<Length> straight = onDatumLeg
                ? Optional.of(layout.predicted().straights().getFirst().length())
                : layout.cutLength()
                        .map(_ -> layout.predicted().straights().getLast().length());
        straight.filter(length -> length.isLessThan(least))
                .ifPresent(length -> warnings.add(
                        FaultCode.STANDING_TOO_SHORT,
                        onDatumLeg ? "bend/legIn" : "bend/otherLegIn",
                        "only " + length.inWords() + " of straight conduit is left to stand on; " + least.inWords()
                                + " or more keeps it flat",
                        new Figure("straight", length),
                        new Figure("least standing", least)));
    }

    private void limits() {
        RunLimits limits = job.school().limits();
        layout.cutLength()
                .filter(length -> length.isMoreThan(limits.stick()))
                .ifPresent(length -> warnings.add(
                        FaultCode.LONGER_THAN_STICK,
                        InputsConcerned.farEnd(job.bend().kind()),
                        "the piece takes " + length.inWords() + ", more than a stick of "
                                + limits.stick().inWords() + "; shorten it or plan a coupling",
                        new Figure("cut length", length),
                        new Figure("stick", limits.stick())));
        Angle total = layout.totalBend();
        if (total.isMoreThan(limits.mostBends())) {
            warnings.add(
                    FaultCode.DEGREES_OVER_LIMIT,
                    angleInput(),
                    "the bends add up to " + total.text() + ", more than "
                            + limits.mostBends().text() + " between pull points",
                    new Figure("bends", total),
                    new Figure("limit", limits.mostBends()));
        }
    }

    private boolean standsOnItsLeg() {
        return switch (job.bend()) {
            case Stub90 _ -> true;
            case BackToBack90 _, Offset _, BoxOffset _, RollingOffset _, Kick _, Saddle3 _, Saddle4 _, OverBent90 _ ->
                false;
        };
    }

    /**
     * Only a 45° bend is centred by the notch; another lands {@code R(π/8 − θ/2)} towards the hook (handbook 2). Exact
     * layout corrects that, chart layout does not.
     */
    private void notch() {
        if (job.school().method() == Method.CHART) {
            layout.marks().stream()
                    .filter(mark ->
                            mark.reference() == Reference.NOTCH && !mark.angle().equals(NOTCH_ANGLE))
                    .forEach(mark -> offCentre(mark.angle()));
        }
    }

    private void offCentre(Angle angle) {
        Length off =
                tooling.arcLength(NOTCH_ANGLE).minus(tooling.arcLength(angle)).times(0.5);
        warnings.add(
                FaultCode.NOTCH_OFF_CENTRE,
                angleInput(),
                "the notch is the middle of a 45° bend: the middle of this "
                        + angle.text()
                        + " bend lands " + off.abs().inWords() + (off.isNegative() ? " away from" : " towards")
                        + " the hook; exact layout corrects it",
                new Figure("off centre, towards the hook", off));
    }

    private void obstacle(Clearance clearance) {
        if (clearance.gap().isLessThan(TOUCHING)) {
            warnings.add(
                    FaultCode.OBSTACLE_TOUCHED,
                    "bend/clearanceIn",
                    "the conduit would run " + clearance.gap().abs().inWords() + " into what it has to clear",
                    new Figure("gap", clearance.gap()));
        }
    }
}
