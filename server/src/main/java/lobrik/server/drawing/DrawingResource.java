package lobrik.server.drawing;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import lobrik.server.calc.Calculations;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.TurnedDown;
import lobrik.wire.LayoutRequest;
import lobrik.wire.Question;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The drawings of a layout as files. */
@RestController
@Tag(name = "calc")
final class DrawingResource {

    private static final double STRIP_TEXT = 0.5;
    private static final MediaType SVG = MediaType.valueOf("image/svg+xml");
    private static final MediaType DXF = MediaType.valueOf("image/vnd.dxf");

    record DrawingRequest(
            @Nullable LayoutRequest definition,
            @Nullable View view,
            @Nullable Format format) {}

    /** Which drawing. */
    enum View {
        @JsonProperty("strip")
        STRIP,
        @JsonProperty("elevation")
        ELEVATION
    }

    /** For the eye, or for a plotter. */
    enum Format {
        @JsonProperty("svg")
        SVG,
        @JsonProperty("dxf")
        DXF
    }

    private final Calculations calculations;

    DrawingResource(Calculations calculations) {
        this.calculations = calculations;
    }

    @Operation(summary = "The strip or the elevation of a layout at full size in inches, as SVG or DXF")
    @ApiResponse(
            responseCode = "200",
            content =
                    @Content(
                            mediaType = "application/octet-stream",
                            schema = @Schema(type = "string", format = "binary")))
    @NeedsNoAccount
    @PostMapping("/api/calc/drawing")
    ResponseEntity<byte[]> drawing(@RequestBody DrawingRequest request) {
        if (request.definition() == null || request.view() == null || request.format() == null) {
            throw TurnedDown.badInput("", "missing", "give a definition, a view and a format");
        }
        Question question = calculations.question(request.definition());
        Sketch sketch = switch (request.view()) {
            case STRIP -> StripSketch.of(question.layout(), STRIP_TEXT, true);
            case ELEVATION -> GivenSketch.of(question);
        };
        String name = request.view().name().toLowerCase(Locale.ROOT) + "."
                + request.format().name().toLowerCase(Locale.ROOT);
        String written = switch (request.format()) {
            case SVG -> SvgWriter.write(sketch, name);
            case DXF -> DxfWriter.write(sketch);
        };
        return ResponseEntity.ok()
                .contentType(request.format() == Format.SVG ? SVG : DXF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(written.getBytes(StandardCharsets.UTF_8));
    }
}
