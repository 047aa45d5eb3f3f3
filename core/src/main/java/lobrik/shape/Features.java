package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.Bend;
import lobrik.bend.OffsetLayout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * What a tape and a level read on a piece (handbook 6). Lengths between parallel legs are taken between centrelines, which
 * is the same as underside to underside.
 */
public final class Features {

    private final Piece piece;
    private final List<Feature> found = new ArrayList<>(16);

    private Features(Piece piece) {
        this.piece = piece;
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
        if (piece.arcs().size() != bend.kind().bends()) {
            throw new IllegalArgumentException(bend.kind().id() + " has "
                    + bend.kind().bends() + " bends, not " + piece.arcs().size());
        }
        Features features = new Features(piece);
        switch (bend) {
            case lobrik.bend.Stub90 _ -> features.stub();
            case lobrik.bend.BackToBack90 _ -> features.backToBack();
            case lobrik.bend.Offset offset -> features.offset(offset.layout());
            case lobrik.bend.BoxOffset _ -> features.offset(OffsetLayout.FROM_EDGE);
            case lobrik.bend.RollingOffset rolling -> features.rollingOffset(rolling.layout());
            case lobrik.bend.Kick _ -> features.kick();
            case lobrik.bend.Saddle3 _ -> features.saddle3();
            case lobrik.bend.Saddle4 _ -> features.saddle4();
        }
        return List.copyOf(features.found);
    }

    private void stub() {
        marks();
        add(FeatureId.LEG, straight(0).plus(back(0)));
        angles();
        add(FeatureId.OTHER_LEG, straight(1).plus(back(0)));
    }

    private void backToBack() {
        marks();
        add(FeatureId.LEG, straight(0).plus(back(0)));
        add(FeatureId.BETWEEN, straight(1).plus(back(0)).plus(back(1)));
        add(FeatureId.SECOND_LEG, straight(2).plus(back(1)));
        angles();
        add(FeatureId.DOG_LEG, dogLeg());
    }

    private void offset(OffsetLayout layout) {
        marks();
        add(FeatureId.RISE, height(lastArcEnd()));
        offsetRest(layout);
    }

    /** Upright and to the side as such, so that a wrong turn shows. */
    private void rollingOffset(OffsetLayout layout) {
        marks();
        add(FeatureId.RISE, Length.ofInches(lastArcEnd().y()));
        add(FeatureId.ROLL, Length.ofInches(lastArcEnd().z()));
        offsetRest(layout);
    }

    private void offsetRest(OffsetLayout layout) {
        angles();
        add(FeatureId.LANDING, landing(layout == OffsetLayout.BEFORE_OBSTACLE ? 1 : 0));
        add(FeatureId.DOG_LEG, dogLeg());
        add(FeatureId.OVERALL, Length.ofInches(end().x()));
    }

    /** The rise of a kick is taken at its far end (handbook 4.5). */
    private void kick() {
        marks();
        add(FeatureId.RISE, height(end()));
        angles();
    }

    private void saddle3() {
        marks();
        Vector3 top = highestPointOfCentreArc();
        add(FeatureId.HEIGHT, height(top));
        add(FeatureId.CENTRE, Length.ofInches(top.x()));
        angles();
        saddleRest();
    }

    private void saddle4() {
        marks();
        Segment.Straight top = piece.straights().get(2);
        add(
                FeatureId.HEIGHT,
                height(top.start().ahead(top.length().inches() / 2).origin()));
        add(FeatureId.FLAT, Length.ofInches(ring(2).minus(ring(1)).norm()));
        add(FeatureId.LANDING, landing(1));
        angles();
        saddleRest();
    }

    private void saddleRest() {
        add(FeatureId.TAIL_LIFT, height(end()));
        add(FeatureId.DOG_LEG, dogLeg());
        add(FeatureId.OVERALL, Length.ofInches(end().x()));
    }

    private void marks() {
        for (int i = 0; i < piece.bends().size(); i++) {
            add(FeatureId.mark(i + 1), piece.bends().get(i).position());
        }
    }

    private void angles() {
        for (int i = 0; i < piece.bends().size(); i++) {
            add(FeatureId.angle(i + 1), piece.bends().get(i).angle());
        }
    }

    private void add(FeatureId id, Quantity value) {
        found.add(new Feature(id, value));
    }

    private Length straight(int index) {
        return piece.straights().get(index).length();
    }

    private Length back(int index) {
        return NinetyBack.beyondArc(piece.tooling(), piece.bends().get(index).angle(), index + 1);
    }

    private Vector3 end() {
        return piece.straights().getLast().end().origin();
    }

    private Vector3 lastArcEnd() {
        return piece.straights().getLast().start().origin();
    }

    /** Where the ring of a bend came to lie. */
    private Vector3 ring(int index) {
        return piece.at(piece.bends().get(index).position()).origin();
    }

    private Length landing(int index) {
        return Length.ofInches(ring(index).x());
    }

    /** How far a point stands off the datum leg's line, in the direction in which the first bend turns. */
    private Length height(Vector3 point) {
        return Length.ofInches(point.dot(up()));
    }

    private Vector3 up() {
        Segment.Arc first = piece.arcs().getFirst();
        return first.start().bendDirection(first.roll());
    }

    /**
     * On the arc {@code p(φ) = o + R sin φ · a + R (1 − cos φ) · q} the height is greatest where its slope
     * {@code cos φ (a·u) + sin φ (q·u)} is zero; if that is not on the arc, at one of its ends. Formula
     * {@code saddle-top}, from handbook 2.
     */
    private Vector3 highestPointOfCentreArc() {
        Segment.Arc arc = piece.arcs().get(1);
        Vector3 up = up();
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
    private Angle dogLeg() {
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
        return new Angle(largest);
    }
}
