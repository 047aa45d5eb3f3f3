package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriComponents;

/** Passkeys beside passwords. */
@RestController
@Tag(name = "session")
class PasskeyResource {

    /** One's own passkey. */
    record PasskeyView(String id, String label, Instant createdAt, Instant lastUsedAt) {}

    /**
     * What the browser is to ask the device.
     *
     * @param question by which the answer is known
     * @param options as WebAuthn writes them in JSON
     */
    record DeviceQuestion(String question, Map<String, Object> options) {}

    /**
     * What the device answered.
     *
     * @param credential as WebAuthn writes it in JSON
     */
    record DeviceAnswer(
            @Nullable String question,
            @Nullable String label,
            @Nullable Map<String, Object> credential) {}

    private final Passkeys passkeys;
    private final Accounts accounts;
    private final Door door;

    PasskeyResource(Passkeys passkeys, Accounts accounts, Door door) {
        this.passkeys = passkeys;
        this.accounts = accounts;
        this.door = door;
    }

    /** Not where printed codes lead: a key belongs to where the browser itself is. */
    private static Passkeys.Place place() {
        UriComponents here =
                ServletUriComponentsBuilder.fromCurrentContextPath().build();
        return new Passkeys.Place(Objects.requireNonNull(here.getHost()), here.toUriString());
    }

    private static DeviceQuestion view(Passkeys.Question question) {
        return new DeviceQuestion(question.key(), question.options());
    }

    @Operation(summary = "One's own passkeys")
    @Needs(Right.OWN_ACCOUNT)
    @GetMapping("/api/me/passkeys")
    List<PasskeyView> own(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return passkeys.of(who).stream()
                .map(each -> new PasskeyView(each.id(), each.label(), each.createdAt(), each.lastUsedAt()))
                .toList();
    }

    @Operation(summary = "What a device is to be asked for a new passkey")
    @Needs(Right.OWN_ACCOUNT)
    @PostMapping("/api/me/passkeys")
    DeviceQuestion toMake(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return view(passkeys.toMake(who, place()));
    }

    @Operation(summary = "Keep the passkey that a device made")
    @Needs(Right.OWN_ACCOUNT)
    @PutMapping("/api/me/passkeys")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody DeviceAnswer answer) {
        passkeys.keep(
                who,
                place(),
                TurnedDown.required("/question", answer.question()),
                Objects.requireNonNullElse(answer.label(), ""),
                TurnedDown.required("/credential", answer.credential()));
    }

    @Operation(summary = "Take one's passkey away")
    @Needs(Right.OWN_ACCOUNT)
    @DeleteMapping("/api/me/passkeys/{passkey}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeAway(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable String passkey) {
        passkeys.takeAway(who, passkey);
    }

    @Operation(summary = "What a device is to be asked by whoever signs in with a passkey")
    @NeedsNoAccount
    @PostMapping("/api/session/passkey/question")
    DeviceQuestion toShow() {
        return view(passkeys.toShow(place()));
    }

    @Operation(summary = "Sign in with a passkey: the device has made sure who holds it, so that no code is asked for")
    @NeedsNoAccount
    @PostMapping("/api/session/passkey")
    SessionResource.Me signIn(
            @RequestBody DeviceAnswer answer,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response) {
        SignedIn who = passkeys.shown(
                place(),
                TurnedDown.required("/question", answer.question()),
                TurnedDown.required("/credential", answer.credential()),
                request.getRemoteAddr());
        door.enter(who, request, response);
        return SessionResource.me(who, accounts.preferences(who));
    }
}
