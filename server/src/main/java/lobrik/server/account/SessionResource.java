package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Set;
import java.util.UUID;
import lobrik.measure.LengthUnit;
import lobrik.server.platform.Needs;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and who one is. */
@RestController
@Tag(name = "session")
class SessionResource {

    /**
     * Who somebody says they are.
     *
     * @param code of their app or from paper, where they have a second factor
     */
    record Credentials(
            @Nullable String name,
            @Nullable String password,
            @Nullable String code) {}

    /**
     * Whoever is signed in, and what they may do.
     *
     * @param heldBack whether they would be a lead if they had a second factor
     */
    record Me(UUID accountId, String fullName, Role role, Set<Right> rights, LengthUnit unit, boolean heldBack) {}

    record Preferences(@Nullable LengthUnit unit) {}

    /** What a device keeps to be known again; it lets nobody in. */
    private static final String DEVICE = "lobrik-device";

    private static final Duration DEVICE_IS_KNOWN_FOR = Duration.ofDays(400);

    private final Accounts accounts;
    private final SignIn signIn;
    private final KnownDevices devices;
    private final Sessions sessions;
    private final Audit audit;
    private final Door door;

    SessionResource(Accounts accounts, SignIn signIn, KnownDevices devices, Sessions sessions, Audit audit, Door door) {
        this.accounts = accounts;
        this.signIn = signIn;
        this.devices = devices;
        this.sessions = sessions;
        this.audit = audit;
        this.door = door;
    }

    @Operation(
            summary = "Sign in",
            description =
                    "After some wrong tries with a name, or from an address, each next one has to wait longer, half "
                            + "a minute at most. A device from which somebody signed in before does not wait for strangers.")
    @NeedsNoAccount
    @PostMapping("/api/session")
    Me signIn(
            @RequestBody Credentials credentials,
            @CookieValue(name = DEVICE, required = false) @Parameter(hidden = true) @Nullable String device,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        if (credentials.name() == null || credentials.password() == null) {
            throw TurnedDown.unauthorised("Give a name and a password");
        }
        SignedIn who = signIn.verify(
                credentials.name(), credentials.password(), credentials.code(), request.getRemoteAddr(), device);
        door.enter(who, request, response);
        rememberDevice(who, device, request, response);
        return me(who);
    }

    private void rememberDevice(
            SignedIn who, @Nullable String device, HttpServletRequest request, HttpServletResponse response) {
        String token =
                device != null && devices.seen(device, who.accountId()) ? device : devices.remember(who.accountId());
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(DEVICE, token)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .path("/api/session")
                        .maxAge(DEVICE_IS_KNOWN_FOR)
                        .build()
                        .toString());
    }

    @Operation(summary = "Who is signed in")
    @Needs(Right.OWN_ACCOUNT)
    @GetMapping("/api/me")
    Me me(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return me(who, accounts.preferences(who));
    }

    static Me me(SignedIn who, Accounts.Preferences preferences) {
        return new Me(
                who.accountId(),
                who.fullName(),
                who.role(),
                Permissions.of(who.role()),
                preferences.unit(),
                preferences.heldBack());
    }

    @Operation(summary = "Choose inches or millimetres")
    @Needs(Right.OWN_ACCOUNT)
    @PutMapping("/api/me/preferences")
    Me prefer(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody Preferences preferences) {
        if (preferences.unit() == null) {
            throw TurnedDown.badInput("/unit", "missing", "choose “in” or “mm”");
        }
        accounts.prefer(who, preferences.unit());
        return me(who);
    }

    @Operation(summary = "Sign out")
    @Needs(Right.OWN_ACCOUNT)
    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        leave(who, "this device", request, response);
    }

    @Operation(summary = "Sign out on every device, at once")
    @Needs(Right.OWN_ACCOUNT)
    @DeleteMapping("/api/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutEverywhere(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        leave(who, "every device", request, response);
        sessions.endAllOf(who);
    }

    private void leave(SignedIn who, String about, HttpServletRequest request, HttpServletResponse response) {
        door.leave(request, response);
        audit.note(Audit.What.SIGNED_OUT, who.centreId(), who.accountId(), about, request.getRemoteAddr());
    }
}
