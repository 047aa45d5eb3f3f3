package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import lobrik.bend.Bend;
import lobrik.fault.FaultCode;
import lobrik.layout.Alongside;
import lobrik.layout.ExactOffset;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.MultiplierChart;
import lobrik.layout.OffsetInverse;
import lobrik.layout.RunLimits;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Clearance;
import lobrik.shape.Features;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
import lobrik.shop.Calibration;
import lobrik.shop.Calibration.TestBend;
import lobrik.shop.Conduit;
import lobrik.shop.Tooling;
import org.jspecify.annotations.Nullable;

/** Asks the core the other questions of the bench: what marks give, what test bends say, what a piece clears. */
final class Inverses {

    private Inverses() {}

    static SimulateAnswer simulate(SimulateRequest request) {
        Translation translation = new Translation();
        Optional<Tooling> tooling = translation.tooling(request.conduit(), request.bender());
        Optional<Bend> bend = translation.bend(request.bend(), translation.leastGrip(request.bender(), tooling));
        Optional<Length> length = translation.length("lengthIn", request.lengthIn());
        Optional<List<BendMade>> bends = translation.bendsMade(request.bends(), tooling);
        if (request.bends() != null) {
            int given = request.bends().size();
            bend.ifPresent(asked -> requireNumberOfBends(translation, asked, given));
        }
        List<BendMade> made = translation.finish(bends);
        Piece piece = Piece.simulate(translation.finish(tooling), translation.finish(length), made);
        return SimulateAnswer.of(piece, Features.of(translation.finish(bend), piece));
    }

    private static void requireNumberOfBends(Translation translation, Bend bend, int given) {
        if (given != bend.bends()) {
            translation.fault(
                    FaultCode.WRONG_NUMBER_OF_BENDS,
                    "bends",
                    "a piece of the kind " + bend.kind().id() + " has " + bend.bends()
                            + (bend.bends() == 1 ? " bend" : " bends") + ", not " + given);
        }
    }

    static LayoutAnswer.ClearanceAnswer clearance(ClearanceRequest request) {
        Translation translation = new Translation();
        Optional<Tooling> tooling = translation.tooling(request.conduit(), request.bender());
        Optional<Length> length = translation.length("lengthIn", request.lengthIn());
        Optional<List<BendMade>> bends = translation.bendsMade(request.bends(), tooling);
        Optional<Obstacle> obstacle = translation
                .required("obstacle", request.obstacle())
                .flatMap(new SchoolTranslation(translation)::obstacle);
        List<BendMade> made = translation.finish(bends);
        Piece piece = Piece.simulate(translation.finish(tooling), translation.finish(length), made);
        return LayoutAnswer.ClearanceAnswer.of(Clearance.of(piece, translation.finish(obstacle)));
    }

    static OffsetOfMarks.OffsetOfMarksAnswer offsetOfMarks(OffsetOfMarks request) {
        Translation translation = new Translation();
        Optional<Tooling> tooling = translation.tooling(request.conduit(), request.bender());
        Optional<Length> spacing = translation.length("spacingIn", request.spacingIn());
        if ((request.angleDeg() == null) == (request.riseIn() == null)) {
            translation.fault(FaultCode.MISSING, "angleDeg", "give either the angle or the rise; the other is found");
        }
        Optional<Angle> angle =
                request.angleDeg() == null ? Optional.empty() : translation.angle("angleDeg", request.angleDeg());
        Optional<Length> rise =
                request.riseIn() == null ? Optional.empty() : translation.length("riseIn", request.riseIn());
        Method method = Objects.requireNonNullElse(request.method(), Method.CHART);
        MultiplierChart chart = new SchoolTranslation(translation).chart(request.multipliers());
        Tooling with = translation.finish(tooling);
        OffsetInverse inverse = new OffsetInverse(with, new School(method, chart, TapeDivision.NONE, RunLimits.USUAL));
        Length apart = translation.finish(spacing);
        Angle foundAngle = angle.orElseGet(() -> inverse.angle(apart, rise.orElseThrow()));
        Length foundRise = rise.orElseGet(() -> inverse.rise(apart, foundAngle));
        Length shrink = method == Method.CHART
                ? chart.shrink(foundRise, foundAngle)
                : ExactOffset.ofSpacing(with, apart, foundAngle).shrink();
        return new OffsetOfMarks.OffsetOfMarksAnswer(foundRise.inches(), foundAngle.degrees(), shrink.inches());
    }

    static CalibrationCall.CalibrationAnswer calibration(CalibrationCall request) {
        Translation translation = new Translation();
        Optional<Conduit> conduit = translation.conduit(request.conduit());
        Optional<List<TestBend>> tests = translation
                .required("tests", request.tests())
                .map(inputs -> {
                    List<TestBend> bends = new ArrayList<>();
                    for (int i = 0; i < inputs.size(); i++) {
                        String at = "tests/" + i;
                        translation
                                .required(at, inputs.get(i))
                                .flatMap(input -> testBend(translation, at, input))
                                .ifPresent(bends::add);
                    }
                    return List.copyOf(bends);
                });
        return CalibrationCall.CalibrationAnswer.of(
                Calibration.of(translation.finish(conduit), translation.finish(tests)));
    }

    private static Optional<TestBend> testBend(
            Translation translation, String at, CalibrationCall.TestBendInput input) {
        Optional<Length> straight = translation.length(at + "/straightIn", input.straightIn());
        Optional<Length> mark = translation.length(at + "/markIn", input.markIn());
        Optional<Length> marked = translation.length(at + "/markedLegIn", input.markedLegIn());
        Optional<Length> other = translation.length(at + "/otherLegIn", input.otherLegIn());
        Optional<Angle> angle = input.angleDeg() == null
                ? Optional.of(Angle.RIGHT)
                : translation.angle(at + "/angleDeg", input.angleDeg());
        return straight.flatMap(s -> mark.flatMap(m -> marked.flatMap(a ->
                other.flatMap(b -> angle.flatMap(t -> translation.built(at, () -> new TestBend(s, m, a, b, t)))))));
    }

    static ToolingAnswer tooling(ToolingRequest request) {
        Translation translation = new Translation();
        return ToolingAnswer.of(translation.finish(translation.tooling(request.conduit(), request.bender())));
    }

    static List<AlongsideRequest.ConduitAlongside> alongside(AlongsideRequest request) {
        Translation translation = new Translation();
        Optional<LayoutRequest> first = translation.required("first", request.first());
        Optional<Length> spacing = translation.length("centreSpacingIn", request.centreSpacingIn());
        Optional<Integer> count = translation.required("count", request.count());
        LayoutRequest asked = translation.finish(first);
        Translation.LayoutQuestion question = new Translation().layoutQuestion(asked);
        List<Layout> conduits = Alongside.of(question.job(), translation.finish(spacing), translation.finish(count));
        return IntStream.range(0, conduits.size())
                .mapToObj(i -> AlongsideRequest.ConduitAlongside.of(i + 1, conduits.get(i)))
                .toList();
    }

    static TablesAnswer tables(@Nullable Double measuredIn) {
        if (measuredIn == null) {
            return TablesAnswer.usual(Optional.empty());
        }
        Translation translation = new Translation();
        Optional<Length> measured = translation.length("measuredIn", measuredIn);
        if (measured.filter(length -> length.isNegative() || length.isMoreThan(Length.LONGEST_ENTRY))
                .isPresent()) {
            translation.fault(FaultCode.OUT_OF_RANGE, "measuredIn", "a measured height or rise is from 0 to 480 in");
        }
        return TablesAnswer.usual(Optional.of(translation.finish(measured)));
    }
}
