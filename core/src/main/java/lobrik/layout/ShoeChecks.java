package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tooling;

/** What of a layout should be thought about because it is bent with a shoe (handbook 2 and 4). */
final class ShoeChecks {

    /** The angle that the notch is the middle of (handbook 2). */
    private static final Angle NOTCH_ANGLE = Angle.ofDegrees(45);

    /** A ring with the shoe on it. */
    private record OnRing(Mark mark, ShoePlacing shoe) {

        static OnRing of(Mark mark) {
            return switch (mark.placing()) {
                case ShoePlacing shoe -> new OnRing(mark, shoe);
            };
        }
    }

    private final Layout layout;
    private final Job job;
    private final Tooling tooling;
    private final List<OnRing> rings;
    private final Faults warnings;

    ShoeChecks(Layout layout, Faults warnings) {
        this.layout = layout;
        this.job = layout.job();
        this.tooling = job.tooling();
        this.rings = layout.marks().stream().map(OnRing::of).toList();
        this.warnings = warnings;
    }

    /** Whether the figures of the shoe can be those of one shoe. */
    void profile() {
        if (tooling.shoe().arrowLead().isNegative()) {
            warnings.add(
                    FaultCode.ARROW_LEAD_NEGATIVE,
                    "bender/takeUpIn",
                    "the take-up of " + tooling.shoe().takeUp().inWords()
                            + " is less than radius and half the diameter, "
                            + tooling.backOfBend().inWords()
                            + ": the bender's figures contradict each other; measure a test bend",
                    new Figure("take-up", tooling.shoe().takeUp()),
                    new Figure("radius and half the diameter", tooling.backOfBend()));
        }
    }

    /** The shoe must hold the conduit on the hook's side of the arrow. */
    void grip() {
        Length least = tooling.shoe().minStub();
        for (OnRing ring : rings) {
            Mark mark = ring.mark();
            Length arrow = tooling.shoe().arrowPosition(mark.position(), ring.shoe());
            Optional<Length> held = ring.shoe().hookTowards() == HookSide.DATUM
                    ? Optional.of(arrow)
                    : layout.cutLength().map(length -> length.minus(arrow));
            if (held.isPresent() && held.get().isLessThan(least)) {
                String input = ring.shoe().hookTowards() == HookSide.DATUM
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
    void standing() {
        if (!standsOnItsLeg() || rings.isEmpty()) {
            return;
        }
        boolean onDatumLeg = rings.getFirst().shoe().hookTowards() == HookSide.FAR;
        Length least = tooling.shoe().minStanding();
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
    void notch() {
        if (job.school().method() == Method.CHART) {
            rings.stream()
                    .filter(ring -> ring.shoe().reference() == Reference.NOTCH
                            && !ring.mark().angle().equals(NOTCH_ANGLE))
                    .forEach(ring -> offCentre(ring.mark().angle()));
        }
    }

    private void offCentre(Angle angle) {
        Length off =
                tooling.arcLength(NOTCH_ANGLE).minus(tooling.arcLength(angle)).times(0.5);
        warnings.add(
                FaultCode.NOTCH_OFF_CENTRE,
                Checks.angleInput(job.bend().kind()),
                "the notch is the middle of a 45° bend: the middle of this "
                        + angle.text()
                        + " bend lands " + off.abs().inWords() + (off.isNegative() ? " away from" : " towards")
                        + " the hook; exact layout corrects it",
                new Figure("off centre, towards the hook", off));
    }
}
