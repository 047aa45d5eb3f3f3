package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import lobrik.bend.Run;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.shape.Piece;
import lobrik.shape.RoomFrame;
import lobrik.shape.Vector3;
import lobrik.sticks.Assembly;
import lobrik.sticks.CutList;
import lobrik.sticks.Division;
import lobrik.sticks.Portion;
import lobrik.sticks.PullPoints;
import lobrik.sticks.Stock;
import lobrik.sticks.Straps;
import org.jspecify.annotations.Nullable;

/**
 * A run that was divided, as the core has it.
 *
 * @param pieces from the datum end; between two of them is a coupling
 * @param stock what they are cut from
 * @param straps where it is fastened, along the conduit from the datum end
 * @param points where wire is pulled
 * @param friction of wire in conduit
 */
public record Divided(
        Question question,
        Run run,
        List<Division.Piece> pieces,
        Stock stock,
        List<Length> straps,
        PullPoints points,
        double friction) {

    private static final int MOST_LEFT_OVERS = 200;

    public Divided {
        pieces = List.copyOf(pieces);
        straps = List.copyOf(straps);
    }

    /**
     * Divides a run.
     *
     * @throws Refused where that was not a run, or cannot be divided, or where a figure is outside its range
     */
    public static Divided of(DivideRequest request) {
        Translation translation = new Translation();
        Optional<LayoutRequest> asked = translation.required("layout", request.layout());
        double friction = translation.friction(request.friction());
        List<Length> leftOvers = leftOvers(translation, Objects.requireNonNullElse(request.leftOversIn(), List.of()));
        Optional<Length> kerf = translation.lengthOr("kerfIn", request.kerfIn(), Stock.USUAL_KERF);
        Optional<Length> fromArc =
                translation.lengthOr("couplingFromArcIn", request.couplingFromArcIn(), Stock.USUAL_FROM_ARC);
        Optional<Straps.Rule> rule = translation
                .lengthOr("strapFromFittingIn", request.strapFromFittingIn(), Straps.Rule.USUAL.fromFitting())
                .flatMap(fitting -> translation
                        .lengthOr("strapApartIn", request.strapApartIn(), Straps.Rule.USUAL.apart())
                        .flatMap(apart -> translation.built("", () -> new Straps.Rule(fitting, apart))));
        Question question = Question.of(translation.finish(asked));
        Layout layout = question.layout();
        Optional<Stock> stock = kerf.flatMap(saw -> fromArc.flatMap(room -> translation.built(
                "", () -> new Stock(layout.job().school().limits().stick(), leftOvers, saw, room))));
        Stock cutFrom = translation.finish(stock);
        Run run = layout.job().bend().run().orElseThrow(() -> notARun(layout));
        List<Division.Piece> pieces =
                Division.of(layout, run.shape(), cutFrom).orElseThrow(() -> cannotBeDivided(layout));
        return new Divided(
                question,
                run,
                pieces,
                cutFrom,
                Straps.of(layout.predicted(), translation.finish(rule)),
                PullPoints.of(run.shape(), layout.job().school().limits().mostBends()),
                friction);
    }

    /** As the interface says it. */
    public DivideAnswer answer() {
        CutList cuts = CutList.of(pieces.stream().map(Division.Piece::length).toList(), stock);
        return DivideAnswer.of(question.layout(), pieces, cuts, straps, points, friction);
    }

    /**
     * A piece as something to be bent by itself.
     *
     * @param request that lays it out; empty for a straight, and for a straight with an offset
     * @param cut what it is cut to, before bending
     */
    public record Alone(Portion portion, Optional<LayoutRequest> request, Length cut) {}

    /** Its pieces, each to be bent by itself; what stands in the room is told from the whole run, and not from a piece. */
    public List<Alone> alone(LayoutRequest whole) {
        List<Alone> alone = new ArrayList<>();
        for (Portion portion : Portion.of(question.layout(), run, pieces)) {
            Optional<LayoutRequest> request =
                    portion.run().map(own -> whole.withoutPlace().with(BendInput.of(own)));
            Length cut = request.flatMap(own -> Question.of(own).layout().cutLength())
                    .orElseGet(() -> portion.length()
                            .nearest(question.layout().job().school().division()));
            alone.add(new Alone(portion, request, cut));
        }
        return List.copyOf(alone);
    }

    /** What these pieces are cut from, and what is left of it. */
    public CutList cuts(List<Alone> alone) {
        return CutList.of(alone.stream().map(Alone::cut).toList(), stock);
    }

    /**
     * The shape of the whole run, put together.
     *
     * @param made the shape of each piece as it was measured; empty for those that are taken as they should be
     */
    public PieceShape put(Assembly assembly, List<Optional<Piece>> made) {
        PieceShape wanted = PieceShape.of(
                run, question.layout().wanted().orElse(question.layout().predicted()));
        int perArc = PieceShape.perArc();
        List<List<Double>> centreline = new ArrayList<>();
        int arcs = 0;
        for (int i = 0; i < pieces.size(); i++) {
            Assembly.Laid laid = assembly.laid().get(i);
            int bends = pieces.get(i).bendNumbers().size();
            // Without the ends of the pieces: a coupling lies on a straight, and hides how little that is bent there.
            List<List<Double>> points = made.get(i)
                    .map(piece -> PieceShape.points(piece).subList(1, 1 + bends * perArc))
                    .orElse(wanted.centreline().subList(1 + arcs * perArc, 1 + (arcs + bends) * perArc));
            points.forEach(point -> centreline.add(PieceShape.point(laid.point(PieceShape.vector(point)))));
            arcs += bends;
        }
        Vector3 end = PieceShape.vector(wanted.centreline().getLast());
        RoomFrame room = RoomFrame.of(run);
        Vector3 off = assembly.off();
        Vector3 moved = end.plus(room.right().times(off.x()))
                .plus(room.up().times(off.y()))
                .plus(room.out().times(off.z()));
        centreline.addFirst(wanted.centreline().getFirst());
        centreline.addLast(PieceShape.point(moved));
        return new PieceShape(wanted.lengthIn(), List.copyOf(centreline), wanted.arcs(), wanted.pose());
    }

    private static List<Length> leftOvers(Translation translation, List<@Nullable Double> given) {
        if (given.size() > MOST_LEFT_OVERS) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE,
                    "leftOversIn",
                    "there are " + given.size() + " left-overs; give at most " + MOST_LEFT_OVERS);
            return List.of();
        }
        List<Length> leftOvers = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            translation.length("leftOversIn/" + i, given.get(i)).ifPresent(leftOvers::add);
        }
        return leftOvers;
    }

    private static Refused notARun(Layout layout) {
        return Refused.impossible(new Fault(
                FaultCode.UNKNOWN_VALUE,
                "layout/bend/kind",
                "runs are divided at couplings, not a "
                        + layout.job().bend().kind().words()));
    }

    private static Refused cannotBeDivided(Layout layout) {
        return Refused.impossible(new Fault(
                FaultCode.LONGER_THAN_STICK,
                "layout/bend/legs",
                "there are no couplings that make pieces of at most "
                        + layout.job().school().limits().stick().inWords()
                        + " which can be bent; make a leg longer, so that a coupling has room on it, or shorter"));
    }
}
