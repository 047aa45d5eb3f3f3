package lobrik.server.account;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whoever brings a school in goes on as one of its leads. The school that they led until then was empty, and is so for ever. */
@Service
public class Succession {

    private final EntityManager entities;
    private final Sessions sessions;
    private final Audit audit;
    private final Clock clock;

    Succession(EntityManager entities, Sessions sessions, Audit audit, Clock clock) {
        this.entities = entities;
        this.sessions = sessions;
        this.audit = audit;
        this.clock = clock;
    }

    /** Leaves one's sign-in name to whoever comes with the school: the first lead of every school is called alike. */
    @Transactional
    public void makeRoom(SignedIn who) {
        Account before = entities.find(Account.class, who.accountId());
        before.leaveName();
        entities.flush();
    }

    /**
     * Goes on as a lead of the school that was brought in, with the password that one has.
     *
     * @throws TurnedDown if there is no such lead
     */
    @Transactional
    public SignedIn goOnAs(SignedIn who, UUID school, UUID lead) {
        Account before = entities.find(Account.class, who.accountId());
        Account now = entities.find(Account.class, lead);
        String hash = before.passwordHash();
        if (now == null
                || !now.centreId().equals(school)
                || now.role() != Role.LEAD
                || now.isDisabled()
                || hash == null) {
            throw TurnedDown.badInput("/as", "unknown-value", "choose one of the leads in the file to go on as");
        }
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "School"),
                List.of(Audit.Change.of("replaced by", null, school)),
                null);
        sessions.rightsChanged(before.signedIn());
        before.disable(clock.instant());
        // Nothing else of the account changes, so that it goes out again as it came in.
        entities.createQuery("update Account set passwordHash = :hash where id = :id")
                .setParameter("hash", hash)
                .setParameter("id", lead)
                .executeUpdate();
        entities.createQuery("update Centre set replacedBy = :school where id = :id")
                .setParameter("school", school)
                .setParameter("id", who.centreId())
                .executeUpdate();
        entities.flush();
        return now.signedIn();
    }
}
