package lobrik.server.calc;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.wire.AlongsideRequest;
import lobrik.wire.CalcInterface;
import lobrik.wire.CalibrationCall;
import lobrik.wire.ClearanceRequest;
import lobrik.wire.CompareAnswer;
import lobrik.wire.CompareRequest;
import lobrik.wire.DiagnoseAnswer;
import lobrik.wire.DiagnoseRequest;
import lobrik.wire.DivideAnswer;
import lobrik.wire.DivideRequest;
import lobrik.wire.ExplanationAnswer;
import lobrik.wire.KindsAnswer;
import lobrik.wire.LayoutAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.MachineTestsCall;
import lobrik.wire.OffsetOfMarks;
import lobrik.wire.QuantityAnswer;
import lobrik.wire.QuantityRequest;
import lobrik.wire.RearrangeAnswer;
import lobrik.wire.RearrangeRequest;
import lobrik.wire.ScoreAnswer;
import lobrik.wire.ScoreRequest;
import lobrik.wire.ShownBendAnswer;
import lobrik.wire.SimulateAnswer;
import lobrik.wire.SimulateRequest;
import lobrik.wire.TablesAnswer;
import lobrik.wire.ToolingAnswer;
import lobrik.wire.ToolingRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The calculation interface, served without an account. */
@RestController
@NeedsNoAccount
@RequestMapping("/api/calc")
@Tag(name = "calc", description = "Layout, simulation and score of a bend, without an account")
final class CalcResource {

    @Operation(summary = "Lay a bend out: marks, cut length, features as asked and as predicted, warnings")
    @PostMapping("/layout")
    LayoutAnswer layout(@RequestBody LayoutRequest request) {
        return CalcInterface.layout(request);
    }

    @Operation(summary = "Why each number of a layout is what it is: sentence, formula and figures")
    @PostMapping("/why")
    List<ExplanationAnswer> why(@RequestBody LayoutRequest request) {
        return CalcInterface.why(request);
    }

    @Operation(summary = "Simulate a piece as it was really bent: its features and its centreline")
    @PostMapping("/simulate")
    SimulateAnswer simulate(@RequestBody SimulateRequest request) {
        return CalcInterface.simulate(request);
    }

    @Operation(summary = "What most likely went wrong with a piece, from any subset of its readings")
    @PostMapping("/diagnose")
    DiagnoseAnswer diagnose(@RequestBody DiagnoseRequest request) {
        return CalcInterface.diagnose(request);
    }

    @Operation(summary = "Score readings against targets and tolerances")
    @PostMapping("/score")
    ScoreAnswer score(@RequestBody ScoreRequest request) {
        return CalcInterface.score(request);
    }

    @Operation(summary = "Read a length or an angle as people write it, such as 14 3/8")
    @PostMapping("/quantity")
    QuantityAnswer quantity(@RequestBody QuantityRequest request) {
        return CalcInterface.quantity(request);
    }

    @Operation(summary = "The least gap between a piece as bent and an obstacle")
    @PostMapping("/clearance")
    LayoutAnswer.ClearanceAnswer clearance(@RequestBody ClearanceRequest request) {
        return CalcInterface.clearance(request);
    }

    @Operation(summary = "An offset the other way round: the rise that marks give, or the angle that they need")
    @PostMapping("/offset-of-marks")
    OffsetOfMarks.OffsetOfMarksAnswer offsetOfMarks(@RequestBody OffsetOfMarks request) {
        return CalcInterface.offsetOfMarks(request);
    }

    @Operation(summary = "Take-up and radius of a bender from test bends, by least squares, with their scatter")
    @PostMapping("/calibration")
    CalibrationCall.CalibrationAnswer calibration(@RequestBody CalibrationCall request) {
        return CalcInterface.calibration(request);
    }

    @Operation(summary = "Springback and ram travel of a machine from test bends, by least squares, with their scatter")
    @PostMapping("/machine-tests")
    MachineTestsCall.MachineTestsAnswer machineTests(@RequestBody MachineTestsCall request) {
        return CalcInterface.machineTests(request);
    }

    @Operation(summary = "What follows from a bender and a conduit: arrow lead, gain, star and notch offset")
    @PostMapping("/tooling")
    ToolingAnswer tooling(@RequestBody ToolingRequest request) {
        return CalcInterface.tooling(request);
    }

    @Operation(summary = "Offsets or kicks side by side, so that they keep their distance along the slope")
    @PostMapping("/parallel-runs")
    List<AlongsideRequest.ConduitAlongside> alongside(@RequestBody AlongsideRequest request) {
        return CalcInterface.alongside(request);
    }

    @Operation(summary = "Every angle, way and tool that would do at the same place, with what it takes")
    @PostMapping("/compare")
    CompareAnswer compare(@RequestBody CompareRequest request) {
        return CalcInterface.compare(request);
    }

    @Operation(summary = "What a run is made from: pieces and couplings, a cut list, straps, and where wire is pulled")
    @PostMapping("/bending")
    List<ShownBendAnswer> bending(@RequestBody LayoutRequest request) {
        return CalcInterface.bending(request);
    }

    @PostMapping("/rearrange")
    RearrangeAnswer rearrange(@RequestBody RearrangeRequest request) {
        return CalcInterface.rearrange(request);
    }

    @PostMapping("/divide")
    DivideAnswer divide(@RequestBody DivideRequest request) {
        return CalcInterface.divide(request);
    }

    @Operation(summary = "The kinds of bend with their inputs and choices, and what is measured on a piece")
    @GetMapping("/kinds")
    KindsAnswer kinds() {
        return CalcInterface.kinds();
    }

    @Operation(summary = "The tables that a school chooses from: card of multipliers, saddle factor, clearances")
    @GetMapping("/tables")
    TablesAnswer tables(@RequestParam(required = false) @Nullable Double measuredIn) {
        return CalcInterface.tables(measuredIn);
    }
}
