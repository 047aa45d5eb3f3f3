package lobrik.server.account;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.platform.Rows;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Who came in, who tried, and what was taken out. Entries are never changed. */
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
        EXPORT("export");

        private final String word;

        What(String word) {
            this.word = word;
        }

        String word() {
            return word;
        }
    }

    /**
     * An entry.
     *
     * @param who their full name; null where nobody was signed in
     * @param about the name that was tried, or what was taken out
     * @param address of the device
     */
    public record Entry(Instant at, String what, @Nullable String who, String about, String address) {}

    private final EntityManager entities;
    private final Clock clock;

    Audit(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** Notes something by itself, whatever becomes of the rest of the request. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void note(What what, @Nullable UUID accountId, String about, String address) {
        entities.createNativeQuery("""
                        insert into audit (id, at, account_id, what, about, address)
                        values (:id, :at, cast(:account as uuid), :what, :about, :address)""")
                .setParameter("id", UUID.randomUUID())
                .setParameter("at", clock.instant())
                .setParameter("account", accountId == null ? null : accountId.toString())
                .setParameter("what", what.word())
                .setParameter("about", cut(about, LONGEST_ABOUT))
                .setParameter("address", cut(address, LONGEST_ADDRESS))
                .executeUpdate();
    }

    /** No character is cut in half. */
    private static String cut(String text, int longest) {
        if (text.length() <= longest) {
            return text;
        }
        int end = Character.isHighSurrogate(text.charAt(longest - 1)) ? longest - 1 : longest;
        return text.substring(0, end);
    }

    /** The newest entries of a centre and of those that nobody is known of, the newest first. */
    @Transactional(readOnly = true)
    public List<Entry> newest(SignedIn who, int most) {
        Query query = entities.createNativeQuery("""
                        select e.at, e.what, a.full_name, e.about, e.address
                        from audit e left join account a on a.id = e.account_id
                        where e.account_id is null or a.centre_id = :centre
                        order by e.entry_no desc limit :most""", Tuple.class)
                .setParameter("centre", who.centreId())
                .setParameter("most", most);
        try (Stream<Tuple> rows = Rows.named(query)) {
            return rows.map(row -> new Entry(
                            row.get("at", Instant.class),
                            row.get("what", String.class),
                            row.get("full_name", String.class),
                            row.get("about", String.class),
                            row.get("address", String.class)))
                    .toList();
        }
    }
}
