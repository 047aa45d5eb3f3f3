package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.bend.Bend;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.BackDatum;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.Placing;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;
import lobrik.shop.WarmPlacing;

/**
 * How a piece was made, as figures that a hypothesis changes: the trainee's own figures, the rings, where the shoe really
 * stood, how it stood, and how far it was pulled. Inches and degrees; one entry for each bend, from the datum end.
 */
final class Making {

    /** The trainee's own figures for the marks. */
    final double[] own;

    /** Pencil rings. */
    final double[] rings;

    /** What stood under the shoe's reference. */
    final double[] places;

    final double[] angles;
    final double[] rolls;
    final Placing[] placings;

    /** What each bend was made with: the tool of the exercise, or another. */
    final Tool[] tools;

    /** How flat each bend came out, in per cent. */
    final double[] flattened;

    double length;

    /** Whether a landing was measured to where the bend was made, and not to its ring. */
    boolean landsWhereMade;

    /** Whether the bender added nothing to this one, whatever is known of it. */
    boolean withoutBender;

    /** The plan, for the marks that were measured from the back of an earlier bend: they go where that bend went. */
    private final Following following;

    private Optional<FeatureId> doubtful = Optional.empty();
    private double doubtfulBy;

    private Making(
            double[] own,
            double[] rings,
            double[] places,
            double[] angles,
            double[] rolls,
            Placing[] placings,
            Tool[] tools,
            double[] flattened,
            double length,
            Following following) {
        this.own = own;
        this.rings = rings;
        this.places = places;
        this.angles = angles;
        this.rolls = rolls;
        this.placings = placings;
        this.tools = tools;
        this.flattened = flattened;
        this.length = length;
        this.following = following;
    }

    /**
     * Marks that follow an earlier bend.
     *
     * @param backs by number from 0, what such a mark was measured from
     */
    private record Following(List<Mark> marks, Map<Integer, BackDatum> backs) {

        /** How far the bend that a mark was measured from stands from where it was planned, in inches along the conduit. */
        double shift(Making making, int mark, Tooling tooling) {
            BackDatum back = backs.get(mark);
            if (back == null) {
                return 0;
            }
            int bend = back.bend() - 1;
            Mark plan = marks.get(bend);
            double planned = tooling.arcStart(plan.position(), plan.placing(), plan.angle())
                    .inches();
            double now = tooling.arcStart(Length.ofInches(making.places[bend]), making.placings[bend], plan.angle())
                    .inches();
            return now - planned + shift(making, bend, tooling);
        }
    }

    /**
     * Everything as planned.
     *
     * @param fromBack numbers of the marks that are measured from the back of an earlier bend
     */
    static Making planned(Layout layout, Set<Integer> fromBack) {
        List<Mark> marks = layout.marks();
        Map<Integer, BackDatum> backs = new HashMap<>();
        marks.stream()
                .filter(mark -> fromBack.contains(mark.number()))
                .forEach(mark -> mark.back().ifPresent(back -> backs.put(mark.number() - 1, back)));
        double[] rings =
                marks.stream().mapToDouble(mark -> mark.position().inches()).toArray();
        return new Making(
                rings.clone(),
                rings,
                rings.clone(),
                marks.stream().mapToDouble(mark -> mark.angle().degrees()).toArray(),
                marks.stream().mapToDouble(mark -> mark.roll().degrees()).toArray(),
                marks.stream().map(Mark::placing).toArray(Placing[]::new),
                marks.stream().map(_ -> layout.job().tooling().tool()).toArray(Tool[]::new),
                new double[marks.size()],
                layout.predicted().length().inches(),
                new Following(marks, backs));
    }

    Making copy() {
        return new Making(
                own.clone(),
                rings.clone(),
                places.clone(),
                angles.clone(),
                rolls.clone(),
                placings.clone(),
                tools.clone(),
                flattened.clone(),
                length,
                following);
    }

