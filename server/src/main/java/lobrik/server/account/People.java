package lobrik.server.account;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Pattern;
import lobrik.measure.LengthUnit;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of a school who may sign in, kept by its lead. */
@Service
public class People {

    private static final Pattern SIGN_IN_NAME = Pattern.compile("[a-z0-9](?:[a-z0-9._-]{0,38}[a-z0-9])?");
    private static final int LONGEST_NAME = 100;
    private static final int LONGEST_REASON = 300;

    /** Whether somebody can sign in. */
    public enum State {
        /** They have not taken their account up. */
        INVITED,
        ACTIVE,
        DISABLED
    }

    /**
     * Somebody with an account.
     *
     * @param invitedUntil how long the code that was made last works; null if there is none
     * @param seenAt when they used it last, as far as their sessions go; null if in none
     * @param secondFactor whether they are asked for one when they sign in
     * @param heldBack whether they would be a lead if they had one
     */
    public record Person(
            UUID id,
            String fullName,
            String signInName,
            Role role,
            State state,
            int edition,
            @Nullable UUID traineeId,
            @Nullable Instant invitedUntil,
            @Nullable Instant seenAt,
            boolean secondFactor,
            boolean heldBack) {}

    /** Some of them, and how many there are in all. */
    public record PeoplePage(List<Person> people, long all) {}

    private static final String FOUND = """
            from account a where a.centre_id = :centre
              and (a.full_name ilike :text or a.sign_in_name ilike :text)
              and (cast(:role as text) is null or a.role = :role)""";

