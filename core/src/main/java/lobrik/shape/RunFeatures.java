package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.Offset;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.RunShape.Part;
import lobrik.bend.RunShape.Stretch;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * What is measured on a run besides its marks and angles (handbook 4.9): legs, turns, what its offsets and saddles rise, where its far
 * end is, and how far its planes are off.
 */
final class RunFeatures {

    private final Run run;
    private final Piece piece;
    private final RunShape shape;
    private final List<Stretch> ninetys;

    /** Roll that each bend shall have, from the datum end. */
    private final Angle[] askedRolls;

    private final List<Feature> found = new ArrayList<>(24);

    private RunFeatures(Run run, Piece piece) {
        this.run = run;
        this.piece = piece;
        this.shape = run.shape();
        this.ninetys = shape.ninetys();
        this.askedRolls = new Angle[shape.bends()];
        for (Stretch stretch : shape.stretches()) {
            for (int bend = stretch.firstBend(); bend <= stretch.lastBend(); bend++) {
                askedRolls[bend - 1] = stretch.rollOf(bend);
            }
        }
    }

    static List<Feature> of(Run run, Piece piece) {
        RunFeatures features = new RunFeatures(run, piece);
        features.legs();
        features.turns();
        features.shape.stretches().forEach(features::rise);
        features.dogLeg();
        features.reach();
        return features.found;
    }

    /**
     * From the end of one ninety's arc to the start of the next, projected on the leg's direction where it starts, and at each bent end
     * to the back of the bend.
     */
    private void legs() {
        for (int leg = 1; leg <= run.legs().size(); leg++) {
            boolean first = leg == 1;
            boolean last = leg == run.legs().size();
            Frame start = first ? Frame.DATUM : arc(ninety(leg - 1)).end();
            Vector3 end = last
                    ? piece.straights().getLast().end().origin()
                    : arc(ninety(leg)).start().origin();
            Length before = first ? Length.ZERO : back(ninety(leg - 1));
            Length after = last ? Length.ZERO : back(ninety(leg));
            Length length = Length.ofInches(end.minus(start.origin()).dot(start.along()))
                    .plus(before)
                    .plus(after);
            Vector3 from = start.ahead(-before.inches()).origin();
            found.add(new Feature(
                    FeatureId.leg(leg), length, from, from.plus(start.along().times(length.inches()))));
        }
    }

    /** Near what was asked, so that a turn that is a little short of nothing is a little less, and not most of a whole one. */
    private void turns() {
        for (int k = 1; k < ninetys.size(); k++) {
            Angle asked = ninetys.get(k).roll().minus(ninetys.get(k - 1).roll()).withinTurn();
            Angle made = roll(ninety(k + 1)).minus(roll(ninety(k)));
            Vector3 at = arc(ninety(k + 1)).start().origin();
            found.add(new Feature(FeatureId.turn(k), made.near(asked), at, at));
        }
    }

    private void rise(Stretch stretch) {
        switch (stretch.part()) {
            case Part.Ninety _ -> {
                // What a ninety comes to is its angle, and its legs.
            }
            case Part.AtStart _ -> square(FeatureId.START_RISE, stretch, endOfOffset(stretch));
            case Part.AtEnd _ -> square(FeatureId.END_RISE, stretch, endOfOffset(stretch));
            case Part.OnLeg(int _, Offset _) -> square(FeatureId.rise(stretch.leg()), stretch, endOfOffset(stretch));
            case Part.OnLeg(int _, Saddle3 _) ->
                square(
                        FeatureId.height(stretch.leg()),
                        stretch,
                        Features.highestPoint(arc(stretch.firstBend() + 1), up(stretch)));
            case Part.OnLeg(int _, Saddle4 _) ->
                square(
                        FeatureId.height(stretch.leg()),
                        stretch,
                        piece.straights().get(stretch.firstBend() + 1).at(0.5).origin());
        }
    }

    private Vector3 endOfOffset(Stretch stretch) {
        return arc(stretch.lastBend()).end().origin();
    }

    /** How far a point stands off the straight before a stretch, in the direction in which its first bend turns. */
    private void square(FeatureId id, Stretch stretch, Vector3 point) {
        Vector3 up = up(stretch);
        double height = point.minus(arc(stretch.firstBend()).start().origin()).dot(up);
        found.add(new Feature(id, Length.ofInches(height), point.minus(up.times(height)), point));
    }

    private Vector3 up(Stretch stretch) {
        Segment.Arc first = arc(stretch.firstBend());
        return first.start().bendDirection(first.roll());
    }

    /**
     * The largest of what turns, planes of offsets to the ninety beside them, and bends of one offset among themselves are off. Formula
     * {@code run-dog-leg}, handbook 4.9.
     */
    private void dogLeg() {
        long largest = 0;
        for (int k = 1; k < ninetys.size(); k++) {
            largest = Math.max(largest, off(ninety(k), ninety(k + 1)));
        }
        for (Stretch stretch : shape.stretches()) {
            int beside = beside(stretch);
            for (int bend = stretch.firstBend(); bend <= stretch.lastBend(); bend++) {
                largest = Math.max(largest, off(beside, bend));
                for (int other = stretch.firstBend(); other < bend; other++) {
                    largest = Math.max(largest, off(other, bend));
                }
            }
        }
        Vector3 at = piece.straights().getLast().start().origin();
        found.add(new Feature(FeatureId.DOG_LEG, new Angle(largest), at, at));
    }

    /** The ninety before a stretch; on the first leg the one after it. */
    private int beside(Stretch stretch) {
        return switch (stretch.part()) {
            case Part.Ninety ninety -> ninety(ninety.number());
            case Part.AtStart _, Part.AtEnd _, Part.OnLeg _ -> ninety(Math.max(1, stretch.leg() - 1));
        };
    }

    /** How far the roll of one bend to another is off, either way, in nanodegrees. */
    private long off(int one, int other) {
        Angle asked = askedRolls[other - 1].minus(askedRolls[one - 1]);
        Angle made = roll(other).minus(roll(one));
        return Math.abs(made.minus(asked).withinHalfTurn().nanodegrees());
    }

    /** With the datum end seated: the first leg as it was asked for. */
    private void reach() {
        RoomFrame room = RoomFrame.of(run, shape);
        reach(FeatureId.REACH_RIGHT, room.right());
        reach(FeatureId.REACH_UP, room.up());
        reach(FeatureId.REACH_OUT, room.out());
    }

    /** @param direction of the room, in the piece's frame */
    private void reach(FeatureId id, Vector3 direction) {
        double reach = piece.straights().getLast().end().origin().dot(direction);
        found.add(new Feature(id, Length.ofInches(reach), Vector3.ORIGIN, direction.times(reach)));
    }

    /** Number of the bend that is this ninety, from 1. */
    private int ninety(int number) {
        return ninetys.get(number - 1).firstBend();
    }

    private Segment.Arc arc(int bend) {
        return piece.arcs().get(bend - 1);
    }

    private Angle roll(int bend) {
        return piece.bends().get(bend - 1).roll();
    }

    private Length back(int bend) {
        BendMade made = piece.bends().get(bend - 1);
        return NinetyBack.beyondArc(made.on(piece.tooling()), made.angle(), bend);
    }
}
