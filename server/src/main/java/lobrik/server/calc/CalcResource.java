package lobrik.server.calc;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The calculation interface, served without an account. */
@RestController
@RequestMapping("/api/calc")
@Tag(name = "calc", description = "Layout, simulation and score of a bend, without an account")
final class CalcResource {

    private final Calculations calculations;

    CalcResource(Calculations calculations) {
        this.calculations = calculations;
    }

    @Operation(summary = "Lay a bend out: marks, cut length, features as asked and as predicted, warnings")
    @PostMapping("/layout")
    LayoutAnswer layout(@RequestBody LayoutRequest request) {
        return calculations.layout(request);
    }

    @Operation(summary = "Simulate a piece as it was really bent: its features and its centreline")
    @PostMapping("/simulate")
    SimulateAnswer simulate(@RequestBody SimulateRequest request) {
        return calculations.simulate(request);
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
        if (request.kind() == QuantityRequest.Kind.ANGLE) {
            return new QuantityAnswer(Angle.parse(typed).degrees(), LayoutAnswer.Unit.DEGREE);
        }
        LengthUnit bare =
                request.bare() == QuantityRequest.BareUnit.MILLIMETRE ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
        return new QuantityAnswer(Length.parse(typed, bare).inches(), LayoutAnswer.Unit.INCH);
    }
}
