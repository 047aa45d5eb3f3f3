package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/** Conduits bent alike side by side, so that they keep their distance also along the slope (handbook 4.5). */
public final class Alongside {

    private static final int MOST = 24;

    private Alongside() {}

    /**
     * Lays out the first conduit and those beside it, on the side away from the rise.
     *
     * @param first an offset or a kick
     * @param spacing {@code p}, centre to centre
     * @param count how many conduits in all, 1 to 24
     * @throws Refused for figures outside their range; as impossible for a kind that is not laid in parallel
     */
    public static List<Layout> of(Job first, Length spacing, int count) {
        Faults faults = new Faults();
        faults.requirePositive("centreSpacingIn", "the centre spacing", spacing, Length.LONGEST_ENTRY);
        if (spacing.isLessThan(first.tooling().conduit().outsideDiameter())) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "centreSpacingIn",
                    "the centre spacing is " + spacing.inWords() + "; conduits of "
                            + first.tooling().conduit().outsideDiameter().inWords() + " need at least that much");
        }
        if (count < 1 || count > MOST) {
            faults.add(FaultCode.OUT_OF_RANGE, "count", "there are " + count + " conduits; give from 1 to " + MOST);
        }
        faults.refuseIfAny();
        List<Layout> layouts = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int place = i;
            layouts.add(Layout.of(first.with(inRange(
                    () -> further(first.bend(), angle -> step(spacing, angle).times(place))))));
        }
        return List.copyOf(layouts);
    }

    /** Conduits that would start too far on are too far apart or too many. */
    private static Bend inRange(Supplier<Bend> bend) {
        try {
            return bend.get();
        } catch (Refused refused) {
            throw refused.with(fault -> fault.input().equals("distanceIn") ? fault.at("centreSpacingIn") : fault);
        }
    }

    /** {@code p·tan(θ/2)}: how much further on each next conduit starts. Formula {@code parallel-step}, handbook 4.5. */
    public static Length step(Length spacing, Angle angle) {
        return spacing.times(Math.tan(angle.radians() / 2));
    }

    private static Bend further(Bend bend, Function<Angle, Length> shift) {
        return switch (bend) {
            case Offset o -> {
                Length on = shift.apply(o.angle());
                Optional<Length> overall = o.overall();
                yield new Offset(
                        o.rise(), o.clearance(), o.angle(), o.distance().plus(on), o.layout(), overall);
            }
            case Kick k -> new Kick(k.rise(), k.angle(), k.distance().plus(shift.apply(k.angle())), k.layout());
            case Stub90 _, BackToBack90 _, BoxOffset _, RollingOffset _, Saddle3 _, Saddle4 _, OverBent90 _, Run _ ->
                throw Refused.impossible(new Fault(
                        FaultCode.UNKNOWN_VALUE,
                        "bend/kind",
                        "parallel runs are laid out for offsets and kicks, not for "
                                + bend.kind().id()));
        };
    }
}
