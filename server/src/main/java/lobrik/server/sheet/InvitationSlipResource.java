package lobrik.server.sheet;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import lobrik.server.account.Invitations;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.PublicAddress;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Invitations on paper. */
@RestController
@Tag(name = "people")
class InvitationSlipResource {

    /** The code of an invitation, which whoever made it was told. */
    record SlipRequest(@Nullable String code, @Nullable Paper paper) {}

    private final Invitations invitations;
    private final PublicAddress address;

    InvitationSlipResource(Invitations invitations, PublicAddress address) {
        this.invitations = invitations;
        this.address = address;
    }

    @Operation(summary = "The slip with which somebody takes up their account, for whoever made its code")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/pdf", schema = @Schema(type = "string", format = "binary")))
    @Needs(Right.TEACH)
    @PostMapping("/api/invitation-slips")
    ResponseEntity<byte[]> slip(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody SlipRequest request) {
        if (request.code() == null) {
            throw TurnedDown.badInput("/code", "missing", "this is missing");
        }
        Invitations.Slip slip = invitations.slip(who, request.code());
        Paper paper = request.paper() == null ? Paper.LETTER : request.paper();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .cacheControl(CacheControl.noStore())
                .body(InvitationSlip.pdf(slip, address.base(), paper));
    }
}
