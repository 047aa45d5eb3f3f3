package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.Clearance;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
import lobrik.shop.Tooling;

/**
 * Something else that would do at the same place: another angle, another way, another tool (handbook, choosing the angle).
 *
 * @param of what is chosen otherwise
 * @param bend as it would be asked for then
 * @param tooling it would be bent with
 * @param isCurrent whether it is what is asked for now
 * @param result what it takes, or why it cannot be laid out
 */
public record Alternative(Of of, Bend bend, Tooling tooling, boolean isCurrent, Result result) {

    /** What is chosen otherwise. */
    public sealed interface Of {

        /** Another size of the input that says how steep the bend is. */
        record Steepness(String input, Angle angle) implements Of {}

        /** Another option of a choice, both by their ids. */
        record Way(String choice, String option, String title) implements Of {}

        /**
         * Another tool.
         *
         * @param place in the list of those that were given, from 0
         */
        record OtherTool(int place) implements Of {}
    }

    /** What an alternative comes to. */
    public sealed interface Result {

        /** It can be laid out. */
        record Fits(Layout layout, Takes takes) implements Result {}

        /** It cannot. */
        record Impossible(Fault fault) implements Result {}
    }

    /**
     * What an alternative takes.
     *
     * @param along the wall, from where the conduit leaves its line to where it runs straight on
     * @param conduit that lies along there
     * @param degrees of all bends together
     * @param gap least gap to what it has to clear, where that is known
     * @param shrink one-sided
     * @param pull how many times as hard wire is to pull as through a straight
     * @param offLine how far the mark that suits the tape worst is from its nearest line
     * @param concerns codes of what should be thought about
     */
    public record Takes(
            Length along,
            Length conduit,
            Angle degrees,
            Optional<Length> gap,
            Length shrink,
            double pull,
            Length offLine,
            List<FaultCode> concerns) {

        /** Less than half of a sixty-fourth shows on no tape. */
        private static final Length ON_A_LINE = Length.ofFraction(0, 1, 128);

        /** Whether every mark falls on a line of the tape. */
        public boolean isOnLines() {
            return !offLine.isMoreThan(ON_A_LINE);
        }

        /** @param friction {@code µ} of wire in conduit */
        static Takes of(Layout layout, Optional<Obstacle> obstacle, double friction) {
            Piece piece = layout.predicted();
            Length along =
                    Length.ofInches(piece.straights().getLast().start().origin().x()
                            - piece.straights().getFirst().end().origin().x());
            Length conduit = piece.length()
                    .minus(piece.straights().getFirst().length())
                    .minus(piece.straights().getLast().length());
            return new Takes(
                    along,
                    conduit,
                    layout.totalBend(),
                    Review.cleared(layout, obstacle)
                            .map(each -> Clearance.of(piece, each).gap()),
                    layout.shrink(),
                    layout.pullFactor(friction),
                    offLine(layout),
                    List.copyOf(Review.concerns(layout, obstacle)));
        }

        private static Length offLine(Layout layout) {
            Length furthest = Length.ZERO;
            List<Mark> exactly = Layout.plan(layout.job()).marks();
            for (int i = 0; i < exactly.size(); i++) {
                Length off = exactly.get(i)
                        .position()
                        .minus(layout.marks().get(i).position())
                        .abs();
                furthest = furthest.max(off);
            }
            return furthest;
        }
    }
}
