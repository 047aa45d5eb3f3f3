package lobrik.bend;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import lobrik.measure.Angle;

/**
 * What lies along a run, one after the other from its datum end: ninetys between its legs, and what is on them. The first bend of a
 * run has roll 0; every other roll is counted from it.
 *
 * @param stretches in their order along the conduit
 * @param bends how many there are in all
 */
public record RunShape(List<Stretch> stretches, int bends) {

    /** What a stretch is. */
    public sealed interface Part {

        /** How many bends it has. */
        int bends();

        /**
         * A ninety.
         *
         * @param number from 1 at the datum end; it lies between the leg with this number and the next
         */
        record Ninety(int number) implements Part {
            @Override
            public int bends() {
                return 1;
            }
        }

        /** The offset at the box that the datum end enters. */
        record AtStart(BoxEnd offset) implements Part {
            @Override
            public int bends() {
                return 2;
            }
        }

        /** The offset at the box that the far end enters. */
        record AtEnd(BoxEnd offset) implements Part {
            @Override
            public int bends() {
                return 2;
            }
        }

        /**
         * An offset or a saddle on a leg.
         *
         * @param index among what the run has along its legs, from 0
         */
        record OnLeg(int index, AlongLeg bend) implements Part {
            @Override
            public int bends() {
                return bend.bends();
            }
        }
    }

    /**
     * A part with where it is and which way it turns.
     *
     * @param leg number of the leg that it is on, or that ends with it, from 1
     * @param firstBend number of its first bend, from 1 at the datum end
     * @param towards in which direction its first bend turns the conduit
     * @param roll of its first bend
     */
    public record Stretch(Part part, int leg, int firstBend, Towards towards, Angle roll) {

        /** Number of its last bend, from 1 at the datum end. */
        public int lastBend() {
            return firstBend + part.bends() - 1;
        }

        /** Roll that one of its bends shall have, by its number along the run: an offset goes back the other way, a saddle in its middle. */
        public Angle rollOf(int bend) {
            int place = bend - firstBend;
            boolean back = switch (part) {
                case Part.Ninety _ -> false;
                case Part.AtStart _, Part.AtEnd _ -> place == 1;
                case Part.OnLeg(int _, AlongLeg along) ->
                    switch (along) {
                        case Offset _, Saddle3 _ -> place == 1;
                        case Saddle4 _ -> place == 1 || place == 2;
                    };
            };
            return back ? roll.plus(Angle.HALF_TURN).withinTurn() : roll;
        }
    }

    public RunShape {
        stretches = List.copyOf(stretches);
    }

    static RunShape of(Run run) {
        Walk walk = new Walk(run.legs().getFirst().towards());
        for (int leg = 1; leg <= run.legs().size(); leg++) {
            int here = leg;
            if (leg == 1) {
                run.startOffset().ifPresent(offset -> walk.pass(new Part.AtStart(offset), here, offset.towards()));
            }
            for (int i : onLeg(run, leg)) {
                Along along = run.along().get(i);
                walk.pass(new Part.OnLeg(i, along.bend()), leg, along.towards());
            }
            if (leg < run.legs().size()) {
                walk.turn(leg, run.legs().get(leg).towards());
            } else {
                run.endOffset().ifPresent(offset -> walk.pass(new Part.AtEnd(offset), here, offset.towards()));
            }
        }
        return new RunShape(walk.stretches, walk.bends);
    }

    private static List<Integer> onLeg(Run run, int leg) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < run.along().size(); i++) {
            if (run.along().get(i).leg() == leg) {
                found.add(i);
            }
        }
        found.sort(Comparator.comparing(i -> run.along().get(i).at()));
        return found;
    }

    /** The stretch that has a bend, by its number from the datum end. */
    public Stretch of(int bend) {
        for (Stretch stretch : stretches) {
            if (bend >= stretch.firstBend() && bend <= stretch.lastBend()) {
                return stretch;
            }
        }
        throw new IllegalArgumentException("no bend " + bend);
    }

    /** Whether a bend and the one after it are the offset at a box. */
    public boolean isBoxOffset(int bend) {
        Stretch stretch = of(bend);
        return switch (stretch.part()) {
            case Part.AtStart _, Part.AtEnd _ -> bend == stretch.firstBend();
            case Part.Ninety _, Part.OnLeg _ -> false;
        };
    }

    /** Its ninetys, from the datum end. */
    public List<Stretch> ninetys() {
        List<Stretch> ninetys = new ArrayList<>(Run.MOST_LEGS);
        for (Stretch stretch : stretches) {
            switch (stretch.part()) {
                case Part.Ninety _ -> ninetys.add(stretch);
                case Part.AtStart _, Part.AtEnd _, Part.OnLeg _ -> {
                    // On a leg, and not between two.
                }
            }
        }
        return ninetys;
    }

    /** Angle that each bend shall have, from the datum end. */
    public List<Angle> angles() {
        List<Angle> angles = new ArrayList<>(bends);
        for (Stretch stretch : stretches) {
            switch (stretch.part()) {
                case Part.Ninety _ -> angles.add(Angle.RIGHT);
                case Part.AtStart(BoxEnd offset) -> twice(angles, offset.angle());
                case Part.AtEnd(BoxEnd offset) -> twice(angles, offset.angle());
                case Part.OnLeg(int _, AlongLeg along) -> {
                    switch (along) {
                        case Offset offset -> twice(angles, offset.angle());
                        case Saddle3 saddle -> {
                            angles.add(saddle.outerAngle());
                            angles.add(saddle.centreAngle());
                            angles.add(saddle.outerAngle());
                        }
                        case Saddle4 saddle -> {
                            twice(angles, saddle.angle());
                            twice(angles, saddle.angle());
                        }
                    }
                }
            }
        }
        return angles;
    }

    private static void twice(List<Angle> angles, Angle angle) {
        angles.add(angle);
        angles.add(angle);
    }

    /** Goes along a run with the direction of the conduit, and with what of it was up at its first bend. */
    private static final class Walk {

        private final List<Stretch> stretches = new ArrayList<>();
        private Towards along;
        private Towards up = Towards.UP;
        private int bends;

        Walk(Towards first) {
            this.along = first;
        }

        /** Something after which the conduit goes on the way it came. */
        void pass(Part part, int leg, Towards towards) {
            if (bends == 0) {
                up = towards;
            }
            stretches.add(new Stretch(part, leg, bends + 1, towards, roll(towards)));
            bends += part.bends();
        }

        void turn(int ninety, Towards next) {
            pass(new Part.Ninety(ninety), ninety, next);
            up = up.carried(along, next);
            along = next;
        }

        /** By quarter turns from what is up, clockwise seen along the conduit; {@code lobrik.shape} has the convention. */
        private Angle roll(Towards towards) {
            int right = along.cross(up).dot(towards);
            if (right != 0) {
                return right > 0 ? Angle.RIGHT : Angle.RIGHT.plus(Angle.HALF_TURN);
            }
            return up == towards ? Angle.ZERO : Angle.HALF_TURN;
        }
    }
}
