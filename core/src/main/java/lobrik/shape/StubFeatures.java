package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * Features of a stub ninety (handbook 6): {@code mark1}, {@code leg}, {@code angle1}, {@code otherLeg}.
 *
 * <p>The back of a bend that did not come out at exactly 90° needs saying: it is the outer surface of the leg beyond, as a
 * straight-edge laid along that leg shows it, and the tape reads along the axis of the leg that is measured until it meets
 * that line.
 */
public final class StubFeatures {

    private static final Angle LEAST = Angle.ofDegrees(45);
    private static final Angle MOST = Angle.ofDegrees(135);

    private StubFeatures() {}

    /**
     * Measures a piece with one bend.
     *
     * @param made the bend that the piece was made with: its position is the reading of {@code mark1}
     * @throws Refused as impossible if the bend is not between 45° and 135°: its legs then have no back to measure to
     */
    public static List<Feature> of(Piece piece, BendMade made) {
        Segment.Arc arc = piece.arcs().getFirst();
        Length backBeyondArc = backBeyondArc(piece.tooling(), arc.angle());
        List<Feature> features = new ArrayList<>();
        features.add(new Feature(FeatureId.MARK_1, made.position()));
        features.add(
                new Feature(FeatureId.LEG, piece.straights().getFirst().length().plus(backBeyondArc)));
        features.add(new Feature(FeatureId.ANGLE_1, arc.angle()));
        features.add(new Feature(
                FeatureId.OTHER_LEG, piece.straights().getLast().length().plus(backBeyondArc)));
        return List.copyOf(features);
    }

    /**
     * The piece that shows these finished dimensions: the inverse of {@link #of}.
     *
     * @return empty where no conduit can look like that: a leg shorter than the bend, or not a ninety at all
     */
    public static Optional<Piece> pieceWith(Tooling tooling, Length leg, Angle angle, Length otherLeg) {
        if (!isNinety(angle)) {
            return Optional.empty();
        }
        Length back = backBeyondArc(tooling, angle);
        Length before = leg.minus(back);
        Length after = otherLeg.minus(back);
        if (before.isNegative() || after.isNegative()) {
            return Optional.empty();
        }
        Length used = tooling.arcLength(angle);
        Piece.PlacedArc arc = new Piece.PlacedArc(1, before, used, angle, Angle.ZERO);
        return Optional.of(Piece.ofArcs(tooling, before.plus(used).plus(after), List.of(arc)));
    }

    /**
     * From the start of the arc, along the leg's axis, to the outer surface line of the other leg:
     * {@code ((R + d/2) − R cos θ) / sin θ}, which is {@code R + d/2} at 90°. Formula {@code back-of-bend-at-angle}; it
     * follows from handbook 2 by meeting the leg's axis with the line {@code d/2} outside the other leg.
     */
    static Length backBeyondArc(Tooling tooling, Angle angle) {
        if (!isNinety(angle)) {
            throw Refused.impossible(new Fault(
                    FaultCode.NOT_A_NINETY,
                    "bends/0/angleDeg",
                    "the bend is at " + angle.text() + "; a leg has a back to measure to only between " + LEAST.text()
                            + " and " + MOST.text()));
        }
        double theta = angle.radians();
        double back = tooling.backOfBend().inches();
        double radius = tooling.bender().radius().inches();
        return Length.ofInches((back - radius * Math.cos(theta)) / Math.sin(theta));
    }

    private static boolean isNinety(Angle angle) {
        return !angle.isLessThan(LEAST) && !angle.isMoreThan(MOST);
    }
}
