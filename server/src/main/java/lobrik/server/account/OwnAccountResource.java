package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import lobrik.server.platform.Guesses;
import lobrik.server.platform.Needs;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own account: taking it up, its password, and where one is signed in. */
@RestController
@Tag(name = "session")
class OwnAccountResource {

    /**
     * A password to have from now on.
     *
     * @param code of the app or from paper, where the account has a second factor
     */
    record FirstPassword(
            @Nullable String password, @Nullable String code) {}

    /** A password in place of the one there is. */
    record OtherPassword(@Nullable String current, @Nullable String next) {}

    private final Invitations invitations;
    private final People people;
    private final Accounts accounts;
    private final SignIn signIn;
    private final Sessions sessions;
    private final Door door;
    private final Guesses guesses;

    OwnAccountResource(
            Invitations invitations,
            People people,
            Accounts accounts,
            SignIn signIn,
            Sessions sessions,
            Door door,
            Guesses guesses) {
        this.invitations = invitations;
        this.people = people;
        this.accounts = accounts;
        this.signIn = signIn;
        this.sessions = sessions;
        this.door = door;
        this.guesses = guesses;
    }

    @Operation(summary = "What an invitation opens, for whoever holds its code")
    @NeedsNoAccount
    @GetMapping("/api/invitations/{code}")
    Invitations.Opened invitation(@PathVariable String code, @Parameter(hidden = true) HttpServletRequest request) {
        return guesses.ask(request.getRemoteAddr(), code, () -> invitations.opened(code));
    }

    @Operation(
            summary = "Take up an account, or choose another password, by an invitation",
            description =
                    "The code works once; whoever used it is signed in, and nobody else with that account any more.")
    @NeedsNoAccount
    @PutMapping("/api/invitations/{code}")
    SessionResource.Me takeUp(
            @PathVariable String code,
            @RequestBody FirstPassword chosen,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        Invitations.Opened opened = guesses.ask(request.getRemoteAddr(), code, () -> invitations.opened(code));
        String hash = invitations.hash(opened, required("/password", chosen.password()));
        signIn.requireCode(opened.signInName(), chosen.code(), request.getRemoteAddr());
        SignedIn who = invitations.use(code, hash);
        door.enter(who, request, response);
        return SessionResource.me(who, accounts.preferences(who));
    }

    @Operation(summary = "Choose another password; everywhere else one is signed out")
    @Needs(Right.OWN_ACCOUNT)
    @PutMapping("/api/me/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void choosePassword(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestBody OtherPassword chosen,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        String next = required("/next", chosen.next());
        PasswordRules.require("/next", next, accounts.signInNameOf(who), who.fullName());
        if (!signIn.isPasswordOf(who, required("/current", chosen.current()))) {
            throw TurnedDown.badInput("/current", "wrong-password", "this is not your password now");
        }
        door.enter(people.choosePassword(who, signIn.hash(next)), request, response);
    }

    @Operation(summary = "Where one is signed in")
    @Needs(Right.OWN_ACCOUNT)
    @GetMapping("/api/sessions")
    List<Sessions.Place> sessions(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @Parameter(hidden = true) HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return sessions.of(who, session == null ? null : session.getId());
    }

    @Operation(summary = "Sign out somewhere else")
    @Needs(Right.OWN_ACCOUNT)
    @DeleteMapping("/api/sessions/{session}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable String session) {
        sessions.end(who, session);
    }

    private static String required(String pointer, @Nullable String value) {
        if (value == null || value.isEmpty()) {
            throw TurnedDown.badInput(pointer, "missing", "this is missing");
        }
        return value;
    }
}