    /** Whether the same piece with the same rings comes of it. */
    boolean isMadeLike(Making other) {
        return Arrays.equals(places, other.places)
                && Arrays.equals(angles, other.angles)
                && Arrays.equals(rolls, other.rolls)
                && Arrays.equals(placings, other.placings)
                && Arrays.equals(tools, other.tools)
                && Arrays.equals(rings, other.rings)
                && length == other.length;
    }

    int bends() {
        return rings.length;
    }

    /** A figure was worked out differently, and ringed and bent like that. */
    void workOut(int bend, double by) {
        own[bend] += by;
        mark(bend, by);
    }

    /** A ring was set differently, and bent there. */
    void mark(int bend, double by) {
        rings[bend] += by;
        places[bend] += by;
    }

    /** A figure was worked out differently, the later ones from it, and the conduit was ringed and bent like that. */
    void workOutFrom(int bend, double by) {
        for (int i = bend; i < own.length; i++) {
            own[i] += by;
        }
        markFrom(bend, by);
    }

    /** A ring was set differently and the later ones from it; those that are measured from a back follow that by themselves. */
    void markFrom(int bend, double by) {
        for (int i = bend; i < rings.length; i++) {
            if (i == bend || !following.backs().containsKey(i)) {
                mark(i, by);
            }
        }
    }

    /** The hook looked to the other side. */
    void turnHook(int bend) {
        placings[bend] = switch (placings[bend]) {
            case ShoePlacing shoe -> shoe.turned();
            case WarmPlacing warm -> warm;
        };
    }

    /** Another mark of the shoe stood on the ring. */
    void setBy(int bend, Reference reference) {
        placings[bend] = switch (placings[bend]) {
            case ShoePlacing shoe -> shoe.by(reference);
            case WarmPlacing warm -> warm;
        };
    }

    /** Another place of the curve lay on the ring. */
    void warm(int bend, WarmPlacing.On on) {
        placings[bend] = new WarmPlacing(on);
    }

    /**
     * The curve came out tighter by so many inches of its radius, or wider.
     *
     * @param flattening that this makes of it, in per cent
     */
    void tighten(int bend, double by, double flattening) {
        flattened[bend] += flattening;
        tools[bend] =
                tools[bend].withRadius(Length.ofInches(tools[bend].radius().inches() - by));
    }

    /** A reading was taken wrong. */
    void misread(FeatureId feature, double by) {
        doubtful = Optional.of(feature);
        doubtfulBy = by;
    }

    /** How much too much was read of a feature. */
    double misreadBy(FeatureId feature) {
        return doubtful.filter(feature::equals).isPresent() ? doubtfulBy : 0;
    }

    /** The features of the piece that is made like this; empty where no conduit can be bent like that. */
    Optional<List<Feature>> features(Bend bend, Tooling tooling) {
        try {
            List<BendMade> made = made(tooling);
            Piece piece = Piece.simulate(tooling, Length.ofInches(length), made);
            for (int i = 0; i < made.size(); i++) {
                // Bends that changed places along the conduit are no longer numbered as they were asked for.
                if (!piece.bends().get(i).equals(made.get(i))) {
                    return Optional.empty();
                }
            }
            List<Length> ringed = new ArrayList<>(rings.length);
            for (double ring : landsWhereMade ? places : rings) {
                ringed.add(Length.ofInches(ring));
            }
            return Optional.of(Features.of(bend, piece, ringed));
        } catch (Refused | IllegalArgumentException nothingLooksLikeThat) {
            return Optional.empty();
        }
    }

    private List<BendMade> made(Tooling tooling) {
        List<BendMade> made = new ArrayList<>(bends());
        for (int i = 0; i < bends(); i++) {
            made.add(new BendMade(
                    Length.ofInches(places[i] + following.shift(this, i, tooling)),
                    placings[i],
                    Angle.ofDegrees(angles[i]),
                    Angle.ofDegrees(rolls[i]),
                    tools[i].equals(tooling.tool()) ? Optional.empty() : Optional.of(tools[i])));
        }
        return made;
    }
}
