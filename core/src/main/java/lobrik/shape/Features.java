package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;

/**
 * What a tape and a level read on a piece (handbook 6). Lengths between parallel legs are taken between centrelines, which
 * is the same as underside to underside; where a leg is not parallel, from underside to underside.
 */
public final class Features {

    private final Piece piece;

    /** Where the pencil rings are on the straight conduit, one for each bend. */
    private final List<Length> rings;

    /** The direction in which the first bend turns. */
    private final Vector3 up;

    private final Vector3 end;
    private final List<Feature> found = new ArrayList<>(16);

    private Features(Piece piece, List<Length> rings) {
        this.piece = piece;
        this.rings = rings;
        Segment.Arc first = piece.arcs().getFirst();
        this.up = first.start().bendDirection(first.roll());
        this.end = piece.straights().getLast().end().origin();
    }

    /**
     * Measures a piece.
     *
     * @param bend what the piece was meant to be; decides which features it has
     * @param piece with as many bends as the kind has
     * @return in the order of handbook 6
     * @throws lobrik.fault.Refused as impossible if a ninety is so far from 90° that its legs have no back
     */
    public static List<Feature> of(Bend bend, Piece piece) {
        return of(bend, piece, piece.bends().stream().map(BendMade::position).toList());
    }

    /**
     * Measures a piece on which some bends were not made on their rings.
     *
     * @param rings where the rings are on the straight conduit, one for each bend, from the datum end
     * @throws lobrik.fault.Refused as {@link #of(Bend, Piece)}
     */
    public static List<Feature> of(Bend bend, Piece piece, List<Length> rings) {
        if (piece.arcs().size() != bend.bends()) {
            throw new IllegalArgumentException(bend.kind().id() + " has " + bend.bends() + " bends, not "
                    + piece.arcs().size());
        }
        Features features = new Features(piece, rings);
        switch (bend) {
            case Stub90 _ -> features.stub();
            case BackToBack90 _ -> features.backToBack();
            case Offset offset -> features.offset(offset.layout());
            case BoxOffset _ -> features.offset(OffsetLayout.FROM_EDGE);
            case RollingOffset rolling -> features.rollingOffset(rolling.layout());
            case Kick _ -> features.kick();
            case Saddle3 _ -> features.saddle3();
            case Saddle4 _ -> features.saddle4();
            case OverBent90 _ -> features.overBent();
            case Run run -> features.run(run);
        }
        features.flattenings();
        return List.copyOf(features.found);
    }

    private void stub() {
        marks();
        leg();
        angles();
        lastLeg(FeatureId.OTHER_LEG);
    }

    private void backToBack() {
        marks();
        leg();
        Segment.Straight floor = piece.straights().get(1);
        Length first = back(0);
        Length second = back(1);
        add(
                FeatureId.BETWEEN,
                floor.length().plus(first).plus(second),
                floor.start().ahead(-first.inches()).origin(),
                floor.end().ahead(second.inches()).origin());
        lastLeg(FeatureId.SECOND_LEG);
        angles();
        dogLeg();
    }

    private void leg() {
        Length leg = straight(0).plus(back(0));
        add(FeatureId.LEG, leg, Vector3.ORIGIN, Vector3.X.times(leg.inches()));
    }

    private void lastLeg(FeatureId id) {
        int last = piece.bends().size();
        Length back = back(last - 1);
        Segment.Straight leg = piece.straights().getLast();
        add(id, leg.length().plus(back), leg.start().ahead(-back.inches()).origin(), end);
    }

    private void offset(OffsetLayout layout) {
        marks();
        height(FeatureId.RISE, lastArcEnd());
        offsetRest(layout);
    }

    /** Upright and to the side as such, so that a wrong turn shows. */
    private void rollingOffset(OffsetLayout layout) {
        marks();
        Vector3 there = lastArcEnd();
        Vector3 below = new Vector3(there.x(), 0, there.z());
        Vector3 beside = new Vector3(there.x(), there.y(), 0);
        add(FeatureId.RISE, Length.ofInches(there.y()), below, there);
        add(FeatureId.ROLL, Length.ofInches(there.z()), beside, there);
        offsetRest(layout);
    }

    private void offsetRest(OffsetLayout layout) {
        angles();
        alongDatumLeg(FeatureId.LANDING, ring(layout == OffsetLayout.BEFORE_OBSTACLE ? 1 : 0));
        dogLeg();
        alongDatumLeg(FeatureId.OVERALL, end);
    }

    /** The rise of a kick is taken at its far end (handbook 4.5): its leg is tilted, so the underside rises more than the axis. */
    private void kick() {
        marks();
        double half = piece.tooling().conduit().outsideDiameter().inches() / 2;
        Vector3 axis = piece.straights().getLast().end().along();
        Vector3 level = up.times(half);
        Vector3 square = up.minus(axis.times(axis.dot(up)));
        Vector3 underside = end.minus(square.times(half / square.norm())).plus(level);
        height(FeatureId.RISE, underside);
        angles();
    }

    private void saddle3() {
        marks();
        Vector3 top = highestPointOfArc(1);
        height(FeatureId.HEIGHT, top);
        alongDatumLeg(FeatureId.CENTRE, top);
        angles();
        saddleRest();
    }

    private void saddle4() {
        marks();
        height(FeatureId.HEIGHT, piece.straights().get(2).at(0.5).origin());
        Vector3 near = ring(1);
        Vector3 far = ring(2);
        add(FeatureId.FLAT, Length.ofInches(far.minus(near).norm()), near, far);
        alongDatumLeg(FeatureId.LANDING, near);
        angles();
        saddleRest();
    }

