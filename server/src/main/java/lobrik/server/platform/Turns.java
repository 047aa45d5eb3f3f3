package lobrik.server.platform;

import jakarta.persistence.EntityManager;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Makes transactions about one thing go one after the other, so that "is it there already?" and "then add it" cannot be
 * torn apart. Uses the database's advisory locks: they need no right to change a row, and end with the transaction.
 */
@Component
public class Turns {

    private final EntityManager entities;

    Turns(EntityManager entities) {
        this.entities = entities;
    }

    /** What the database knows a turn by. */
    public static long key(UUID about) {
        return about.getMostSignificantBits() ^ about.getLeastSignificantBits();
    }

    /** Waits until no other transaction has its turn with this id, and keeps the turn until this one ends. */
    public void take(UUID about) {
        entities.createNativeQuery("select cast(pg_advisory_xact_lock(:key) as text)", String.class)
                .setParameter("key", key(about))
                .getSingleResult();
    }
}
