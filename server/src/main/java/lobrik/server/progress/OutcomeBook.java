package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.attempt.AttemptFollower;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Attempts.Measured;
import lobrik.server.cohort.Trainee;
import lobrik.server.judging.Judging;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps what each finished piece came to, in step with what is written down of it. The rows are no record of their own: when the
 * rules that make them change, {@link #REVISION} does, and {@link #catchUp} works all of them out anew.
 */
@Service
public class OutcomeBook implements AttemptFollower {

    /** Of the rules by which rows are made; one more whenever the core would make another row of the same readings. */
    static final int REVISION = 1;

    private static final Logger LOG = LoggerFactory.getLogger(OutcomeBook.class);
    private static final int PAGE = 100;

    /** How far catching up is. */
    public record CatchingUp(long done, long all) {}

    private final EntityManager entities;
    private final Attempts attempts;
    private final TransactionTemplate transaction;
    private volatile @Nullable CatchingUp catchingUp;

    OutcomeBook(EntityManager entities, Attempts attempts, TransactionTemplate transaction) {
        this.entities = entities;
        this.attempts = attempts;
        this.transaction = transaction;
    }

    @Override
    @Transactional
    public void written(Measured now) {
        Trainee trainee = entities.find(Trainee.class, now.attempt().traineeId());
        keep(now, trainee.cohortId());
    }

    private void keep(Measured measured, UUID cohortId) {
        keep(measured, row(measured, cohortId));
    }

    private void keep(Measured measured, Optional<OutcomeRow> row) {
        if (row.isPresent()) {
            entities.merge(row.get());
            return;
        }
        // Finished once and open again: two readings that somebody has to decide between.
        OutcomeRow known = entities.find(OutcomeRow.class, measured.attempt().id());
        if (known != null) {
            entities.remove(known);
        }
    }

    /** What a piece comes to; empty while it is not finished. */
    static Optional<OutcomeRow> row(Measured measured, UUID cohortId) {
        return measured.verdict()
                .score()
                .map(score -> new OutcomeRow(measured, cohortId, score, Judging.namedCause(measured)));
    }

    /** What is left to do before progress shows every piece; empty when nothing is. */
    Optional<CatchingUp> catchingUp() {
        return Optional.ofNullable(catchingUp);
    }

    /** How many attempts {@link #catchUp} would go through; none if the rows are by the rules in force. */
    long behind() {
        Integer revision = (Integer) entities.createNativeQuery("select revision from outcome_state", Integer.class)
                .getSingleResult();
        return revision == REVISION
                ? 0
                : entities.createQuery("select count(*) from Attempt", Long.class)
                        .getSingleResult();
    }

    /** Works out every row anew, page by page; what is written down meanwhile is kept in step as always. */
    void catchUp(long all) {
        UUID after = null;
        long done = 0;
        catchingUp = new CatchingUp(0, all);
        List<UUID> page;
        do {
            UUID from = after;
            page = transaction.execute(status -> catchUpPage(from));
            if (page != null && !page.isEmpty()) {
                after = page.getLast();
                done += page.size();
                catchingUp = new CatchingUp(done, all);
            }
        } while (page != null && !page.isEmpty());
        transaction.executeWithoutResult(
                status -> entities.createNativeQuery("update outcome_state set revision = :revision")
                        .setParameter("revision", REVISION)
                        .executeUpdate());
        catchingUp = null;
        LOG.info("Worked out what {} attempts came to", done);
    }

    /** Works out what the attempts of one cohort came to, for a record that was written past the screens. */
    public void catchUpWith(UUID cohortId) {
        List<UUID> trainees = entities.createQuery("select id from Trainee where cohortId = :cohort", UUID.class)
                .setParameter("cohort", cohortId)
                .getResultList();
        for (UUID trainee : trainees) {
            transaction.executeWithoutResult(status -> keepAll(attempts.of(List.of(trainee)), measured -> cohortId));
        }
    }

    private List<UUID> catchUpPage(@Nullable UUID after) {
        List<Measured> page = attempts.page(after, PAGE);
        Map<UUID, Trainee> trainees = entities.createQuery("from Trainee where id in :ids", Trainee.class)
                .setParameter(
                        "ids",
                        page.stream()
                                .map(measured -> measured.attempt().traineeId())
                                .collect(Collectors.toSet()))
                .getResultStream()
                .collect(Collectors.toMap(Trainee::id, Function.identity()));
        keepAll(
                page,
                measured -> Objects.requireNonNull(
                                trainees.get(measured.attempt().traineeId()))
                        .cohortId());
        return page.stream().map(measured -> measured.attempt().id()).toList();
    }

    /** Works many out beside each other: most of the time goes into their diagnoses. */
    private void keepAll(List<Measured> all, Function<Measured, UUID> cohort) {
        List<Optional<OutcomeRow>> rows = all.parallelStream()
                .map(measured -> row(measured, cohort.apply(measured)))
                .toList();
        for (int i = 0; i < all.size(); i++) {
            keep(all.get(i), rows.get(i));
        }
    }
}