    private void overBent() {
        marks();
        drop();
        height(FeatureId.SET_BACK, highestPointOfArc(1));
        angles();
        runOfOverBent();
        dogLeg();
    }

    /** To the underside of the run where it begins; tilted, half a diameter square to it. */
    private void drop() {
        Frame run = piece.straights().getLast().start();
        double half = piece.tooling().conduit().outsideDiameter().inches() / 2;
        Vector3 square = Vector3.X.minus(run.along().times(run.along().x()));
        double drop = run.origin().x() - half * square.x() / Math.max(square.norm(), 1e-9);
        // The tape runs along the plumb leg on the side that it does not lean to.
        Vector3 beside = up.times(-half);
        add(FeatureId.DROP, Length.ofInches(drop), beside, beside.plus(Vector3.X.times(drop)));
    }

    /**
     * Outermost surface of the over-bend to the far end face, along the run: half a diameter outside of where the arc is level
     * with the run's end, or, where it does not come so far, of where it begins.
     */
    private void runOfOverBent() {
        Segment.Arc arc = piece.arcs().getLast();
        Segment.Straight run = piece.straights().getLast();
        double quarter = Math.min(1, 90 / Math.max(arc.angle().degrees(), 1e-9));
        Vector3 along = run.start().along();
        Vector3 outermost = arc.at(1 - quarter).origin();
        double half = piece.tooling().conduit().outsideDiameter().inches() / 2;
        double leg = end.minus(outermost).dot(along) + half;
        add(FeatureId.OTHER_LEG, Length.ofInches(leg), end.minus(along.times(leg)), end);
    }

    private void run(Run run) {
        marks();
        RunFeatures.of(run, piece).forEach(found::add);
        angles();
    }

    private void saddleRest() {
        height(FeatureId.TAIL_LIFT, end);
        dogLeg();
        alongDatumLeg(FeatureId.OVERALL, end);
    }

    private void marks() {
        for (int i = 0; i < piece.bends().size(); i++) {
            Vector3 ring = ring(i);
            add(FeatureId.mark(i + 1), rings.get(i), ring, ring);
        }
    }

    private void angles() {
        for (int i = 0; i < piece.bends().size(); i++) {
            Vector3 middle = piece.arcs().get(i).at(0.5).origin();
            add(FeatureId.angle(i + 1), piece.bends().get(i).angle(), middle, middle);
        }
    }

    /** Of what was bent with heat; how flat a bend becomes does not follow from its shape, and a right one stays round. */
    private void flattenings() {
        for (int i = 0; i < piece.bends().size(); i++) {
            if (piece.bends().get(i).placing().onShoe().isEmpty()) {
                Vector3 middle = piece.arcs().get(i).at(0.5).origin();
                add(FeatureId.flattening(i + 1), Percentage.ZERO, middle, middle);
            }
        }
    }

    private void add(FeatureId id, Quantity value, Vector3 from, Vector3 to) {
        found.add(new Feature(id, value, from, to));
    }

    /** How far a point stands off the datum leg's line, in the direction in which the first bend turns. */
    private void height(FeatureId id, Vector3 point) {
        double height = point.dot(up);
        add(id, Length.ofInches(height), point.minus(up.times(height)), point);
    }

    /** How far a point is from the datum end face, along the datum leg. */
    private void alongDatumLeg(FeatureId id, Vector3 point) {
        add(id, Length.ofInches(point.x()), Vector3.ORIGIN, Vector3.X.times(point.x()));
    }

    private Length straight(int index) {
        return piece.straights().get(index).length();
    }

    private Length back(int index) {
        BendMade made = piece.bends().get(index);
        return NinetyBack.beyondArc(made.on(piece.tooling()), made.angle(), index + 1);
    }

    private Vector3 lastArcEnd() {
        return piece.straights().getLast().start().origin();
    }

    /** Where the ring of a bend came to lie. */
    private Vector3 ring(int index) {
        return piece.at(rings.get(index)).origin();
    }

    /**
     * On the arc {@code p(φ) = o + R sin φ · a + R (1 − cos φ) · q} the height is greatest where its slope
     * {@code cos φ (a·u) + sin φ (q·u)} is zero; if that is not on the arc, at one of its ends. Formula
     * {@code saddle-top}, from handbook 2.
     */
    private Vector3 highestPointOfArc(int index) {
        return highestPoint(piece.arcs().get(index), up);
    }

    static Vector3 highestPoint(Segment.Arc arc, Vector3 up) {
        Vector3 start = arc.start().origin();
        Vector3 end = arc.end().origin();
        Vector3 best = start.dot(up) >= end.dot(up) ? start : end;
        double level = Math.atan2(
                arc.start().along().dot(up),
                -arc.start().bendDirection(arc.roll()).dot(up));
        double part = level / arc.angle().radians();
        if (part > 0 && part < 1) {
            Vector3 top = arc.at(part).origin();
            return top.dot(up) > best.dot(up) ? top : best;
        }
        return best;
    }

    /**
     * Largest angle between the planes of any two bends: the difference of their rolls, of which half turns do not count.
     * Formula {@code dog-leg}, handbook 2 and 6.
     */
    private void dogLeg() {
        long halfTurn = Angle.HALF_TURN.nanodegrees();
        long largest = 0;
        for (int i = 0; i < piece.bends().size(); i++) {
            for (int j = 0; j < i; j++) {
                long difference = Math.floorMod(
                        piece.bends()
                                .get(i)
                                .roll()
                                .minus(piece.bends().get(j).roll())
                                .nanodegrees(),
                        halfTurn);
                largest = Math.max(largest, Math.min(difference, halfTurn - difference));
            }
        }
        Vector3 at = piece.straights().getLast().start().origin();
        add(FeatureId.DOG_LEG, new Angle(largest), at, at);
    }
}
