package lobrik.server.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import jakarta.persistence.EntityManager;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.random.RandomGenerator;
import javax.crypto.spec.SecretKeySpec;
import lobrik.server.platform.Codes;
import lobrik.server.platform.Sha256;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.apache.commons.codec.binary.Base32;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The second factor: a code of six figures that an app makes anew every half minute (RFC 6238, SHA-1, as every app understands), or a
 * recovery code from paper. A school can ask its leads for it; whoever leads and has none yet may do what an instructor may.
 */
@Service
class SecondFactors {

    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY_CODES = 8;
    private static final int RECOVERY_LENGTH = 12;

    /** So many half minutes a phone's clock may be off to either side. */
    private static final int CLOCK_MAY_BE_OFF = 1;

    /**
     * Somebody's second factor.
     *
     * @param since when it counts; null while there is none
     * @param codesLeft how many recovery codes are not used up
     * @param leadsNeedOne whether the school asks its leads for one
     * @param heldBack whether they would be a lead if they had one
     */
    record State(@Nullable Instant since, int codesLeft, boolean leadsNeedOne, boolean heldBack) {}

    /** A secret for an app, to be read by its camera or typed. */
    record Begun(String secret, String address) {}

    /** What is on paper from now on, and who somebody is that has shown their app's code. */
    record Confirmed(SignedIn who, List<String> recoveryCodes) {}

    private final EntityManager entities;
    private final Sessions sessions;
    private final Audit audit;
    private final Turns turns;
    private final RandomGenerator chance;
    private final Clock clock;
    private final SecureRandom secrets = new SecureRandom();
    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();

