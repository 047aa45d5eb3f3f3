package lobrik.server.cohort;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.InputStream;
import java.util.Objects;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.server.account.SignedIn;
import lobrik.server.photo.PhotoIntake;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a school is set up with. */
@RestController
@Tag(name = "school")
class SchoolResource {

    /** Nobody means more than that by a division of a tape. */
    private static final double WIDEST_DIVISION_IN = 100;

    /**
     * A school.
     *
     * @param isSetUp whether somebody has looked at all of this
     * @param edition to be sent back with a change
     */
    record SchoolView(
            String name,
            LengthUnit unit,
            double divisionIn,
            String preset,
            String codeNotes,
            boolean hasLogo,
            boolean isSetUp,
            int edition) {}

    /** What it is to be set up with. */
    record SchoolToKeep(
            @Nullable Integer edition,
            @Nullable String name,
            @Nullable LengthUnit unit,
            @Nullable Double divisionIn,
            @Nullable String preset,
            @Nullable String codeNotes) {}

    private final School school;
    private final FirstSteps steps;
    private final PhotoIntake photos;

    SchoolResource(School school, FirstSteps steps, PhotoIntake photos) {
        this.steps = steps;
        this.school = school;
        this.photos = photos;
    }

    @Operation(summary = "What the school is set up with")
    @Needs(Right.READ)
    @GetMapping("/api/school")
    SchoolView view(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        School.Kept kept = school.of(who);
        Centre.SetUp setUp = kept.setUp();
        return new SchoolView(
                setUp.name(),
                setUp.unit(),
                setUp.division().inches(),
                setUp.preset(),
                setUp.codeNotes(),
                kept.hasLogo(),
                kept.isSetUp(),
                kept.edition());
    }

    @Operation(summary = "What of the first steps of a new school is done")
    @Needs(Right.LEAD)
    @GetMapping("/api/first-steps")
    FirstSteps.Done firstSteps(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return steps.of(who);
    }

    @Operation(
            summary = "Set the school up from now on",
            description =
                    "What was set or given out before keeps what it had. Turned down where somebody else changed it since it was seen.")
    @Needs(Right.LEAD)
    @PutMapping("/api/school")
    SchoolView keep(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody SchoolToKeep chosen) {
        if (chosen.edition() == null) {
            throw TurnedDown.badInput("/edition", "missing", "this is missing");
        }
        if (chosen.divisionIn() == null || !(Math.abs(chosen.divisionIn()) <= WIDEST_DIVISION_IN)) {
            throw TurnedDown.badInput("/divisionIn", "missing", "say how the tape is divided");
        }
        school.setUp(
                who,
                chosen.edition(),
                new Centre.SetUp(
                        Objects.requireNonNullElse(chosen.name(), "").strip(),
                        Objects.requireNonNullElse(chosen.unit(), LengthUnit.INCH),
                        Length.ofInches(chosen.divisionIn()),
                        Objects.requireNonNullElse(chosen.preset(), "site"),
                        Objects.requireNonNullElse(chosen.codeNotes(), "").strip()));
        return view(who);
    }

    @Operation(summary = "Show a picture on the sheets: a JPEG or PNG file")
    @Needs(Right.LEAD)
    @PutMapping(path = "/api/school/logo", consumes = MediaType.ALL_VALUE)
    SchoolView show(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @Parameter(hidden = true) InputStream file)
            throws IOException {
        school.show(who, photos.shrink(file).jpeg());
        return view(who);
    }

    @Operation(summary = "Show no picture on the sheets any more")
    @Needs(Right.LEAD)
    @DeleteMapping("/api/school/logo")
    SchoolView showNone(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        school.show(who, null);
        return view(who);
    }

    @Operation(summary = "The picture that is shown on the sheets")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "image/jpeg", schema = @Schema(type = "string", format = "binary")))
    @Needs(Right.READ)
    @GetMapping("/api/school/logo")
    ResponseEntity<byte[]> logo(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.noStore())
                .body(school.logo(who));
    }
}
