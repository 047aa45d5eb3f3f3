package lobrik.server.transfer;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.UUID;
import lobrik.server.account.Door;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.Scratch;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A whole school, out as a file and in again. */
@RestController
@Tag(name = "files")
class SchoolFileResource {

    private static final String ZIP = "application/zip";

    private final SchoolArchive archive;
    private final SchoolImport schoolImport;
    private final Outgoing outgoing;
    private final Scratch scratch;
    private final Door door;

    SchoolFileResource(
            SchoolArchive archive, SchoolImport schoolImport, Outgoing outgoing, Scratch scratch, Door door) {
        this.archive = archive;
        this.schoolImport = schoolImport;
        this.outgoing = outgoing;
        this.scratch = scratch;
        this.door = door;
    }

    @Operation(
            summary = "The whole school as a zip archive of JSON lines and pictures",
            description =
                    "Everything but passwords and what else lets somebody in. The codes on printed sheets are in it: keep it as safe as they are.")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    @Needs(Right.LEAD)
    @GetMapping("/api/school/file")
    void out(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        outgoing.send(
                who,
                new Outgoing.Letter(ZIP, "School.zip", "the whole school"),
                to -> archive.write(who.centreId(), to),
                request,
                response);
    }

    @Operation(
            summary = "Bring a school in from such an archive, in place of one's own, which must be empty still",
            description =
                    "Without “as” it brings nothing in and says what is in the file. With it, whoever brings it in goes on as that lead.")
    @Needs(value = Right.LEAD, beyondOnesSchool = true)
    @PutMapping(path = "/api/school/file", consumes = MediaType.ALL_VALUE)
    SchoolImport.SchoolInFile in(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable UUID as,
            @Parameter(hidden = true) InputStream file,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        try (Scratch.Sheet sheet = scratch.sheet()) {
            try (OutputStream to = new BufferedOutputStream(sheet.write())) {
                file.transferTo(to);
            }
            SchoolImport.SchoolInFile seen = schoolImport.look(sheet.path());
            if (as != null) {
                door.enter(schoolImport.bringIn(who, sheet.path(), as), request, response);
            }
            return seen;
        }
    }
}
