package lobrik.server.attempt;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.photo.PhotoIntake;
import lobrik.server.photo.Shrunk;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Photos of pieces. */
@RestController
@Tag(name = "attempts")
class PhotoResource {

    private final Keeping keeping;
    private final Attempts attempts;
    private final AttemptViews views;
    private final PhotoIntake intake;
    private final Clock clock;

    PhotoResource(Keeping keeping, Attempts attempts, AttemptViews views, PhotoIntake intake, Clock clock) {
        this.keeping = keeping;
        this.attempts = attempts;
        this.views = views;
        this.intake = intake;
        this.clock = clock;
    }

    @Operation(
            summary = "Keep a photo; the body is the file, a JPEG or a PNG of at most 12 MB",
            description = "It is turned upright and made small, and everything but the picture is left out.",
            requestBody =
                    @RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.ALL_VALUE,
                                            schema = @Schema(type = "string", format = "byte"))))
    @Needs(Right.MEASURE)
    @PutMapping(path = "/api/attempts/{id}/photos/{key}", consumes = MediaType.ALL_VALUE)
    AttemptChange keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestParam(required = false) @Nullable String about,
            @RequestParam(required = false) @Nullable String note,
            @RequestParam(required = false) @Nullable Instant takenAt,
            @RequestHeader(name = DeviceTime.HEADER, required = false) @Nullable String sentAt,
            @Parameter(hidden = true) InputStream file)
            throws IOException {
        attempts.get(who, id);
        Shrunk shrunk = intake.shrink(file);
        DeviceTime.Said device = DeviceTime.Said.of(takenAt, sentAt);
        return views.of(keeping.keepPhoto(who, id, attempt -> {
            DeviceTime time = DeviceTime.of(device, attempt.givenAt(), clock.instant());
            Photo.Caption caption = new Photo.Caption(
                    key,
                    id,
                    Objects.requireNonNullElse(FactInput.text("/about", about), ""),
                    Objects.requireNonNullElse(FactInput.text("/note", note), ""),
                    shrunk.width(),
                    shrunk.height(),
                    who.accountId(),
                    time.at());
            return new Photo(caption, shrunk.jpeg(), shrunk.digest(), time, clock.instant());
        }));
    }

    @Operation(summary = "A photo as it is kept")
    @Needs(Right.READ)
    @GetMapping(path = "/api/attempts/{id}/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> photo(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID photoId) {
        Photo photo = keeping.photo(who, id, photoId);
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(photo.content());
    }
}
