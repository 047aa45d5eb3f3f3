package lobrik.layout;

import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
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
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/** What of a layout should be thought about because it is bent with a shoe by hand (handbook 2 and 4). */
final class ShoeChecks implements ToolChecks {

    /** The angle that the notch is the middle of (handbook 2). */
    private static final Angle NOTCH_ANGLE = Angle.ofDegrees(45);

    private final Layout layout;
    private final Job job;
    private final Shoe shoe;
    private final OnShoe on;
    private final Faults warnings;

    ShoeChecks(Layout layout, Shoe shoe, Faults warnings) {
        this.layout = layout;
        this.job = layout.job();
        this.shoe = shoe;
        this.on = OnShoe.of(layout);
        this.warnings = warnings;
    }

    @Override
    public void figures() {
        on.contradictions(warnings);
    }

    @Override
    public void hold() {
        grip();
        standing();
    }

    @Override
    public void marks() {
        notch();
    }

    /** The shoe must hold the conduit on the hook's side of the arrow. */
    private void grip() {
        Length least = shoe.minStub();
        for (OnShoe.Ring ring : on.rings()) {
            Optional<Length> held = on.held(ring);
            if (held.isPresent() && held.get().isLessThan(least)) {
                warnings.add(
                        FaultCode.GRIP_TOO_SHORT,
                        on.concerned(ring),
                        "at ring " + ring.mark().number() + " only "
                                + held.get().inWords() + " lies beyond the arrow; the shoe holds " + least.inWords()
                                + " or more",
                        new Figure("beyond the arrow", held.get()),
                        new Figure("least grip", least));
                return;
            }
        }
    }

    /** The part under the foot of a stub: its straight must be long enough to stand on (handbook 4.1). */
    private void standing() {
        if (!standsOnItsLeg() || on.rings().isEmpty()) {
            return;
        }
        boolean onDatumLeg = on.rings().getFirst().shoe().hookTowards() == HookSide.FAR;
        Length least = shoe.minStanding();
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
            case BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    Saddle4 _,
                    OverBent90 _,
                    Run _ -> false;
        };
    }

    /**
     * Only a 45° bend is centred by the notch; another lands {@code R(π/8 − θ/2)} towards the hook (handbook 2). Exact
     * layout corrects that, chart layout does not.
     */
    private void notch() {
        if (job.school().method() == Method.CHART) {
            on.rings().stream()
                    .filter(ring -> ring.shoe().reference() == Reference.NOTCH
                            && !ring.mark().angle().equals(NOTCH_ANGLE))
                    .forEach(ring -> offCentre(ring.mark().angle()));
        }
    }

    private void offCentre(Angle angle) {
        Tooling tooling = job.tooling();
        Length off =
                tooling.arcLength(NOTCH_ANGLE).minus(tooling.arcLength(angle)).times(0.5);
        warnings.add(
                FaultCode.NOTCH_OFF_CENTRE,
                InputsConcerned.angle(job.bend()),
                "the notch is the middle of a 45° bend: the middle of this "
                        + angle.text()
                        + " bend lands " + off.abs().inWords() + (off.isNegative() ? " away from" : " towards")
                        + " the hook; exact layout corrects it",
                new Figure("off centre, towards the hook", off));
    }
}
