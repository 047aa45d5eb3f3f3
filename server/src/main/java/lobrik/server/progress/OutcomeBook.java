package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.assessment.Assessment;
import lobrik.server.attempt.AttemptFollower;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Measured;
import lobrik.server.cohort.Enrolments;
import lobrik.server.cohort.Enrolments.Membership;
import lobrik.server.judging.Judging;
import lobrik.server.platform.Rows;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps what each finished piece came to, in step with what is written down of it. The rows are no record of their own: when the
 * rules that make them change, {@link #REVISION} does, and {@link #catchUp} works all of them out anew.
 */
@Service
public class OutcomeBook implements AttemptFollower {

    /** Of the rules by which rows are made; one more whenever the core would make another row of the same readings. */
    static final int REVISION = 4;

    private static final Logger LOG = LoggerFactory.getLogger(OutcomeBook.class);
    private static final int PAGE = 50;

    /** How far catching up is. */
    public record CatchingUp(long done, long all) {}

    private final EntityManager entities;
    private final Attempts attempts;
    private final Enrolments enrolments;
    private final TransactionTemplate transaction;
    private final Turns turns;

    OutcomeBook(
            EntityManager entities,
            Attempts attempts,
            Enrolments enrolments,
            Turns turns,
            TransactionTemplate transaction) {
        this.enrolments = enrolments;
        this.entities = entities;
        this.attempts = attempts;
        this.turns = turns;
        this.transaction = transaction;
    }

    @Override
    public void written(Measured now) {
        UUID trainee = now.attempt().traineeId();
        keep(now, cohortOf(now, enrolments.memberships(List.of(trainee))));
    }

    /** The cohort that somebody was in when they began a piece, wherever they are now. */
    private static UUID cohortOf(Measured measured, Map<UUID, List<Membership>> memberships) {
        return Membership.at(
                Objects.requireNonNull(memberships.get(measured.attempt().traineeId())),
                measured.attempt().startedAt());
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

    /** What a piece comes to; empty while it is not finished, and where nothing was read that could say. */
    static Optional<OutcomeRow> row(Measured measured, UUID cohortId) {
        Assessment settled = measured.settled();
        return settled.score()
                .filter(_ -> settled.marksheet().isPresent())
                .map(score -> new OutcomeRow(measured, cohortId, score, Judging.namedCause(measured)));
    }

    /** What is left to do before progress shows every piece, whatever server does it; empty when nothing is. */
    Optional<CatchingUp> catchingUp() {
        return Rows.listed(entities.createNativeQuery(
                        "select done, of_all from outcome_state where of_all is not null", Tuple.class))
                .stream()
                .map(row -> new CatchingUp(row.get("done", Long.class), row.get("of_all", Long.class)))
                .findFirst();
    }

    private void tellHowFar(@Nullable Long done, @Nullable Long all) {
        transaction.executeWithoutResult(_ -> entities.createNativeQuery(
                        "update outcome_state set done = cast(:done as bigint), of_all = cast(:all as bigint)")
                .setParameter("done", done)
                .setParameter("all", all)
                .executeUpdate());
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

    /**
     * How many pieces could not be worked out; the log names them, and says why. They stand as they were, on the list of what follows from
     * what was written down, and are tried again now and then.
     */
    long leftOut() {
        return attempts.notFollowed();
    }

    /**
     * Works out every row anew, page by page; what is written down meanwhile is kept in step as always. A record that cannot be
     * worked out holds up no other.
     */
    void catchUp(long all) {
        long done = 0;
        long leftOut = 0;
        tellHowFar(0L, all);
        try {
            for (List<UUID> page = attempts.page(null, PAGE);
                    !page.isEmpty();
                    page = attempts.page(page.getLast(), PAGE)) {
                leftOut += catchUpPage(page);
                done += page.size();
                tellHowFar(done, all);
            }
            transaction.executeWithoutResult(status -> entities.createNativeQuery(
                            "update outcome_state set revision = :revision, done = null, of_all = null")
                    .setParameter("revision", REVISION)
                    .executeUpdate());
            LOG.info("Worked out what {} attempts came to", done - leftOut);
        } catch (RuntimeException e) {
            LOG.error("Working out what attempts came to ended after {} of {}; the next start goes on", done, all, e);
        } finally {
            forgetHowFar();
        }
    }

    private void forgetHowFar() {
        try {
            tellHowFar(null, null);
        } catch (RuntimeException away) {
            LOG.warn("That nothing is caught up with any more cannot be told", away);
        }
    }

    /** All at once; where that fails, one by one. Tells how many could not be. */
    private long catchUpPage(List<UUID> page) {
        try {
            transaction.executeWithoutResult(status -> catchUpWith(page));
            return 0;
        } catch (RuntimeException somebody) {
            return page.stream().filter(id -> !isCaughtUpWith(id)).count();
        }
    }

    private boolean isCaughtUpWith(UUID id) {
        try {
            transaction.executeWithoutResult(status -> catchUpWith(List.of(id)));
            return true;
        } catch (RuntimeException e) {
            LOG.warn("What attempt {} came to could not be worked out; it stands as it was", id, e);
            transaction.executeWithoutResult(status -> attempts.failedToFollow(id));
            return false;
        }
    }

    private void catchUpWith(List<UUID> ids) {
        // Whoever writes has the turn until that is on disk: nothing newer can be written over.
        ids.forEach(turns::take);
        List<Measured> all = attempts.all(ids);
        Map<UUID, List<Membership>> memberships = enrolments.memberships(
                all.stream().map(measured -> measured.attempt().traineeId()).collect(Collectors.toSet()));
        keepAll(all, measured -> cohortOf(measured, memberships));
        // Each follows from what was written down before: there is nobody else who derives anything from it.
        attempts.followed(ids);
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
