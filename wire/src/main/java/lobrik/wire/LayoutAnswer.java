package lobrik.wire;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.layout.BackDatum;
import lobrik.layout.BeforeBending;
import lobrik.layout.Caution;
import lobrik.layout.Comparison;
import lobrik.layout.GivenDimension;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.layout.ReadyMade;
import lobrik.layout.Review;
import lobrik.layout.Warning;
import lobrik.measure.Length;
import lobrik.shape.Clearance;
import lobrik.shape.Obstacle;
import lobrik.shape.Surround;
import lobrik.shape.WallOfRun;
import lobrik.shop.HookSide;
import lobrik.shop.ToolKind;
import org.jspecify.annotations.Nullable;

/**
 * A bend laid out.
 *
 * @param shrinkIn one-sided
 * @param steps how it is bent, in order
 * @param totalBendDeg sum of all bends
 * @param obstacle what it has to clear, if that is known
 * @param clearance the least gap to it
 * @param gaps the least gap to each of what stands in its room, in the order in which the request names them
 * @param otherMethod what the other method gives, where the two differ
 * @param wanted the shape that the exercise asks for, bent exactly; its points correspond to those of {@code shape}
 * @param around boxes and walls of the place
 * @param dimensions what the exercise gives, with where it is drawn
 * @param tool what it is bent with
 * @param before what is looked over before the first bend, where the tool asks for it
 * @param cautions of bending with this tool
 * @param walls of a run: what is on each wall that it goes along, from its datum end; of anything else, none
 * @param readyMade whether an elbow does instead; null where none is bought for this tool's conduit
 */
