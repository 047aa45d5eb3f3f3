package lobrik.server.attempt;

import java.util.UUID;
import lobrik.verdict.KnownBender;
import org.jspecify.annotations.Nullable;

/** Whoever knows from the records of a centre what its benders add by themselves. */
public interface BenderRecords {

    /**
     * What is known of a bender now; nothing where it is like the others, or cannot be compared.
     *
     * @param revisionId of it; null where it is of another school
     * @param label of it
     */
    KnownBender known(UUID centreId, @Nullable UUID revisionId, String label);
}
