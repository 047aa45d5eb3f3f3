package lobrik.server.account;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import lobrik.server.platform.Days;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.WireJson;
import org.hibernate.Session;
import org.hibernate.jpa.HibernateHints;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What {@link Audit} wrote down, looked through. */
@Service
public class AuditTrail {

    private static final int FETCHED = 500;
    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 9998;

    /** What is of no school: tries with names that nobody has. */
    private static final UUID NOBODYS = new UUID(0, 0);

    /**
     * An entry.
     *
     * @param entryNo in the order in which everything was written down, over all chains
     * @param number in its chain
     * @param ofSchool false if it is about nobody whom the school knows; those have a chain of their own
     * @param who their full name; null where nobody was signed in
     * @param about the name that was tried, what was taken out, or what was changed
     * @param subject what sort of thing was changed
     * @param blanked what it said is taken out, for it was about somebody who is erased
     */
    public record AuditEntry(
            long entryNo,
            long number,
            boolean ofSchool,
            Instant at,
            String what,
            @Nullable String who,
            String about,
            String address,
            @Nullable String subject,
            @Nullable UUID subjectId,
            List<Audit.Change> changes,
            @Nullable String reason,
            boolean blanked,
            String hash) {}

    /**
     * What is looked for.
     *
     * @param text somewhere in the name, the changes, the reason or who it was; everything if blank
     * @param what one of {@link Audit.What}, or all
     * @param subject one of {@link Audit.Kind}, or all
     * @param subjectId whose history, or everybody's
     * @param since the first day, in the school's zone, or from the beginning
     * @param until the last day, or until now
     */
    public record Wanted(
            @Nullable String text,
            @Nullable String what,
            @Nullable String subject,
            @Nullable UUID subjectId,
            @Nullable LocalDate since,
            @Nullable LocalDate until) {}

    private final EntityManager entities;

    AuditTrail(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * The newest entries of a school and of those that nobody is known of, the newest first.
     *
     * @param before only what was written down before this entry, for the next page
     */
    @Transactional(readOnly = true)
    public List<AuditEntry> newest(SignedIn who, Wanted wanted, @Nullable Long before, int most) {
        List<AuditEntry> found = new ArrayList<>();
        Query query = asked(who, wanted, before, "e.entry_no desc").setMaxResults(most);
        try (Stream<Tuple> rows = Rows.named(query)) {
            rows.map(AuditTrail::entry).forEach(found::add);
        }
        return found;
    }

    /** All of them, the oldest first. */
    @Transactional(readOnly = true)
    public void all(SignedIn who, Wanted wanted, Consumer<AuditEntry> each) {
        Query query = asked(who, wanted, null, "e.chain, e.chain_no").setHint(HibernateHints.HINT_FETCH_SIZE, FETCHED);
        try (Stream<Tuple> rows = Rows.named(query)) {
            rows.map(AuditTrail::entry).forEach(each);
        }
    }

    private Query asked(SignedIn who, Wanted wanted, @Nullable Long before, String order) {
        StringBuilder where = new StringBuilder("e.chain in (:school, :nobodys)");
        Map<String, Object> parameters = new HashMap<>();
        if (wanted.text() != null && !wanted.text().isBlank()) {
            where.append(
                    " and (e.about ilike :text or e.changes ilike :text or e.reason ilike :text or a.full_name ilike :text)");
            parameters.put("text", Rows.anywhere(wanted.text()));
        }
        if (wanted.what() != null) {
            where.append(" and e.what = :what");
            parameters.put("what", wanted.what());
        }
        if (wanted.subject() != null) {
            where.append(" and e.subject = :subject");
            parameters.put("subject", wanted.subject());
        }
        if (wanted.subjectId() != null) {
            where.append(" and e.subject_id = :subjectId");
            parameters.put("subjectId", wanted.subjectId());
        }
        if (wanted.since() != null) {
            where.append(" and e.at >= :since");
            parameters.put("since", Days.begin(day("/since", wanted.since())));
        }
        if (wanted.until() != null) {
            where.append(" and e.at < :until");
            parameters.put("until", Days.begin(day("/until", wanted.until()).plusDays(1)));
        }
        if (before != null) {
            where.append(" and e.entry_no < :before");
            parameters.put("before", before);
        }
        Query query = entities.createNativeQuery("""
                        select e.entry_no, e.chain, e.chain_no, e.at, e.what, a.full_name, e.about, e.address, e.subject, e.subject_id,
                          e.changes, e.reason, e.blanked, e.hash
                        from audit e left join account a on a.id = e.account_id
                        where %s order by %s""".formatted(where, order), Tuple.class)
                .setParameter("school", who.centreId())
                .setParameter("nobodys", NOBODYS);
        parameters.forEach(query::setParameter);
        return query;
    }

    /** Whether the chains of a school, and of what is of none, are whole. */
    @Transactional(readOnly = true)
    public List<AuditChain.ChainFound> check(SignedIn who) {
        return entities.unwrap(Session.class).doReturningWork(connection -> {
            List<AuditChain.ChainFound> found = new ArrayList<>(AuditChain.check(connection, who.centreId()));
            found.addAll(AuditChain.check(connection, NOBODYS));
            return found;
        });
    }

    /** Days of another age are no days of a school. */
    private static LocalDate day(String pointer, LocalDate given) {
        if (given.getYear() < FIRST_YEAR || given.getYear() > LAST_YEAR) {
            throw TurnedDown.badInput(
                    pointer, "out-of-range", "give a day from the year " + FIRST_YEAR + " to " + LAST_YEAR);
        }
        return given;
    }

    private static AuditEntry entry(Tuple row) {
        String changes = row.get("changes", String.class);
        return new AuditEntry(
                row.get("entry_no", Long.class),
                row.get("chain_no", Long.class),
                !row.get("chain", UUID.class).equals(NOBODYS),
                row.get("at", Instant.class),
                row.get("what", String.class),
                row.get("full_name", String.class),
                row.get("about", String.class),
                row.get("address", String.class),
                row.get("subject", String.class),
                row.get("subject_id", UUID.class),
                changes == null ? List.of() : List.of(WireJson.mapper().readValue(changes, Audit.Change[].class)),
                row.get("reason", String.class),
                row.get("blanked", Boolean.class),
                HexFormat.of().formatHex(row.get("hash", byte[].class)));
    }
}
