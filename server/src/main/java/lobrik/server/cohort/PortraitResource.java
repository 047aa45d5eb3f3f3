package lobrik.server.cohort;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.photo.PhotoIntake;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Photographs of trainees. */
@RestController
@Tag(name = "cohorts")
class PortraitResource {

    /** In pixels: sharp at the size of a hand on any screen, and no more than that is for. */
    private static final int LONGEST_SIDE = 480;

    private static final Duration KEPT_FOR = Duration.ofHours(1);

    private final Portraits portraits;
    private final PhotoIntake photos;

    PortraitResource(Portraits portraits, PhotoIntake photos) {
        this.portraits = portraits;
        this.photos = photos;
    }

    @Operation(summary = "Keep a photograph of somebody who likes one to be kept: a JPEG or PNG file, made small")
    @Needs(Right.TEACH)
    @PutMapping(path = "/api/trainees/{id}/portrait", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @Parameter(hidden = true) InputStream file)
            throws IOException {
        portraits.requireSeen(who, id);
        portraits.keep(who, id, photos.shrink(file, LONGEST_SIDE).jpeg());
    }

    @Operation(summary = "Keep no photograph of somebody any more")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/trainees/{id}/portrait")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeAway(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        portraits.takeAway(who, id);
    }

    @Operation(summary = "The photograph of somebody")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "image/jpeg", schema = @Schema(type = "string", format = "binary")))
    @Needs(Right.READ)
    @GetMapping("/api/trainees/{id}/portrait")
    ResponseEntity<byte[]> portrait(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(KEPT_FOR).cachePrivate())
                .body(portraits.of(who, id));
    }
}
