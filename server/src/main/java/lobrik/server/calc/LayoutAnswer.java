package lobrik.server.calc;

import java.util.List;
import lobrik.layout.BendingStep;
import lobrik.layout.Comparison;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.layout.Review;
import lobrik.measure.Length;
import lobrik.server.platform.FaultAnswer;
import lobrik.server.platform.Numbers;
import lobrik.server.platform.Unit;
import lobrik.shape.Clearance;
import lobrik.shape.Obstacle;
import org.jspecify.annotations.Nullable;

/**
 * A bend laid out.
 *
 * @param shrinkIn one-sided
 * @param steps how it is bent, in order
 * @param totalBendDeg sum of all bends
 * @param obstacle what it has to clear, if that is known
 * @param clearance the least gap to it
 * @param otherMethod what the other method gives, where the two differ
 */
public record LayoutAnswer(
        List<MarkAnswer> marks,
        double shrinkIn,
        @Nullable Double cutLengthIn,
        List<FeatureAnswer> features,
        List<FaultAnswer> warnings,
        List<StepAnswer> steps,
        double totalBendDeg,
        @Nullable ObstacleAnswer obstacle,
        @Nullable ClearanceAnswer clearance,
        @Nullable OtherMethod otherMethod,
        PieceShape shape) {

    /** A ring on the straight conduit and the bend made there. */
    public record MarkAnswer(
            int number,
            double positionIn,
            Reference reference,
            HookSide hookTowards,
            double angleDeg,
            double rollDeg,
            int order) {

        static MarkAnswer of(Mark mark) {
            return new MarkAnswer(
                    mark.number(),
                    mark.position().inches(),
                    Reference.of(mark.reference()),
                    HookSide.of(mark.hookTowards()),
                    mark.angle().degrees(),
                    mark.roll().degrees(),
                    mark.order());
        }
    }

    /**
     * A feature as asked for and as the rounded marks will give it.
     *
     * @param from where the tape begins on the predicted piece; for a mark or an angle, where it is
     * @param to where the tape ends
     */
    public record FeatureAnswer(
            String id, Unit unit, double target, double predicted, List<Double> from, List<Double> to) {

        static FeatureAnswer of(PlannedFeature feature) {
            return new FeatureAnswer(
                    feature.id().id(),
                    Unit.of(feature.id()),
                    Numbers.of(feature.target()),
                    Numbers.of(feature.predicted()),
                    PieceShape.point(feature.onPredicted().from()),
                    PieceShape.point(feature.onPredicted().to()));
        }
    }

    /**
     * One time in the shoe.
     *
     * @param mark the ring's number
     * @param endForEnd whether the conduit is taken out and turned end for end first
     * @param turnDeg how far it is turned about its own axis since the bend before
     * @param leverDeg angle to pull to, so that it springs back to restDeg
     */
    public record StepAnswer(
            int mark,
            double positionIn,
            Reference reference,
            HookSide hookTowards,
            boolean endForEnd,
            double turnDeg,
            double restDeg,
            double leverDeg) {

        static StepAnswer of(BendingStep step) {
            return new StepAnswer(
                    step.mark().number(),
                    step.mark().position().inches(),
                    Reference.of(step.mark().reference()),
                    HookSide.of(step.mark().hookTowards()),
                    step.endForEnd(),
                    step.turn().degrees(),
                    step.rest().degrees(),
                    step.lever().degrees());
        }
    }

    /** An obstacle across the run, standing on the surface of the datum leg. */
    public record ObstacleAnswer(LayoutRequest.ObstacleShape shape, double fromIn, double widthIn, double heightIn) {

        static ObstacleAnswer of(Obstacle obstacle) {
            return switch (obstacle) {
                case Obstacle.Round round ->
                    new ObstacleAnswer(
                            LayoutRequest.ObstacleShape.ROUND,
                            round.centre().inches() - round.diameter().inches() / 2,
                            round.diameter().inches(),
                            round.diameter().inches());
                case Obstacle.Rectangular block ->
                    new ObstacleAnswer(
                            LayoutRequest.ObstacleShape.RECTANGULAR,
                            block.from().inches(),
                            block.width().inches(),
                            block.height().inches());
            };
        }
    }

    /** The least gap, negative where the conduit would have to pass through; and where on the straight conduit. */
    public record ClearanceAnswer(double gapIn, double atIn) {

        static ClearanceAnswer of(Clearance clearance) {
            return new ClearanceAnswer(clearance.gap().inches(), clearance.at().inches());
        }
    }

    /**
     * What the other method gives, and by how much the finished piece would differ.
     *
     * @param impossible why it cannot be laid out by the other method, if it cannot; it then has no marks
     */
    public record OtherMethod(
            LayoutRequest.Method method,
            @Nullable String impossible,
            List<MarkAnswer> marks,
            @Nullable Double shrinkIn,
            @Nullable Double cutLengthIn,
            List<DifferenceAnswer> differences) {

        static OtherMethod of(Comparison other) {
            LayoutRequest.Method method =
                    LayoutRequest.Method.valueOf(other.method().name());
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

    static LayoutAnswer of(Review review) {
        Layout layout = review.layout();
        return new LayoutAnswer(
                layout.marks().stream().map(MarkAnswer::of).toList(),
                layout.shrink().inches(),
                layout.cutLength().map(Length::inches).orElse(null),
                layout.features().stream().map(FeatureAnswer::of).toList(),
                review.warnings().stream().map(FaultAnswer::of).toList(),
                layout.steps().stream().map(StepAnswer::of).toList(),
                layout.totalBend().degrees(),
                review.obstacle().map(ObstacleAnswer::of).orElse(null),
                review.clearance().map(ClearanceAnswer::of).orElse(null),
                review.otherMethod().map(OtherMethod::of).orElse(null),
                PieceShape.of(layout.predicted()));
    }
}
