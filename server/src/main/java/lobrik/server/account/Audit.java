package lobrik.server.account;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.platform.WireJson;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Writes down who came in, who tried, what was taken out, and every change of people, rights, benders, rules and records. Entries
 * are never changed, and each holds the hash of the one before: the database sees to both (migration V27), and
 * {@link AuditChain} checks it.
 */
@Service
public class Audit {

    private static final int LONGEST_ABOUT = 200;
    private static final int LONGEST_ADDRESS = 60;

    /** What there is to note. */
    public enum What {
        SIGNED_IN("signedIn"),
        SIGN_IN_FAILED("signInFailed"),
        SIGN_IN_HELD_UP("signInHeldUp"),
        SIGNED_OUT("signedOut"),
        EXPORT("export"),
        ADDED("added"),
        CHANGED("changed"),
        ENDED("ended"),
        ERASED("erased");

        private final String word;

        What(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** What an entry can be about. */
    public enum Kind {
        ACCOUNT("account"),
        SCHOOL("school"),
        COHORT("cohort"),
        TRAINEE("trainee"),
        BENDER("bender"),
        CONDUIT("conduit"),
        TOLERANCES("tolerances"),
        RULE("rule"),
        CURRICULUM("curriculum"),
        RUN_RULES("runRules"),
        SIGNATURE("signature"),
        READING("reading"),
        GIVING("giving"),
        ROOM("room"),
        HOLIDAY("holiday"),
        SESSION("session"),
        ROTA("rota"),
        STUDY("study");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /**
     * What an entry is about.
     *
     * @param id whose history it belongs to: of what is about a trainee, theirs, so that it goes when they are erased
     * @param name in words
     */
    public record Subject(Kind kind, UUID id, String name) {}

    /** What became of one part of it; from or to is null where it was not, or is not. */
    public record Change(
            String what, @Nullable String from, @Nullable String to) {

        /** A change of something that may be missing, as its text. */
        public static Change of(String what, @Nullable Object from, @Nullable Object to) {
            return new Change(what, from == null ? null : from.toString(), to == null ? null : to.toString());
        }

        boolean changesAnything() {
            return !Objects.equals(from, to);
        }
    }

    private final EntityManager entities;
    private final Clock clock;

    Audit(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Notes something by itself, whatever becomes of the rest of the request; never within a transaction that notes a change.
     *
     * @param centreId null where nobody knows whose school it is
     * @param accountId null where nobody is signed in
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void note(What what, @Nullable UUID centreId, @Nullable UUID accountId, String about, String address) {
        write(what, centreId, accountId, new Written(about, address, null, null, null, null));
    }

    /** Notes a file that was taken out. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void export(SignedIn who, String about, String address) {
        write(What.EXPORT, who.centreId(), who.accountId(), new Written(about, address, null, null, null, null));
    }

    /** Notes that something new is there, with the change that made it. */
    public void added(SignedIn who, Subject subject, Change... with) {
        change(who, What.ADDED, subject, List.of(with), null);
    }

    /** Notes that something was ended, put away or taken back, with the change that did it. */
    public void ended(SignedIn who, Subject subject, @Nullable String reason) {
        change(who, What.ENDED, subject, List.of(), reason);
    }

    /**
     * Notes a change together with it: both are there, or neither. It is the last thing that a transaction does, for it waits for
     * others that note something of the same school, and they then for it. Where nothing changed nothing is noted.
     */
    public void changed(SignedIn who, Subject subject, List<Change> changes, @Nullable String reason) {
        List<Change> real = changes.stream().filter(Change::changesAnything).toList();
        if (!real.isEmpty()) {
            change(who, What.CHANGED, subject, real, reason);
        }
    }

    private void change(SignedIn who, What what, Subject subject, List<Change> changes, @Nullable String reason) {
        entities.flush();
        write(
                what,
                who.centreId(),
                who.accountId(),
                new Written(
                        subject.name(),
                        address(),
                        subject.kind().word(),
                        subject.id(),
                        changes.isEmpty() ? null : WireJson.mapper().writeValueAsString(changes),
                        reason));
    }

    private record Written(
            String about,
            String address,
            @Nullable String subject,
            @Nullable UUID subjectId,
            @Nullable String changes,
            @Nullable String reason) {}

    private void write(What what, @Nullable UUID centreId, @Nullable UUID accountId, Written written) {
        entities.createNativeQuery("""
                        insert into audit (id, at, centre_id, account_id, what, about, address, subject, subject_id, changes, reason)
                        values (:id, :at, cast(:centre as uuid), cast(:account as uuid), :what, :about, :address, :subject,
                          cast(:subjectId as uuid), :changes, :reason)""")
                .setParameter("id", UUID.randomUUID())
                .setParameter("at", clock.instant())
                .setParameter("centre", text(centreId))
                .setParameter("account", text(accountId))
                .setParameter("what", what.word())
                .setParameter("about", cut(written.about(), LONGEST_ABOUT))
                .setParameter("address", cut(written.address(), LONGEST_ADDRESS))
                .setParameter("subject", written.subject())
                .setParameter("subjectId", text(written.subjectId()))
                .setParameter("changes", written.changes())
                .setParameter("reason", written.reason())
                .executeUpdate();
    }

    private static @Nullable String text(@Nullable UUID id) {
        return id == null ? null : id.toString();
    }

    /** Of the device that asked, where something asked. */
    private static String address() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? request.getRequest().getRemoteAddr()
                : "";
    }

    /** No character is cut in half. */
    private static String cut(String text, int longest) {
        if (text.length() <= longest) {
            return text;
        }
        int end = Character.isHighSurrogate(text.charAt(longest - 1)) ? longest - 1 : longest;
        return text.substring(0, end);
    }
}
