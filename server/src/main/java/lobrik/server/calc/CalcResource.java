package lobrik.server.calc;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TakeOff;
import lobrik.server.platform.Unit;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The calculation interface, served without an account. */
@RestController
@RequestMapping("/api/calc")
@Tag(name = "calc", description = "Layout, simulation and score of a bend, without an account")
final class CalcResource {

    private final Calculations calculations;
    private final Inverses inverses;
    private final Diagnoses diagnoses;

    CalcResource(Calculations calculations, Inverses inverses, Diagnoses diagnoses) {
        this.calculations = calculations;
        this.inverses = inverses;
        this.diagnoses = diagnoses;
    }

    @Operation(summary = "Lay a bend out: marks, cut length, features as asked and as predicted, warnings")
    @PostMapping("/layout")
    LayoutAnswer layout(@RequestBody LayoutRequest request) {
        return calculations.layout(request);
    }

    @Operation(summary = "Why each number of a layout is what it is: sentence, formula and figures")
    @PostMapping("/why")
    List<ExplanationAnswer> why(@RequestBody LayoutRequest request) {
        return calculations.why(request);
    }

    @Operation(summary = "Simulate a piece as it was really bent: its features and its centreline")
    @PostMapping("/simulate")
    SimulateAnswer simulate(@RequestBody SimulateRequest request) {
        return calculations.simulate(request);
    }

    @Operation(summary = "What most likely went wrong with a piece, from any subset of its readings")
    @PostMapping("/diagnose")
    DiagnoseAnswer diagnose(@RequestBody DiagnoseRequest request) {
        return diagnoses.diagnose(request);
    }

    @Operation(summary = "Score readings against targets and tolerances")
    @PostMapping("/score")
    ScoreAnswer score(@RequestBody ScoreRequest request) {
        return calculations.score(request);
    }

    @Operation(summary = "Read a length or an angle as people write it, such as 14 3/8")
    @PostMapping("/quantity")
    QuantityAnswer quantity(@RequestBody QuantityRequest request) {
        Translation translation = new Translation();
        var text = translation.required("text", request.text());
        String typed = translation.finish(text);
        LengthUnit bare =
                request.bare() == QuantityRequest.BareUnit.MILLIMETRE ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
        return switch (request.kind()) {
            case ANGLE -> new QuantityAnswer(Angle.parse(typed).degrees(), Unit.DEGREE);
            case SIGNED_LENGTH ->
                new QuantityAnswer(Length.parseSigned(typed, bare).inches(), Unit.INCH);
            case DISTANCE ->
                new QuantityAnswer(TakeOff.parse(typed, bare).length().inches(), Unit.INCH);
            case LENGTH -> new QuantityAnswer(Length.parse(typed, bare).inches(), Unit.INCH);
            case null -> new QuantityAnswer(Length.parse(typed, bare).inches(), Unit.INCH);
        };
    }

    @Operation(summary = "The least gap between a piece as bent and an obstacle")
    @PostMapping("/clearance")
    LayoutAnswer.ClearanceAnswer clearance(@RequestBody ClearanceRequest request) {
        return inverses.clearance(request);
    }

    @Operation(summary = "An offset the other way round: the rise that marks give, or the angle that they need")
    @PostMapping("/offset-of-marks")
    OffsetOfMarks.Answer offsetOfMarks(@RequestBody OffsetOfMarks request) {
        return inverses.offsetOfMarks(request);
    }

    @Operation(summary = "Take-up and radius of a bender from test bends, by least squares, with their scatter")
    @PostMapping("/calibration")
    CalibrationCall.Answer calibration(@RequestBody CalibrationCall request) {
        return inverses.calibration(request);
    }

    @Operation(summary = "What follows from a bender and a conduit: arrow lead, gain, star and notch offset")
    @PostMapping("/tooling")
    ToolingAnswer tooling(@RequestBody ToolingRequest request) {
        return inverses.tooling(request);
    }

    @Operation(summary = "Offsets or kicks side by side, so that they keep their distance along the slope")
    @PostMapping("/parallel-runs")
    List<AlongsideRequest.ConduitAlongside> alongside(@RequestBody AlongsideRequest request) {
        return inverses.alongside(request);
    }

    @Operation(summary = "The kinds of bend with their inputs and choices, and what is measured on a piece")
    @GetMapping("/kinds")
    KindsAnswer kinds() {
        return KindsAnswer.all();
    }

    @Operation(summary = "The tables that a school chooses from: card of multipliers, saddle factor, clearances")
    @GetMapping("/tables")
    TablesAnswer tables(@RequestParam(required = false) @Nullable Double measuredIn) {
        return inverses.tables(measuredIn);
    }
}
