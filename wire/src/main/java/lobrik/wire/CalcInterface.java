package lobrik.wire;

import java.util.List;
import java.util.Objects;
import lobrik.layout.Review;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.TakeOff;
import lobrik.shop.Tool;
import org.jspecify.annotations.Nullable;

/**
 * The calls of the calculation interface. Each throws {@link lobrik.fault.Refused} with everything that is wrong with what it was asked:
 * inputs that are missing, out of range or unknown, or a bend that cannot be made, with what to change.
 */
public final class CalcInterface {

    private CalcInterface() {}

    /** Lays a definition out and reviews it. */
    public static LayoutAnswer layout(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        Review review = Review.of(question.job(), question.obstacle());
        return LayoutAnswer.of(review, question.around().apply(review.layout().predicted()));
    }

    /** Why each number of a layout is what it is. */
    public static List<ExplanationAnswer> why(LayoutRequest request) {
        return Question.of(request).why();
    }

    /** A piece as it was really bent. */
    public static SimulateAnswer simulate(SimulateRequest request) {
        return Inverses.simulate(request);
    }

    /** What most likely went wrong with a piece. */
    public static DiagnoseAnswer diagnose(DiagnoseRequest request) {
        return Diagnoses.diagnose(request);
    }

    /** What readings are worth. */
    public static ScoreAnswer score(ScoreRequest request) {
        return Scoring.score(request);
    }

    /**
     * A length or an angle as people write it.
     *
     * @throws lobrik.measure.RefusedText if it cannot be read
     */
    public static QuantityAnswer quantity(QuantityRequest request) {
        Translation translation = new Translation();
        String typed = translation.finish(translation.required("text", request.text()));
        LengthUnit bare = Objects.requireNonNullElse(request.bare(), LengthUnit.INCH);
        return switch (Objects.requireNonNullElse(request.kind(), QuantityRequest.Kind.LENGTH)) {
            case ANGLE -> new QuantityAnswer(Angle.parse(typed).degrees(), Unit.DEGREE);
            case PERCENTAGE -> new QuantityAnswer(Percentage.parse(typed).perCent(), Unit.PER_CENT);
            case SIGNED_LENGTH ->
                new QuantityAnswer(Length.parseSigned(typed, bare).inches(), Unit.INCH);
            case DISTANCE ->
                new QuantityAnswer(TakeOff.parse(typed, bare).length().inches(), Unit.INCH);
            case LENGTH -> new QuantityAnswer(Length.parse(typed, bare).inches(), Unit.INCH);
        };
    }

    /** The least gap between a piece as bent and an obstacle. */
    public static LayoutAnswer.ClearanceAnswer clearance(ClearanceRequest request) {
        return Inverses.clearance(request);
    }

    /** An offset the other way round. */
    public static OffsetOfMarks.OffsetOfMarksAnswer offsetOfMarks(OffsetOfMarks request) {
        return Inverses.offsetOfMarks(request);
    }

    /** A bender's figures from test bends. */
    public static CalibrationCall.CalibrationAnswer calibration(CalibrationCall request) {
        return Inverses.calibration(request);
    }

    /** The tool that figures are of. */
    public static Tool tool(ToolingRequest request) {
        Translation translation = new Translation();
        return translation
                .finish(translation.tooling(request.conduit(), request.bender()))
                .tool();
    }

    /** A machine's tables from test bends. */
    public static MachineTestsCall.MachineTestsAnswer machineTests(MachineTestsCall request) {
        return request.fitted();
    }

    /** What follows from a bender and a conduit. */
    public static ToolingAnswer tooling(ToolingRequest request) {
        return Inverses.tooling(request);
    }

    /** Offsets or kicks side by side. */
    public static List<AlongsideRequest.ConduitAlongside> alongside(AlongsideRequest request) {
        return Inverses.alongside(request);
    }

    /** What else would do at the same place. */
    public static CompareAnswer compare(CompareRequest request) {
        return Comparing.compare(request);
    }

    /** What a run is made from: pieces, sticks, straps, pull points. */
    public static DivideAnswer divide(DivideRequest request) {
        return Divided.of(request).answer();
    }

    /** How each bend is seen while it is made. */
    public static List<ShownBendAnswer> bending(LayoutRequest request) {
        return ShownBendAnswer.of(Question.of(request).layout());
    }

    /** A run mirrored, or with its datum at the other end. */
    public static RearrangeAnswer rearrange(RearrangeRequest request) {
        return Rearranging.rearrange(request);
    }

    /** What can be set and measured. */
    public static KindsAnswer kinds() {
        return KindsAnswer.all();
    }

    /**
     * What a school chooses from.
     *
     * @param measuredIn height or rise that a clearance is chosen for
     */
    public static TablesAnswer tables(@Nullable Double measuredIn) {
        return Inverses.tables(measuredIn);
    }
}
