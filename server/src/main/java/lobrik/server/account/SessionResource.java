package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import lobrik.measure.LengthUnit;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
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

    record Credentials(@Nullable String name, @Nullable String password) {}

    /** Whoever is signed in. */
    record Me(UUID accountId, String fullName, Role role, LengthUnit unit) {}

    record Preferences(@Nullable LengthUnit unit) {}

    /** What a device keeps to be known again; it lets nobody in. */
    private static final String DEVICE = "lobrik-device";

    private static final Duration DEVICE_IS_KNOWN_FOR = Duration.ofDays(400);

    private final Accounts accounts;
    private final SignIn signIn;
    private final KnownDevices devices;
    private final Sessions sessions;
    private final Audit audit;
    private final SecurityContextRepository contexts;
    private final CsrfTokenRepository tokens;

    SessionResource(
            Accounts accounts,
            SignIn signIn,
            KnownDevices devices,
            Sessions sessions,
            Audit audit,
            SecurityContextRepository contexts,
            CsrfTokenRepository tokens) {
        this.accounts = accounts;
        this.signIn = signIn;
        this.devices = devices;
        this.sessions = sessions;
        this.audit = audit;
        this.contexts = contexts;
        this.tokens = tokens;
    }

    @Operation(
            summary = "Sign in",
            description =
                    "After some wrong tries with a name, or from an address, each next one has to wait longer, half "
                            + "a minute at most. A device from which somebody signed in before does not wait for strangers.")
    @PostMapping("/api/session")
    Me signIn(
            @RequestBody Credentials credentials,
            @CookieValue(name = DEVICE, required = false) @Parameter(hidden = true) @Nullable String device,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        if (credentials.name() == null || credentials.password() == null) {
            throw TurnedDown.unauthorised("Give a name and a password");
        }
        SignedIn who = signIn.verify(credentials.name(), credentials.password(), request.getRemoteAddr(), device);
        // A session from before signing in may be known to somebody else, and so may its token.
        endSession(request, response);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                who,
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + who.role().name()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
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
    @GetMapping("/api/me")
    Me me(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return new Me(who.accountId(), who.fullName(), who.role(), accounts.unitOf(who));
    }

    @Operation(summary = "Choose inches or millimetres")
    @PutMapping("/api/me/preferences")
    Me prefer(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody Preferences preferences) {
        if (preferences.unit() == null) {
            throw TurnedDown.badInput("/unit", "missing", "choose “in” or “mm”");
        }
        accounts.prefer(who, preferences.unit());
        return me(who);
    }

    @Operation(summary = "Sign out")
    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        leave(who, "this device", request, response);
    }

    @Operation(summary = "Sign out on every device, at once")
    @DeleteMapping("/api/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutEverywhere(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        leave(who, "every device", request, response);
        sessions.endAllOf(who.accountId());
    }

    /** The session is over, and what was good for it against forgery is good no longer. */
    private void endSession(HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            sessions.end(session);
        }
        tokens.saveToken(tokens.generateToken(request), request, response);
    }

    private void leave(SignedIn who, String about, HttpServletRequest request, HttpServletResponse response) {
        endSession(request, response);
        SecurityContextHolder.clearContext();
        audit.note(Audit.What.SIGNED_OUT, who.accountId(), about, request.getRemoteAddr());
    }
}
