package lobrik.server.job;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/** Writes down a job whose pieces were given out: for a school that is made up. */
public final class JobRecords {

    private JobRecords() {}

    /**
     * Keeps a job, cut by the usual rules.
     *
     * @param exercise of the whole run
     * @param givings of its pieces, by their numbers
     */
    public static void keep(
            EntityManager entities,
            UUID id,
            UUID centre,
            UUID exercise,
            UUID givenBy,
            Instant givenAt,
            Map<Integer, UUID> givings) {
        entities.persist(new RunJob(id, centre, exercise, JobRules.USUAL, givenBy, givenAt));
        givings.forEach((number, giving) -> entities.persist(new RunJobPiece(id, number, giving)));
    }
}
