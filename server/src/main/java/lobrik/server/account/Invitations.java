package lobrik.server.account;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.random.RandomGenerator;
import lobrik.server.platform.Codes;
import lobrik.server.platform.Sha256;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Codes with which people take up their accounts: 80 bits of chance, good for two weeks and for once. */
@Service
public class Invitations {

    private static final int LENGTH = 16;
    private static final Duration GOOD_FOR = Duration.ofDays(14);

    /** A code that was made just now; nobody can be told it again. */
    public record InvitationCode(String code, Instant expiresAt) {}

    /**
     * What a code opens.
     *
     * @param fresh whether the account was never taken up
     */
    public record Opened(String fullName, String signInName, String schoolName, Role role, boolean fresh) {}

    /** What stands on paper for whoever is invited. */
    public record Slip(Opened opened, String code, Instant expiresAt) {}

    private final EntityManager entities;
    private final SignIn signIn;
    private final Audit audit;
    private final RandomGenerator chance;
    private final Clock clock;

    Invitations(EntityManager entities, SignIn signIn, Audit audit, RandomGenerator chance, Clock clock) {
        this.entities = entities;
        this.signIn = signIn;
        this.audit = audit;
        this.chance = chance;
        this.clock = clock;
    }

    /** Makes a code for an account; an earlier one works no more. Part of the transaction of whoever asks. */
    InvitationCode make(SignedIn who, UUID id, Account account) {
        withdraw(account.id());
        String code = Codes.next(chance, LENGTH);
        Instant now = clock.instant();
        Instant until = now.plus(GOOD_FOR);
        entities.persist(new Invitation(id, account.id(), Sha256.of(code), who.accountId(), now, until));
        return new InvitationCode(Codes.printed(code), until);
    }

    /** Takes what is open of an account back. */
    void withdraw(UUID accountId) {
        open(accountId).forEach(invitation -> invitation.withdraw(clock.instant()));
    }

    private List<Invitation> open(UUID accountId) {
        return entities.createQuery(
                        "from Invitation where accountId = :account and usedAt is null and withdrawnAt is null",
                        Invitation.class)
                .setParameter("account", accountId)
                .getResultList();
    }

    /**
     * What a code opens, for whoever holds it.
     *
     * @throws TurnedDown if it opens nothing, or nothing any more
     */
    @Transactional(readOnly = true)
    public Opened opened(String typed) {
        Account account = account(find(typed));
        String school = entities.createQuery("select name from Centre where id = :id", String.class)
                .setParameter("id", account.centreId())
                .getSingleResult();
        return new Opened(
                account.fullName(), account.signInName(), school, account.role(), account.passwordHash() == null);
    }

    /**
     * What a code of one's own school opens, to be printed by whoever was told it.
     *
     * @throws TurnedDown if it opens nothing there
     */
    @Transactional(readOnly = true)
    public Slip slip(SignedIn who, String typed) {
        Invitation invitation = find(typed);
        if (!account(invitation).centreId().equals(who.centreId())) {
            throw nothing();
        }
        String code = Codes.read(typed, LENGTH, LENGTH).orElseThrow(Invitations::nothing);
        return new Slip(opened(typed), Codes.printed(code), invitation.expiresAt());
    }

    /** What is wrong with a password, and its hash otherwise: it takes its time, so no transaction waits for it. */
    String hash(Opened opened, String password) {
        PasswordRules.require("/password", password, opened.signInName(), opened.fullName());
        return signIn.hash(password);
    }

    /**
     * Uses a code up: the account has this password from now on, and its holder is let in with it.
     *
     * @throws TurnedDown if it opens nothing, or nothing any more
     */
    @Transactional
    public SignedIn use(String typed, String passwordHash) {
        Invitation invitation = find(typed);
        Account account = account(invitation);
        // The version of the account stands for it: of two at once one is turned down.
        invitation.use(clock.instant());
        account.choosePassword(passwordHash);
        entities.flush();
        SignedIn who = account.signedIn();
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.ACCOUNT, account.id(), account.fullName()),
                List.of(new Audit.Change("password", null, "chosen by invitation")),
                null);
        return who;
    }

    private Account account(Invitation invitation) {
        Account account = entities.find(Account.class, invitation.accountId());
        if (account.isDisabled()) {
            throw nothing();
        }
        return account;
    }

    private Invitation find(String typed) {
        return Codes.read(typed, LENGTH, LENGTH)
                .flatMap(code -> entities.createQuery("from Invitation where codeHash = :hash", Invitation.class)
                        .setParameter("hash", Sha256.of(code))
                        .getResultStream()
                        .findFirst())
                .filter(invitation -> invitation.isOpen(clock.instant()))
                .orElseThrow(Invitations::nothing);
    }

    private static TurnedDown nothing() {
        return TurnedDown.notFound("invitation");
    }
}
