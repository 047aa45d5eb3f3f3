package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.random.RandomGenerator;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.giving.SheetCode;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keys to trainees' own pages: made by an instructor, ended by making a new one, by taking it back, or with the last day of the
 * cohort.
 */
@Service
class TraineeKeys {

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Turns turns;
    private final Audit audit;
    private final Clock clock;
    private final RandomGenerator codes;

    TraineeKeys(EntityManager entities, Cohorts cohorts, Turns turns, Audit audit, Clock clock, RandomGenerator codes) {
        this.audit = audit;
        this.entities = entities;
        this.cohorts = cohorts;
        this.turns = turns;
        this.clock = clock;
        this.codes = codes;
    }

    /** The code that opens a trainee's own page, where there is one. */
    @Transactional(readOnly = true)
    Optional<String> of(UUID traineeId) {
        return current(traineeId).map(TraineeKey::code);
    }

    private Optional<TraineeKey> current(UUID traineeId) {
        return entities.createQuery("from TraineeKey where traineeId = :trainee and endedAt is null", TraineeKey.class)
                .setParameter("trainee", traineeId)
                .getResultStream()
                .findFirst();
    }

    /** Makes a new key; the old one opens nothing any more. */
    @Transactional
    public void make(SignedIn who, UUID traineeId, UUID id) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        turns.take(traineeId);
        if (entities.find(TraineeKey.class, id) != null) {
            return;
        }
        current(traineeId).ifPresent(key -> key.end(clock.instant()));
        entities.flush();
        entities.persist(new TraineeKey(id, traineeId, SheetCode.next(codes), who.accountId(), clock.instant()));
        audit.changed(who, subject(trainee), List.of(new Audit.Change("key", null, "made")), null);
    }

    /** Ends the key. */
    @Transactional
    public void end(SignedIn who, UUID traineeId) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        turns.take(traineeId);
        current(traineeId).ifPresent(key -> {
            key.end(clock.instant());
            audit.changed(who, subject(trainee), List.of(new Audit.Change("key", "made", "taken back")), null);
        });
    }

    private static Audit.Subject subject(Trainee trainee) {
        return new Audit.Subject(Audit.Kind.TRAINEE, trainee.id(), trainee.fullName());
    }

    /**
     * Whose key this is.
     *
     * @throws TurnedDown if it opens nothing
     */
    @Transactional(readOnly = true)
    Trainee holder(String typed) {
        return SheetCode.read(typed)
                .flatMap(code -> entities.createQuery(
                                "from TraineeKey where code = :code and endedAt is null", TraineeKey.class)
                        .setParameter("code", code)
                        .getResultStream()
                        .findFirst())
                .map(key -> entities.find(Trainee.class, key.traineeId()))
                .filter(trainee -> !trainee.hasLeft() && !cohorts.isOver(trainee.cohortId()))
                .orElseThrow(() -> TurnedDown.notFound("page"));
    }
}
