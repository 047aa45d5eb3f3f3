package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.UUID;
import lobrik.measure.LengthUnit;
import lobrik.server.calc.QuantityRequest.BareUnit;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
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
    record Me(UUID accountId, String fullName, Role role, BareUnit unit) {}

    record Preferences(@Nullable BareUnit unit) {}

    private final Accounts accounts;
    private final SecurityContextRepository contexts;

    SessionResource(Accounts accounts, SecurityContextRepository contexts) {
        this.accounts = accounts;
        this.contexts = contexts;
    }

    @Operation(summary = "Sign in")
    @PostMapping("/api/session")
    Me signIn(
            @RequestBody Credentials credentials,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        if (credentials.name() == null || credentials.password() == null) {
            throw TurnedDown.unauthorised("Give a name and a password");
        }
        SignedIn who = accounts.verify(credentials.name(), credentials.password());
        // A session from before signing in may be known to somebody else.
        HttpSession old = request.getSession(false);
        if (old != null) {
            old.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                who,
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + who.role().name()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return me(who);
    }

    @Operation(summary = "Who is signed in")
    @GetMapping("/api/me")
    Me me(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        BareUnit unit = accounts.unitOf(who) == LengthUnit.INCH ? BareUnit.INCH : BareUnit.MILLIMETRE;
        return new Me(who.accountId(), who.fullName(), who.role(), unit);
    }

    @Operation(summary = "Choose inches or millimetres")
    @PutMapping("/api/me/preferences")
    Me prefer(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody Preferences preferences) {
        if (preferences.unit() == null) {
            throw TurnedDown.badInput("/unit", "missing", "choose “in” or “mm”");
        }
        accounts.prefer(who, preferences.unit() == BareUnit.INCH ? LengthUnit.INCH : LengthUnit.MILLIMETRE);
        return me(who);
    }

    @Operation(summary = "Sign out")
    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(@Parameter(hidden = true) HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
