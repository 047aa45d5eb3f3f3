package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.shop.HookSide;
import lobrik.sticks.CutList;
import lobrik.sticks.Division;
import lobrik.sticks.PullPoints;
import org.jspecify.annotations.Nullable;

/**
 * What a run is made from.
 *
 * @param pieces from the datum end; between two of them is a coupling
 * @param cuts what they are cut from
 * @param strapsIn where it is fastened, along the conduit from the datum end
 * @param totalBendDeg of all bends
 * @param pullBoxOnLegs numbers of the legs on which a box is needed to pull wire at, so that no part has more degrees than the limit
 * @param pullFactor by which the pull of wire grows over the whole run
 */
public record DivideAnswer(
        List<PieceAnswer> pieces,
        List<CutAnswer> cuts,
        List<Double> strapsIn,
        double totalBendDeg,
        List<Integer> pullBoxOnLegs,
        double pullFactor) {

    /**
     * A piece with a datum end of its own, at the coupling before it.
     *
     * @param fromIn where that is on the straight conduit of the whole run
     * @param bends in the order in which they are made
     */
    public record PieceAnswer(int number, double fromIn, double lengthIn, List<PieceBend> bends) {}

    /**
     * A bend of a piece.
     *
     * @param bend its number in the run
     * @param positionIn of its ring, from the piece's own datum end
     * @param hookTowards which end of the piece; null where it is bent with heat
     * @param rollDeg as in the whole run
     * @param standing how a hand bender stands; null with any other tool
     */
    public record PieceBend(
            int bend,
            double positionIn,
            OnRing reference,
            @Nullable HookSide hookTowards,
            double angleDeg,
            double rollDeg,
            StepAnswer.@Nullable StandingAnswer standing) {}

    /** A stick, or what was left of one, with the numbers of the pieces that are cut from it, and what is left of it. */
    public record CutAnswer(double lengthIn, boolean leftOver, List<Integer> pieces, double leftIn) {

        public static CutAnswer of(CutList.Cut cut) {
            return new CutAnswer(
                    cut.length().inches(),
                    cut.isLeftOver(),
                    cut.pieces(),
                    cut.left().inches());
        }
    }

    static DivideAnswer of(
            Layout layout,
            List<Division.Piece> pieces,
            CutList cuts,
            List<Length> straps,
            PullPoints points,
            double friction) {
        return new DivideAnswer(
                pieces.stream().map(piece -> piece(layout, piece)).toList(),
                cuts.sticks().stream().map(CutAnswer::of).toList(),
                straps.stream().map(Length::inches).toList(),
                points.total().degrees(),
                points.boxesOnLegs(),
                layout.pullFactor(friction));
    }

    private static PieceAnswer piece(Layout layout, Division.Piece piece) {
        List<PieceBend> bends = new ArrayList<>();
        for (Division.Step step : piece.inOrder(layout.job().tooling())) {
            Mark mark = layout.marks().get(step.bend() - 1);
            bends.add(new PieceBend(
                    step.bend(),
                    step.made().position().inches(),
                    OnRing.of(step.made().placing()),
                    OnRing.hookOf(step.made().placing()),
                    mark.angle().degrees(),
                    mark.roll().degrees(),
                    OnRing.hookOf(step.made().placing()) == null
                            ? null
                            : StepAnswer.StandingAnswer.of(step.standing())));
        }
        return new PieceAnswer(
                piece.number(), piece.from().inches(), piece.length().inches(), bends);
    }
}
