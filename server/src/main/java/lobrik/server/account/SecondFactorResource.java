package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.UUID;
import lobrik.server.platform.CameraCode;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The second factor beside a password. */
@RestController
@Tag(name = "session")
class SecondFactorResource {

    /**
     * A secret to be taken into an app.
     *
     * @param code what the app's camera reads, row by row, 1 for black
     */
    record SecretToTake(String secret, String address, List<String> code) {}

    /** A code of the app. */
    record AppCode(@Nullable String code) {}

    /** Codes to be kept on paper; told once. */
    record OnPaper(List<String> recoveryCodes) {}

    /** The password of whoever ends it. */
    record OwnPassword(@Nullable String password) {}

    /** Whether leads need one. */
    record LeadsConfirm(@Nullable Boolean needed) {}

    private final SecondFactors factors;
    private final SignIn signIn;
    private final Door door;

    SecondFactorResource(SecondFactors factors, SignIn signIn, Door door) {
        this.factors = factors;
        this.signIn = signIn;
        this.door = door;
    }

    @Operation(summary = "One's own second factor, and whether the school asks its leads for one")
    @Needs(Right.OWN_ACCOUNT)
    @GetMapping("/api/me/second-factor")
    SecondFactors.State own(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return factors.of(who);
    }

    @Operation(summary = "Make a secret for an app; it counts once a code of it is confirmed")
    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/api/me/second-factor")
    SecretToTake begin(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        SecondFactors.Begun begun = factors.begin(who);
        return new SecretToTake(begun.secret(), begun.address(), CameraCode.rows(begun.address()));
    }

    @Operation(
            summary = "Confirm the secret by a code of the app; everywhere else one is signed out",
            description = "The answer has codes to be kept on paper, for when the phone is lost; they are told once.")
    @Needs(Right.OWN_ACCOUNT)
    @PutMapping("/api/me/second-factor")
    OnPaper confirm(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestBody AppCode given,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        SecondFactors.Confirmed confirmed = factors.confirm(who, TurnedDown.required("/code", given.code()));
        door.enter(confirmed.who(), request, response);
        return new OnPaper(confirmed.recoveryCodes());
    }

    @Operation(summary = "Be asked for a second factor no more")
    @Needs(Right.OWN_ACCOUNT)
    @PutMapping("/api/me/second-factor/ended")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestBody OwnPassword given,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        if (!signIn.isPasswordOf(who, TurnedDown.required("/password", given.password()))) {
            throw TurnedDown.badInput("/password", "wrong-password", "this is not your password");
        }
        door.enter(factors.end(who), request, response);
    }

    @Operation(summary = "Take the second factor from somebody who has lost it; they are signed out everywhere")
    @Needs(Right.LEAD)
    @DeleteMapping("/api/people/{id}/second-factor")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endFor(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        factors.endFor(who, id);
    }

    @Operation(
            summary = "Ask the leads of the school for a second factor, or no more",
            description =
                    "Leads who have none are signed out, and may do what an instructor may until they set one up.")
    @Needs(Right.LEAD)
    @PutMapping("/api/leads-confirm")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void askLeads(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody LeadsConfirm wanted) {
        factors.askLeads(who, TurnedDown.required("/needed", wanted.needed()));
    }
}