public record LayoutAnswer(
        List<MarkAnswer> marks,
        double shrinkIn,
        @Nullable Double cutLengthIn,
        List<FeatureAnswer> features,
        List<WarningAnswer> warnings,
        List<StepAnswer> steps,
        double totalBendDeg,
        @Nullable ObstacleAnswer obstacle,
        @Nullable ClearanceAnswer clearance,
        List<GapAnswer> gaps,
        @Nullable OtherMethod otherMethod,
        PieceShape shape,
        @Nullable PieceShape wanted,
        List<SurroundAnswer> around,
        List<DimensionAnswer> dimensions,
        ToolKind tool,
        List<String> before,
        List<String> cautions,
        List<WallAnswer> walls,
        @Nullable ReadyMadeAnswer readyMade) {

    /**
     * A wall, a floor or a ceiling that a run goes along, as it is seen facing it.
     *
     * @param legs numbers of those on it
     * @param across direction of the piece's frame that runs to the right on its plan
     * @param up direction of the piece's frame that is up on it
     * @param firstArc the first arc that is on it, from 0
     * @param arcsEnd the arc behind the last that is on it
     * @param before where the run comes from; null where it begins here
     * @param after where it goes on; null where it ends here
     */
    public record WallAnswer(
            String title,
            List<Integer> legs,
            List<Double> across,
            List<Double> up,
            int firstArc,
            int arcsEnd,
            WallOfRun.@Nullable Side before,
            WallOfRun.@Nullable Side after) {

        static WallAnswer of(WallOfRun wall) {
            return new WallAnswer(
                    wall.view().title(),
                    wall.legs(),
                    PieceShape.point(wall.across()),
                    PieceShape.point(wall.up()),
                    wall.firstArc(),
                    wall.arcsEnd(),
                    wall.before().orElse(null),
                    wall.after().orElse(null));
        }
    }

    /**
     * Whether a ready-made elbow does instead.
     *
     * @param needIn what it needs of each leg; null where the piece is not square
     * @param shortestIn the leg that has least to spare
     */
    public record ReadyMadeAnswer(
            boolean serves,
            @Nullable Double needIn,
            @Nullable Double shortestIn) {

        static ReadyMadeAnswer of(ReadyMade elbow) {
            return new ReadyMadeAnswer(
                    elbow.serves(),
                    elbow.need().map(Length::inches).orElse(null),
                    elbow.shortest().map(Length::inches).orElse(null));
        }
    }

    /**
     * A size that the exercise gives, with where it is drawn.
     *
     * @param input its name in the bend
     * @param at what it is the place of: a feature's id, or {@code clearance}
     */
    public record DimensionAnswer(String input, String at, List<Double> from, List<Double> to) {

        static DimensionAnswer of(GivenDimension dimension) {
            return new DimensionAnswer(
                    dimension.input().path(),
                    dimension.at(),
                    PieceShape.point(dimension.from()),
                    PieceShape.point(dimension.to()));
        }
    }

    /**
     * A ring on the straight conduit and the bend made there.
     *
     * @param hookTowards null where it is bent with heat
     * @param back of an earlier bend that the mark is taught and rung from; null where it is measured from the end
     */
    public record MarkAnswer(
            int number,
            double positionIn,
            OnRing reference,
            @Nullable HookSide hookTowards,
            double angleDeg,
            double rollDeg,
            int order,
            @Nullable BackAnswer back) {

        static MarkAnswer of(Mark mark) {
            return new MarkAnswer(
                    mark.number(),
                    mark.position().inches(),
                    OnRing.of(mark.placing()),
                    OnRing.hookOf(mark.placing()),
                    mark.angle().degrees(),
                    mark.roll().degrees(),
                    mark.order(),
                    mark.back().map(BackAnswer::of).orElse(null));
        }
    }

    /** The back of a bend by its number from 1, and the figure of the mark from there. */
    public record BackAnswer(int bend, double figureIn) {

        static BackAnswer of(BackDatum back) {
            return new BackAnswer(back.bend(), back.figure().inches());
        }
    }

    /**
     * A feature as asked for and as the rounded marks will give it.
     *
     * @param target what the exercise asks for
     * @param right what the tape reads on the piece that is bent rightly
     * @param from where the tape begins on the predicted piece; for a mark or an angle, where it is
     * @param to where the tape ends
     */
    public record FeatureAnswer(
            String id, Unit unit, double target, double predicted, double right, List<Double> from, List<Double> to) {

        static FeatureAnswer of(PlannedFeature feature) {
            return new FeatureAnswer(
                    feature.id().id(),
                    Unit.of(feature.id()),
                    Numbers.of(feature.asked()),
                    Numbers.of(feature.predicted()),
                    Numbers.of(feature.right()),
                    PieceShape.point(feature.onPredicted().from()),
                    PieceShape.point(feature.onPredicted().to()));
        }
    }

    /** An obstacle across the run, standing on the surface of the datum leg. */
    public record ObstacleAnswer(ObstacleShape shape, double fromIn, double widthIn, double heightIn) {

        static Optional<ObstacleAnswer> of(Obstacle obstacle) {
            return switch (obstacle) {
                case Obstacle.Round round ->
                    Optional.of(new ObstacleAnswer(
                            ObstacleShape.ROUND,
                            round.centre().inches() - round.diameter().inches() / 2,
                            round.diameter().inches(),
                            round.diameter().inches()));
                case Obstacle.Rectangular block ->
                    Optional.of(new ObstacleAnswer(
                            ObstacleShape.RECTANGULAR,
                            block.from().inches(),
                            block.width().inches(),
                            block.height().inches()));
                case Obstacle.InRoom _ -> Optional.empty();
            };
        }
    }

    /**
     * What should be thought about.
     *
     * @param atIn where on the straight conduit it shows; null for what concerns all of it
     */
    public record WarningAnswer(
            String code,
            String message,
            String pointer,
            String reason,
            List<FaultAnswer.FigureAnswer> figures,
            List<FaultAnswer.CureAnswer> cures,
            @Nullable Double atIn) {

        static WarningAnswer of(Warning warning) {
            FaultAnswer fault = FaultAnswer.of(warning.fault());
            return new WarningAnswer(
                    fault.code(),
                    fault.message(),
                    fault.pointer(),
                    fault.reason(),
                    fault.figures(),
                    fault.cures(),
                    warning.at().map(Length::inches).orElse(null));
        }
    }

    /** A box or a wall: a point of its surface, for a box where the conduit enters it, and the direction into it. */
    public record SurroundAnswer(Surround.Kind kind, List<Double> at, List<Double> into) {

        static SurroundAnswer of(Surround surround) {
            return new SurroundAnswer(
                    surround.kind(), PieceShape.point(surround.at()), PieceShape.point(surround.into()));
        }
    }

    /** The least gap, negative where the conduit would have to pass through; and where on the straight conduit. */
    public record ClearanceAnswer(double gapIn, double atIn) {

        static ClearanceAnswer of(Clearance clearance) {
            return new ClearanceAnswer(clearance.gap().inches(), clearance.at().inches());
        }
    }

    /**
     * The least gap to something that stands in the room.
     *
     * @param what it is, in a sentence
     * @param gapIn negative where the conduit would have to pass through
     * @param atIn where on the straight conduit
     * @param touched whether that is more than rounded marks and walls that are not true account for
     */
    public record GapAnswer(String what, double gapIn, double atIn, boolean touched) {

        static List<GapAnswer> of(Review review) {
            return review.obstacle().stream()
                    .flatMap(obstacle -> switch (obstacle) {
                        case Obstacle.InRoom room ->
                            Clearance.each(review.layout().predicted(), room).stream();
                        case Obstacle.Round _, Obstacle.Rectangular _ -> Stream.of();
                    })
                    .map(gap -> new GapAnswer(
                            gap.from().words(), gap.gap().inches(), gap.at().inches(), gap.isTouched()))
                    .toList();
        }
    }

    /**
     * What the other method gives, and by how much the finished piece would differ.
     *
     * @param impossible why it cannot be laid out by the other method, if it cannot; it then has no marks
     */
    public record OtherMethod(
            Method method,
            @Nullable String impossible,
            List<MarkAnswer> marks,
            @Nullable Double shrinkIn,
            @Nullable Double cutLengthIn,
            List<DifferenceAnswer> differences) {

        static OtherMethod of(Comparison other) {
            Method method = other.method();
            return switch (other) {
                case Comparison.Impossible impossible ->
                    new OtherMethod(method, impossible.fault().reason(), List.of(), null, null, List.of());
                case Comparison.Both both ->
                    new OtherMethod(
                            method,
                            null,
                            both.layout().marks().stream().map(MarkAnswer::of).toList(),
                            both.layout().shrink().inches(),
                            both.layout().cutLength().map(Length::inches).orElse(null),
                            both.differences().stream()
                                    .map(DifferenceAnswer::of)
                                    .toList());
            };
        }
    }

    /** A feature of which the methods predict different sizes; the other's less this one's. */
    public record DifferenceAnswer(String id, Unit unit, double predicted, double difference) {

        static DifferenceAnswer of(Comparison.Difference difference) {
            return new DifferenceAnswer(
                    difference.id().id(),
                    Unit.of(difference.id()),
                    Numbers.of(difference.predictedByOther()),
                    Numbers.of(difference.difference()));
        }
    }

    /**
     * The job without its answer: the piece in its place with the sizes that were given, and no mark, cut or step. The piece
     * is the one that is asked for.
     */
    public LayoutAnswer withoutAnswers() {
        return new LayoutAnswer(
                List.of(),
                0,
                null,
                List.of(),
                List.of(),
                List.of(),
                totalBendDeg,
                obstacle,
                null,
                List.of(),
                null,
                (wanted == null ? shape : wanted).asSeen(),
                null,
                around,
                dimensions,
                tool,
                before,
                cautions,
                walls,
                readyMade);
    }

    static LayoutAnswer of(Review review, List<Surround> around) {
        Layout layout = review.layout();
        Bend bend = layout.job().bend();
        ToolKind tool = layout.job().tooling().tool().kind();
        return new LayoutAnswer(
                layout.marks().stream().map(MarkAnswer::of).toList(),
                layout.shrink().inches(),
                layout.cutLength().map(Length::inches).orElse(null),
                layout.features().stream().map(FeatureAnswer::of).toList(),
                review.warnings().stream().map(WarningAnswer::of).toList(),
                StepAnswer.of(review),
                layout.totalBend().degrees(),
                review.obstacle().flatMap(ObstacleAnswer::of).orElse(null),
                review.clearance().map(ClearanceAnswer::of).orElse(null),
                GapAnswer.of(review),
                review.otherMethod().map(OtherMethod::of).orElse(null),
                PieceShape.of(bend, layout.predicted()),
                layout.wanted().map(piece -> PieceShape.of(bend, piece)).orElse(null),
                around.stream().map(SurroundAnswer::of).toList(),
                review.dimensions().stream().map(DimensionAnswer::of).toList(),
                tool,
                BeforeBending.with(tool).stream().map(BeforeBending::words).toList(),
                Caution.of(tool).stream().map(Caution::text).toList(),
                bend.run().stream()
                        .flatMap(run -> WallOfRun.of(run).stream())
                        .map(WallAnswer::of)
                        .toList(),
                ReadyMade.of(layout).map(ReadyMadeAnswer::of).orElse(null));
    }
}
