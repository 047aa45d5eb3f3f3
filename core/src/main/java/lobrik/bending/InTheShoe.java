package lobrik.bending;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shop.HookSide;
import lobrik.shop.ShoeFigures;
import lobrik.shop.Tooling;

/** A piece with some of its bends made and another put into the shoe: whether floor, lever, ceiling and grip leave it free. */
final class InTheShoe {

    /** What touches the floor by less is lifted over it with the foot, inches. */
    private static final double LIFTED = 0.05;

    /** A conduit that runs so much aside at the end of the hook is held all the same, inches. */
    private static final double HELD_ASIDE = 0.125;

    /** A lever that would have to lean further is no lever any more. */
    private static final double MOST_LEAN_DEG = 25;

    private final Workplace place;
    private final Tooling tooling;
    private final double length;
    private final List<BendMade> bends;

    /** By bend, side, stance and part of the shoe, then by what is made on that side: whatever is made on the other does not matter. */
    private final Room[][] rooms;

    /** By bend and side, then by what is made there. */
    private final Chain[][] chains;

    private final Swing[] swings;
    private final double[] starts;
    private final double[] ends;

    /** Either how the bend is made, or why it cannot be. */
    record Tried(Optional<Standing> standing, Optional<Hindrance> hindrance) {}

    /**
     * A piece that is being bent.
     *
     * @param bends from the datum end, as they shall be at rest
     */
    InTheShoe(Workplace place, Tooling tooling, Length length, List<BendMade> bends) {
        this.place = place;
        this.tooling = tooling;
        this.length = length.inches();
        this.bends = bends;
        this.rooms = new Room[8 * bends.size()][];
        this.chains = new Chain[2 * bends.size()][];
        this.swings = new Swing[bends.size()];
        this.starts = new double[bends.size()];
        this.ends = new double[bends.size()];
        for (int i = 0; i < starts.length; i++) {
            BendMade bend = bends.get(i);
            starts[i] = tooling.arcStart(bend.position(), bend.placing(), bend.angle())
                    .inches();
            ends[i] = starts[i] + tooling.arcLength(bend.angle()).inches();
            Angle under = bend.angle().plus(tooling.tool().springback(bend.angle()));
            swings[i] = new Swing(place, tooling, under.radians());
        }
    }

    /**
     * Puts a bend into the shoe.
     *
     * @param bend its number, from 0
     * @param made the bends that are made already, by a bit for each number
     */
    Tried tried(int bend, HookSide hook, int made) {
        double missing = missingGrip(bend, hook, made);
        if (missing > 0) {
            return new Tried(Optional.empty(), Optional.of(hindrance(bend, Hindrance.What.GRIP, missing)));
        }
        Room floor = room(bend, hook, made, Stance.ON_THE_FLOOR);
        if (isFree(floor)) {
            return new Tried(Optional.of(standing(bend, hook, Stance.ON_THE_FLOOR, floor)), Optional.empty());
        }
        Room air = room(bend, hook, made, Stance.IN_THE_AIR);
        return isFree(air)
                ? new Tried(Optional.of(standing(bend, hook, Stance.IN_THE_AIR, air)), Optional.empty())
                : new Tried(Optional.empty(), Optional.of(hindrance(bend, floor)));
    }

    /**
     * What the straight on the hook's side is too short, from the arrow to the next curve that is made, or to the end, inches. Where
     * the curve is a gentle one the hook holds its beginning, too: what it moves the conduit aside meanwhile is less than its play.
     */
    private double missingGrip(int bend, HookSide hook, int made) {
        ShoeFigures shoe = tooling.shoe().orElseThrow();
        double needed = shoe.minGrip().inches() + shoe.arrowLead().inches();
        boolean far = hook == HookSide.FAR;
        for (int i = far ? bend + 1 : bend - 1; i >= 0 && i < starts.length; i += far ? 1 : -1) {
            if ((made >> i & 1) == 1) {
                double missing = needed - (far ? starts[i] - ends[bend] : starts[bend] - ends[i]);
                double aside = missing * Math.sin(bends.get(i).angle().radians());
                return aside > HELD_ASIDE ? missing : 0;
            }
        }
        return needed - (far ? length - ends[bend] : starts[bend]);
    }

    private Room room(int bend, HookSide hook, int made, Stance stance) {
        boolean heelIsFar = hook == HookSide.DATUM;
        return beside(bend, true, made, stance, heelIsFar).and(beside(bend, false, made, stance, !heelIsFar));
    }

    private Room beside(int bend, boolean far, int made, Stance stance, boolean heel) {
        int there = far ? made >> (bend + 1) : made & ((1 << bend) - 1);
        int kind = ((bend * 2 + (far ? 1 : 0)) * 2 + (stance == Stance.IN_THE_AIR ? 1 : 0)) * 2 + (heel ? 1 : 0);
        if (rooms[kind] == null) {
            rooms[kind] = new Room[1 << (far ? bends.size() - bend - 1 : bend)];
        }
        Room known = rooms[kind][there];
        if (known == null) {
            known = swings[bend].of(chain(bend, far, made, there), stance, heel);
            rooms[kind][there] = known;
        }
        return known;
    }

    private Chain chain(int bend, boolean far, int made, int there) {
        int side = 2 * bend + (far ? 1 : 0);
        if (chains[side] == null) {
            chains[side] = new Chain[1 << (far ? bends.size() - bend - 1 : bend)];
        }
        Chain known = chains[side][there];
        if (known == null) {
            known = Chain.of(tooling, length, bends, bend, far, made, Chain.Fineness.LOOKED_AT);
            chains[side][there] = known;
        }
        return known;
    }

    private boolean isFree(Room room) {
        return room.lowest() > -LIFTED && room.highest() <= place.ceiling().inches() && room.lean() <= MOST_LEAN_DEG;
    }

    private Standing standing(int bend, HookSide hook, Stance stance, Room room) {
        Optional<Length> over = Double.isInfinite(room.lowest())
                ? Optional.empty()
                : Optional.of(Length.ofInches(Math.max(0, room.lowest())));
        return new Standing(bend + 1, hook, stance, Angle.ofDegrees(room.lean()), over);
    }

    private Hindrance hindrance(int bend, Room floor) {
        if (floor.lowest() <= -LIFTED) {
            return hindrance(bend, Hindrance.What.FLOOR, -floor.lowest());
        }
        double over = floor.highest() - place.ceiling().inches();
        return over > 0
                ? hindrance(bend, Hindrance.What.CEILING, over)
                : hindrance(bend, Hindrance.What.LEVER, floor.closest());
    }

    private static Hindrance hindrance(int bend, Hindrance.What what, double by) {
        return new Hindrance(bend + 1, what, Length.ofInches(by));
    }
}
