package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.platform.Needs;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The people of a school who may sign in. */
@RestController
@Tag(name = "people")
class PeopleResource {

    private static final int MOST = 100;

    /** Somebody to invite. */
    record NewPerson(
            @Nullable String fullName,
            @Nullable String signInName,
            @Nullable Role role) {}

    /** Whoever was invited is told the code once, and nobody again; null where the call was a repeated one. */
    record Invited(Invitations.@Nullable InvitationCode invitation) {}

    /** What somebody is from now on. */
    record PersonChange(
            @Nullable Integer edition,
            @Nullable String fullName,
            @Nullable Role role) {}

    /** Whether somebody is let in. */
    record Disabling(
            @Nullable Integer edition,
            @Nullable Boolean disabled,
            @Nullable String reason) {}

    private final People people;
    private final Sessions sessions;
    private final Audit audit;

    PeopleResource(People people, Sessions sessions, Audit audit) {
        this.people = people;
        this.sessions = sessions;
        this.audit = audit;
    }

    @Operation(summary = "The people of the school who may sign in, by name; a hundred at a time")
    @Needs(Right.READ_RECORDS)
    @GetMapping("/api/people")
    People.PeoplePage page(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(required = false) @Nullable Role role,
            @RequestParam(defaultValue = "0") int from) {
        return people.page(who, text, role, Math.max(0, from), MOST);
    }

    @Operation(
            summary = "Invite somebody under an id made by the client",
            description = "The answer has the code with which they choose their password; it is told once.")
    @Needs(Right.LEAD)
    @PutMapping("/api/people/{id}")
    Invited invite(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewPerson person) {
        return new Invited(people.invite(
                who,
                id,
                Objects.requireNonNullElse(person.fullName(), ""),
                Objects.requireNonNullElse(person.signInName(), ""),
                TurnedDown.required("/role", person.role())));
    }

    @Operation(summary = "Make another code with which somebody chooses their password; an earlier one works no more")
    @Needs(Right.LEAD)
    @PutMapping("/api/people/{id}/invitation")
    Invited codeFor(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return new Invited(people.codeFor(who, id));
    }

    @Operation(
            summary = "Change somebody's name or what they are",
            description = "Where what they may do changes, they are signed out everywhere, at once.")
    @Needs(Right.LEAD)
    @PutMapping("/api/people/{id}/role")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody PersonChange change) {
        people.change(
                who,
                id,
                TurnedDown.required("/edition", change.edition()),
                Objects.requireNonNullElse(change.fullName(), ""),
                TurnedDown.required("/role", change.role()));
    }

    @Operation(summary = "Let somebody in no more, at once and everywhere; or again")
    @Needs(Right.LEAD)
    @PutMapping("/api/people/{id}/disabled")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void disable(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody Disabling disabling) {
        people.disable(
                who,
                id,
                TurnedDown.required("/edition", disabling.edition()),
                TurnedDown.required("/disabled", disabling.disabled()),
                Objects.requireNonNullElse(disabling.reason(), ""));
    }

    @Operation(summary = "Where somebody is signed in")
    @Needs(Right.LEAD)
    @GetMapping("/api/people/{id}/sessions")
    List<Sessions.Place> sessions(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return sessions.of(people.person(who, id), null);
    }

    @Operation(summary = "Sign somebody out somewhere")
    @Needs(Right.LEAD)
    @DeleteMapping("/api/people/{id}/sessions/{session}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable String session) {
        SignedIn person = people.person(who, id);
        sessions.end(person, session);
        audit.note(Audit.What.SIGNED_OUT, who.centreId(), who.accountId(), person.fullName() + ", by the lead", "");
    }
}