    SecondFactors(
            EntityManager entities, Sessions sessions, Audit audit, Turns turns, RandomGenerator chance, Clock clock) {
        this.entities = entities;
        this.sessions = sessions;
        this.audit = audit;
        this.turns = turns;
        this.chance = chance;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    State of(SignedIn who) {
        SecondFactor factor = entities.find(SecondFactor.class, who.accountId());
        return new State(
                factor == null ? null : factor.confirmedAt(),
                factor == null ? 0 : codesLeft(who.accountId()),
                leadsNeedOne(who.centreId()),
                account(who.accountId()).isHeldBack());
    }

    private int codesLeft(UUID accountId) {
        return entities.createQuery(
                        "select cast(count(c) as integer) from RecoveryCode c where c.accountId = :account and c.usedAt is null",
                        Integer.class)
                .setParameter("account", accountId)
                .getSingleResult();
    }

    /** Whether a school asks its leads for a second factor. */
    @Transactional(readOnly = true)
    boolean leadsNeedOne(UUID centreId) {
        return entities.createQuery("select leadsConfirm from Centre where id = :id", Boolean.class)
                .setParameter("id", centreId)
                .getSingleResult();
    }

    /** Whether somebody is asked for one when they sign in. */
    @Transactional(readOnly = true)
    boolean isOn(UUID accountId) {
        return confirmed(accountId).isPresent();
    }

    private Optional<SecondFactor> confirmed(UUID accountId) {
        return Optional.ofNullable(entities.find(SecondFactor.class, accountId))
                .filter(factor -> factor.confirmedAt() != null);
    }

    /**
     * Makes a secret; nothing is asked for until it is confirmed, and one that was not is gone.
     *
     * @throws TurnedDown if there is one that counts
     */
    @Transactional
    Begun begin(SignedIn who) {
        turns.take(who.accountId());
        if (isOn(who.accountId())) {
            throw TurnedDown.conflict(
                    "on-already", "Your second factor counts already; end it first to choose another");
        }
        drop(who.accountId());
        byte[] secret = new byte[SECRET_BYTES];
        secrets.nextBytes(secret);
        entities.persist(new SecondFactor(who.accountId(), secret, clock.instant()));
        String written = new Base32().encodeToString(secret).replace("=", "");
        String name = encoded("Lobrik") + ":" + encoded(account(who.accountId()).signInName());
        return new Begun(
                written, "otpauth://totp/" + name + "?secret=" + written + "&issuer=Lobrik&digits=6&period=30");
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private void drop(UUID accountId) {
        entities.createQuery("delete from RecoveryCode where accountId = :account")
                .setParameter("account", accountId)
                .executeUpdate();
        SecondFactor factor = entities.find(SecondFactor.class, accountId);
        if (factor != null) {
            entities.remove(factor);
            entities.flush();
        }
    }

    /**
     * Lets it count from now on. Everywhere else its holder is signed out.
     *
     * @throws TurnedDown if the code is not of the secret that was made
     */
    @Transactional
    Confirmed confirm(SignedIn who, String code) {
        turns.take(who.accountId());
        SecondFactor factor = entities.find(SecondFactor.class, who.accountId());
        if (factor == null || factor.confirmedAt() != null) {
            throw TurnedDown.conflict("not-begun", "There is nothing to confirm; begin anew");
        }
        if (!takes(factor, code)) {
            throw TurnedDown.badInput(
                    "/code",
                    "wrong-code",
                    "this is not the code that belongs to it now; wait for the next, and look at the clock of your phone");
        }
        factor.confirm(clock.instant());
        List<String> onPaper = new ArrayList<>();
        for (int i = 0; i < RECOVERY_CODES; i++) {
            String recovery = Codes.next(chance, RECOVERY_LENGTH);
            entities.persist(new RecoveryCode(Sha256.of(recovery), who.accountId()));
            onPaper.add(Codes.printed(recovery));
        }
        Account account = account(who.accountId());
        sessions.rightsChanged(account.signedIn());
        account.holdBack(false);
        note(who, account, "none", "an app's code");
        return new Confirmed(account.signedIn(), onPaper);
    }

    /** Asks for none any more. Of a lead who needs one, that takes back what a lead may. */
    @Transactional
    SignedIn end(SignedIn who) {
        return end(who, account(who.accountId()));
    }

    /**
     * Takes it from somebody who has lost it.
     *
     * @throws TurnedDown if there is nobody of this id at the school
     */
    @Transactional
    void endFor(SignedIn who, UUID accountId) {
        Account account = entities.find(Account.class, accountId);
        if (account == null || !account.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("account");
        }
        end(who, account);
    }

    private SignedIn end(SignedIn who, Account account) {
        turns.take(account.centreId());
        if (!isOn(account.id())) {
            return account.signedIn();
        }
        drop(account.id());
        sessions.rightsChanged(account.signedIn());
        account.holdBack(account.role() == Role.LEAD && leadsNeedOne(account.centreId()));
        note(who, account, "an app's code", "none");
        return account.signedIn();
    }

    private void note(SignedIn who, Account account, String from, String to) {
        entities.flush();
        audit.changed(who, People.subject(account), List.of(new Audit.Change("second factor", from, to)), null);
    }

    /**
     * Whether a code of an app, or from paper, is somebody's now; it is used up by that.
     *
     * @param code as it was typed
     */
    @Transactional
    boolean opens(UUID accountId, String code) {
        turns.take(accountId);
        return confirmed(accountId)
                .filter(factor -> takes(factor, code) || takesFromPaper(accountId, code))
                .isPresent();
    }

    private boolean takes(SecondFactor factor, String code) {
        String plain = code.replaceAll("\\s", "");
        long seconds = codes.getTimeStep().toSeconds();
        long now = clock.instant().getEpochSecond() / seconds;
        for (long step = now - CLOCK_MAY_BE_OFF; step <= now + CLOCK_MAY_BE_OFF; step++) {
            if (step > factor.lastStep() && plain.equals(codeOf(factor, Instant.ofEpochSecond(step * seconds)))) {
                factor.used(step);
                return true;
            }
        }
        return false;
    }

    private String codeOf(SecondFactor factor, Instant at) {
        try {
            return codes.generateOneTimePasswordString(new SecretKeySpec(factor.secret(), codes.getAlgorithm()), at);
        } catch (InvalidKeyException e) {
            throw new IllegalStateException("a secret that was made by us is no key", e);
        }
    }

    private boolean takesFromPaper(UUID accountId, String typed) {
        return Codes.read(typed, RECOVERY_LENGTH, RECOVERY_LENGTH)
                .map(code -> entities.find(RecoveryCode.class, Sha256.of(code)))
                .filter(code -> code.accountId().equals(accountId) && code.usedAt() == null)
                .map(code -> {
                    code.use(clock.instant());
                    return true;
                })
                .orElse(false);
    }

    /**
     * Asks the leads of a school for a second factor, or no more. Those who have none are signed out, and are no more than instructors until
     * they do.
     *
     * @throws TurnedDown if whoever asks has none: somebody must be a lead afterwards
     */
    @Transactional
    void askLeads(SignedIn who, boolean needed) {
        turns.take(who.centreId());
        if (needed && !isOn(who.accountId())) {
            throw TurnedDown.conflict(
                    "have-none", "Set up a second factor of your own first: somebody has to be a lead afterwards");
        }
        boolean before = leadsNeedOne(who.centreId());
        if (before == needed) {
            return;
        }
        entities.createQuery("update Centre set leadsConfirm = :needed where id = :id")
                .setParameter("needed", needed)
                .setParameter("id", who.centreId())
                .executeUpdate();
        entities.createQuery("from Account where centreId = :centre and role = :lead", Account.class)
                .setParameter("centre", who.centreId())
                .setParameter("lead", Role.LEAD)
                .getResultList()
                .forEach(lead -> {
                    boolean back = needed && !isOn(lead.id());
                    if (lead.isHeldBack() != back) {
                        sessions.rightsChanged(lead.signedIn());
                        lead.holdBack(back);
                    }
                });
        entities.flush();
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "People"),
                List.of(Audit.Change.of("leads need a second factor", before, needed)),
                null);
    }

    /** Whether somebody who becomes a lead is held back for now. */
    boolean holdsBack(Account account, Role role) {
        return role == Role.LEAD && leadsNeedOne(account.centreId()) && !isOn(account.id());
    }

    private Account account(UUID id) {
        return entities.find(Account.class, id);
    }
}
