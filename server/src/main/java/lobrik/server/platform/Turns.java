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

    /**
     * The same of a column, for questions that take a turn with what they ask for. It names no parameter: what is asked for would
     * be translated anew each time if it hung on one.
     */
    public static final String TURN = "cast(function('pg_advisory_xact_lock',"
            + " function('hashtextextended', cast(%s as String), 0L)) as String)";

    private final EntityManager entities;

    Turns(EntityManager entities) {
        this.entities = entities;
    }

    /** Waits until no other transaction has its turn with this id, and keeps the turn until this one ends. */
    public void take(UUID about) {
        entities.createNativeQuery(
                        "select cast(pg_advisory_xact_lock(hashtextextended(cast(:about as text), 0)) as text)",
                        String.class)
                .setParameter("about", about)
                .getSingleResult();
    }
}
