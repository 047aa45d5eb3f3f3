package lobrik.server.attempt;

import java.util.UUID;
import lobrik.verdict.KnownBender;

/** Whoever knows from the records of a centre what its benders add by themselves. */
public interface BenderRecords {

    /** What is known of a bender now; nothing where it is like the others, or cannot be compared. */
    KnownBender known(UUID centreId, String benderLabel);
}