    private final EntityManager entities;
    private final Invitations invitations;
    private final Sessions sessions;
    private final SignIn signIn;
    private final SecondFactors factors;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    People(
            EntityManager entities,
            Invitations invitations,
            Sessions sessions,
            SignIn signIn,
            SecondFactors factors,
            Audit audit,
            Turns turns,
            Clock clock) {
        this.entities = entities;
        this.invitations = invitations;
        this.sessions = sessions;
        this.signIn = signIn;
        this.factors = factors;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * Some of a school's people, by name.
     *
     * @param text somewhere in their names
     * @param role only these; everybody if null
     */
    @Transactional(readOnly = true)
    public PeoplePage page(SignedIn who, String text, @Nullable Role role, int from, int most) {
        Query count = found(who, "select count(*) as n " + FOUND, text, role);
        long all = Rows.listed(count).getFirst().get("n", Long.class);
        Query query = found(who, """
                        select a.id, a.full_name, a.sign_in_name, a.role, a.edition, a.trainee_id, a.disabled_at,
                          a.password_hash is null as fresh, a.held_back,
                          exists (select 1 from second_factor f where f.account_id = a.id and f.confirmed_at is not null) as factor,
                          (select max(i.expires_at) from invitation i where i.account_id = a.id and i.used_at is null
                            and i.withdrawn_at is null) as invited_until,
                          (select max(s.last_access_time) from spring_session s where s.principal_name = a.session_name) as seen
                        """ + FOUND + " order by lower(a.full_name), a.id", text, role)
                .setFirstResult(from)
                .setMaxResults(most);
        return new PeoplePage(Rows.listed(query).stream().map(People::person).toList(), all);
    }

    private Query found(SignedIn who, String question, String text, @Nullable Role role) {
        return entities.createNativeQuery(question, Tuple.class)
                .setParameter("centre", who.centreId())
                .setParameter("text", Rows.anywhere(text))
                .setParameter("role", role == null ? null : role.name());
    }

    private static Person person(Tuple row) {
        Long seen = row.get("seen", Long.class);
        boolean disabled = row.get("disabled_at", Instant.class) != null;
        return new Person(
                row.get("id", UUID.class),
                row.get("full_name", String.class),
                row.get("sign_in_name", String.class),
                Role.valueOf(row.get("role", String.class)),
                disabled ? State.DISABLED : row.get("fresh", Boolean.class) ? State.INVITED : State.ACTIVE,
                row.get("edition", Integer.class),
                row.get("trainee_id", UUID.class),
                row.get("invited_until", Instant.class),
                seen == null ? null : Instant.ofEpochMilli(seen),
                row.get("factor", Boolean.class),
                row.get("held_back", Boolean.class));
    }

    /**
     * Invites somebody to be of this school; they choose their password themselves.
     *
     * @param id of the account, made by the client
     * @return the code, once; null if the call is a repeated one
     * @throws TurnedDown if a name is missing, no good or taken
     */
    @Transactional
    public Invitations.@Nullable InvitationCode invite(
            SignedIn who, UUID id, String fullName, String signInName, Role role) {
        if (role == Role.TRAINEE) {
            throw TurnedDown.badInput("/role", "unknown-value", "a trainee's account is made on their own page");
        }
        String name = requireFullName(fullName);
        String signIn = requireSignInName(signInName);
        turns.take(who.centreId());
        if (entities.find(Account.class, id) != null) {
            account(who, id);
            return null;
        }
        Account account = new Account(id, who.centreId(), signIn, name, role, null, clock.instant());
        account.holdBack(factors.holdsBack(account, role));
        return keep(who, account);
    }

    /**
     * Invites a trainee to have an account beside, or instead of, the key to their page; again if they have one already.
     *
     * @throws TurnedDown if the name is no good or taken
     */
    @Transactional
    public Invitations.InvitationCode inviteTrainee(
            SignedIn who, UUID key, UUID traineeId, String fullName, String signInName) {
        turns.take(traineeId);
        Account known = entities.createQuery("from Account where traineeId = :trainee", Account.class)
                .setParameter("trainee", traineeId)
                .getResultStream()
                .findFirst()
                .orElse(null);
        if (known != null) {
            return codeFor(who, key, known);
        }
        Account account = Account.ofTrainee(
                key, who.centreId(), requireSignInName(signInName), fullName, traineeId, clock.instant());
        return keep(who, account);
    }

    private Invitations.InvitationCode keep(SignedIn who, Account account) {
        account.prefer(entities.createQuery("select usualUnit from Centre where id = :id", LengthUnit.class)
                .setParameter("id", who.centreId())
                .getSingleResult());
        // Whatever school somebody else of that name is of.
        if (Boolean.TRUE.equals(entities.createNativeQuery("select is_name_taken(:name)", Boolean.class)
                .setParameter("name", account.signInName())
                .getSingleResult())) {
            throw TurnedDown.badInput(
                    "/signInName",
                    "name-taken",
                    "somebody signs in as " + account.signInName() + " already; choose another");
        }
        entities.persist(account);
        Invitations.InvitationCode code = invitations.make(who, UUID.randomUUID(), account);
        audit.added(
                who,
                subject(account),
                new Audit.Change("role", null, account.role().word()));
        return code;
    }

    /**
     * Makes another code, with which somebody takes their account up or chooses another password.
     *
     * @throws TurnedDown if there is nobody of this id at the school, or they are let in no more
     */
    @Transactional
    public Invitations.InvitationCode codeFor(SignedIn who, UUID id) {
        return codeFor(who, UUID.randomUUID(), account(who, id));
    }

    private Invitations.InvitationCode codeFor(SignedIn who, UUID key, Account account) {
        if (account.isDisabled()) {
            throw TurnedDown.conflict(
                    "disabled", account.fullName() + "'s account is disabled; let them in again first");
        }
        Invitations.InvitationCode code = invitations.make(who, key, account);
        audit.changed(
                who,
                subject(account),
                List.of(new Audit.Change("invitation", null, "until " + code.expiresAt())),
                null);
        return code;
    }

    /**
     * Changes what somebody is called and what they are.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if they were changed since, or are the last lead
     */
    @Transactional
    public void change(SignedIn who, UUID id, int seen, String fullName, Role role) {
        String name = requireFullName(fullName);
        turns.take(who.centreId());
        Account account = requireUnchanged(account(who, id), seen);
        if ((account.role() == Role.TRAINEE) != (role == Role.TRAINEE)) {
            throw TurnedDown.badInput(
                    "/role",
                    "unknown-value",
                    "a trainee's account stays one; invite the person anew as what they are now");
        }
        SignedIn before = account.signedIn();
        List<Audit.Change> changes = List.of(
                Audit.Change.of("name", account.fullName(), name),
                Audit.Change.of("role", account.role().word(), role.word()));
        account.rename(name);
        if (account.role() != role) {
            requireAnotherLead(account, role.word());
            account.become(role);
            account.holdBack(factors.holdsBack(account, role));
            sessions.rightsChanged(before);
        }
        audit.changed(who, subject(account), changes, null);
    }

    /**
     * Lets somebody in no more, at once, or again.
     *
     * @param seen the edition that whoever asks has seen
     * @param reason why; may be left out when they are let in again
     * @throws TurnedDown if they were changed since, or are the last lead
     */
    @Transactional
    public void disable(SignedIn who, UUID id, int seen, boolean disabled, String reason) {
        String why = reason.strip();
        if (why.length() > LONGEST_REASON || (disabled && why.isEmpty())) {
            throw TurnedDown.badInput("/reason", "missing", "say in 1 to " + LONGEST_REASON + " characters why");
        }
        turns.take(who.centreId());
        Account account = requireUnchanged(account(who, id), seen);
        if (account.isDisabled() == disabled) {
            return;
        }
        if (disabled) {
            requireAnotherLead(account, "disabled");
            sessions.rightsChanged(account.signedIn());
            invitations.withdraw(id);
        }
        account.disable(disabled ? clock.instant() : null);
        audit.changed(
                who,
                subject(account),
                List.of(new Audit.Change("may sign in", disabled ? "yes" : "no", disabled ? "no" : "yes")),
                why.isEmpty() ? null : why);
    }

    /**
     * The account of a school with this id.
     *
     * @throws TurnedDown if it has none
     */
    @Transactional(readOnly = true)
    public SignedIn person(SignedIn who, UUID id) {
        return account(who, id).signedIn();
    }

    /**
     * Chooses another password for whoever is signed in.
     *
     * @param hash of it
     * @return as they are signed in from now on; everywhere else they are so no more
     */
    @Transactional
    public SignedIn choosePassword(SignedIn who, String hash) {
        Account account = entities.find(Account.class, who.accountId());
        sessions.rightsChanged(account.signedIn());
        account.choosePassword(hash);
        entities.flush();
        audit.changed(who, subject(account), List.of(new Audit.Change("password", null, "another")), null);
        return account.signedIn();
    }

    private Account account(SignedIn who, UUID id) {
        Account account = entities.find(Account.class, id);
        if (account == null || !account.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("account");
        }
        return account;
    }

    /** Whoever decides by what is not so any more decides again. */
    private Account requireUnchanged(Account account, int seen) {
        if (account.edition() != seen) {
            throw TurnedDown.changedMeanwhile(account.fullName() + "'s account");
        }
        return account;
    }

    /** A school always has a lead who can sign in. */
    private void requireAnotherLead(Account account, String becomes) {
        if (account.role() != Role.LEAD || account.isDisabled() || account.isHeldBack()) {
            return;
        }
        boolean another = !entities.createQuery("""
                        select id from Account where centreId = :centre and role = :lead and disabledAt is null
                          and passwordHash is not null and heldBack = false and id <> :id""", UUID.class)
                .setParameter("centre", account.centreId())
                .setParameter("lead", Role.LEAD)
                .setParameter("id", account.id())
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
        if (!another) {
            throw TurnedDown.conflict(
                    "last-lead",
                    account.fullName() + " is the only lead who can sign in, and cannot become " + becomes
                            + "; make somebody else a lead first");
        }
    }

    private static String requireFullName(String fullName) {
        String name = fullName.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw TurnedDown.badInput("/fullName", "missing", "give a name of 1 to " + LONGEST_NAME + " characters");
        }
        return name;
    }

    private static String requireSignInName(String signInName) {
        String name = signInName.strip().toLowerCase(Locale.ROOT);
        if (!SIGN_IN_NAME.matcher(name).matches()) {
            throw TurnedDown.badInput(
                    "/signInName",
                    "bad-name",
                    "a name to sign in with has 1 to 40 letters a to z, figures, dots and dashes, such as runa.tolvane");
        }
        return name;
    }

    static Audit.Subject subject(Account account) {
        UUID about = account.traineeId() == null ? account.id() : account.traineeId();
        return new Audit.Subject(Audit.Kind.ACCOUNT, about, account.fullName());
    }
}
