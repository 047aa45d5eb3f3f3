package lobrik.sticks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.Along;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.RunShape.Part;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;

/**
 * A piece of a run as something to be bent by itself: between two couplings, or from an end to one. Couplings stand on lines of the
 * tape, measured along the leg that they are on.
 *
 * @param number from 1 at the run's datum end
 * @param start where it begins in the whole run, as it should
 * @param end where it ends
 * @param fromLeg the leg of the whole run that it begins on
 * @param coupling from where that leg is measured, its end face or its back, to where it begins
 * @param length what it is cut to, before bending
 * @param bendNumbers of the run's bends that are on it
 * @param run that it is by itself; empty where it has no ninety: a straight, or a straight with an offset
 * @param up direction in which its first bend turns in the whole run; of a straight, any that is square to it
 */
public record Portion(
        int number,
        Frame start,
        Frame end,
        int fromLeg,
        Length coupling,
        Length length,
        List<Integer> bendNumbers,
        Optional<Run> run,
        Vector3 up) {

    private static final TapeDivision ON_THE_TAPE = TapeDivision.SIXTEENTH;

    public Portion {
        bendNumbers = List.copyOf(bendNumbers);
    }

    /**
     * The portions that a run was divided into.
     *
     * @param layout of the run
     */
    public static List<Portion> of(Layout layout, Run run, List<Division.Piece> pieces) {
        return new Portions(layout, run).of(pieces);
    }

    /** Where a run is cut, told by its leg. */
    private record Cut(int leg, Length along, Length place) {}

    private static final class Portions {

        private final Layout layout;
        private final Run run;
        private final RunShape shape;
        private final Piece whole;

        Portions(Layout layout, Run run) {
            this.layout = layout;
            this.run = run;
            this.shape = run.shape();
            this.whole = layout.wanted().orElse(layout.predicted());
        }

        List<Portion> of(List<Division.Piece> pieces) {
            List<Cut> cuts = new ArrayList<>();
            cuts.add(new Cut(1, Length.ZERO, Length.ZERO));
            pieces.subList(1, pieces.size()).forEach(piece -> cuts.add(cut(piece.from())));
            int legs = run.legs().size();
            cuts.add(new Cut(legs, run.outside(legs), whole.length()));
            List<Portion> portions = new ArrayList<>();
            for (int i = 0; i < pieces.size(); i++) {
                portions.add(portion(pieces.get(i), cuts.get(i), cuts.get(i + 1), i == 0, i == pieces.size() - 1));
            }
            return List.copyOf(portions);
        }

        /** On a line of the tape that is laid along the leg. */
        private Cut cut(Length place) {
            Length before = Length.ZERO;
            int straight = 0;
            while (straight < whole.arcs().size()
                    && before.plus(whole.straights().get(straight).length()).isLessThan(place)) {
                before = before.plus(whole.straights().get(straight).length())
                        .plus(whole.arcs().get(straight).length());
                straight++;
            }
            int leg = 1;
            for (RunShape.Stretch ninety : shape.ninetys()) {
                leg += ninety.firstBend() <= straight ? 1 : 0;
            }
            Length along = along(leg, whole.at(place).origin());
            Length onTape = along.nearest(ON_THE_TAPE);
            return new Cut(leg, onTape, place.plus(onTape.minus(along)));
        }

        /** From where a leg is measured, its end face or its back, to a point on it. */
        private Length along(int leg, Vector3 point) {
            if (leg == 1) {
                return Length.ofInches(
                        point.dot(whole.straights().getFirst().start().along()));
            }
            Frame start = whole.arcs()
                    .get(shape.ninetys().get(leg - 2).firstBend() - 1)
                    .end();
            return Length.ofInches(point.minus(start.origin()).dot(start.along()))
                    .plus(layout.job().tooling().backOfBend());
        }

        private Portion portion(Division.Piece piece, Cut from, Cut to, boolean first, boolean last) {
            List<Integer> bends = piece.bendNumbers();
            Frame start = whole.at(from.place());
            Vector3 up = start.up();
            if (!bends.isEmpty()) {
                Segment.Arc arc = whole.arcs().get(bends.getFirst() - 1);
                up = arc.start().bendDirection(arc.roll());
            }
            return new Portion(
                    piece.number(),
                    start,
                    whole.at(to.place()),
                    from.leg(),
                    from.along(),
                    to.place().minus(from.place()),
                    bends,
                    to.leg() > from.leg() ? Optional.of(alone(from, to, bends, first, last)) : Optional.empty(),
                    up);
        }

        private Run alone(Cut from, Cut to, List<Integer> bends, boolean first, boolean last) {
            List<Leg> legs = new ArrayList<>();
            for (int leg = from.leg(); leg <= to.leg(); leg++) {
                Leg asked = run.legs().get(leg - 1);
                boolean whole = (leg > from.leg() || first) && (leg < to.leg() || last);
                Length length =
                        leg == to.leg() && !last ? to.along() : run.outside(leg).minus(from.along());
                legs.add(whole ? asked : new Leg(length, asked.towards(), Length.ZERO));
            }
            List<Along> along = new ArrayList<>();
            for (RunShape.Stretch stretch : shape.stretches()) {
                switch (stretch.part()) {
                    case Part.OnLeg(int index, var _)
                    when bends.contains(stretch.firstBend()) -> {
                        Along on = run.along().get(index);
                        Length cut = on.leg() == from.leg() ? from.along() : Length.ZERO;
                        along.add(on.placed(on.leg() - from.leg() + 1, on.at().minus(cut)));
                    }
                    case Part.OnLeg _, Part.Ninety _, Part.AtStart _, Part.AtEnd _ -> {
                        // Ninetys lie between its legs, boxes at its ends.
                    }
                }
            }
            return new Run(
                    legs,
                    first ? run.startInsertion() : Length.ZERO,
                    last ? run.endInsertion() : Length.ZERO,
                    first ? run.startOffset() : Optional.empty(),
                    last ? run.endOffset() : Optional.empty(),
                    along,
                    List.of());
        }
    }
}
