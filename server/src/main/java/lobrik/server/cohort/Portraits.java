package lobrik.server.cohort;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Photographs of trainees, of those who like one to be kept, for whoever does not know them yet. */
@Service
class Portraits {

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    Portraits(EntityManager entities, Cohorts cohorts, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * Somebody's photograph, a JPEG.
     *
     * @throws TurnedDown if there is none, or no such trainee for the one who asks
     */
    @Transactional(readOnly = true)
    byte[] of(SignedIn who, UUID traineeId) {
        Portrait portrait =
                entities.find(Portrait.class, cohorts.trainee(who, traineeId).id());
        if (portrait == null) {
            throw TurnedDown.notFound("photograph");
        }
        return portrait.content();
    }

    /** Turns away whoever sends a photograph of nobody, before it is worked on. */
    @Transactional(readOnly = true)
    void requireSeen(SignedIn who, UUID traineeId) {
        cohorts.trainee(who, traineeId);
    }

    /**
     * Keeps a photograph in place of the one before.
     *
     * @throws TurnedDown if there is no such trainee for the one who asks
     */
    @Transactional
    void keep(SignedIn who, UUID traineeId, byte[] jpeg) {
        Trainee trainee = inTurn(who, traineeId);
        Portrait before = entities.find(Portrait.class, traineeId);
        if (before == null) {
            entities.persist(new Portrait(traineeId, jpeg));
        } else {
            before.become(jpeg);
        }
        trainee.portrayed(clock.instant().truncatedTo(ChronoUnit.MILLIS));
        note(who, trainee, before == null ? "none" : "a photograph", before == null ? "a photograph" : "another");
    }

    /**
     * Takes a photograph away; nothing happens where there is none.
     *
     * @throws TurnedDown if there is no such trainee for the one who asks
     */
    @Transactional
    void takeAway(SignedIn who, UUID traineeId) {
        Trainee trainee = inTurn(who, traineeId);
        Portrait before = entities.find(Portrait.class, traineeId);
        if (before == null) {
            return;
        }
        entities.remove(before);
        trainee.portrayed(null);
        note(who, trainee, "a photograph", "none");
    }

    private Trainee inTurn(SignedIn who, UUID traineeId) {
        turns.take(who.centreId());
        return cohorts.trainee(who, traineeId);
    }

    private void note(SignedIn who, Trainee trainee, String from, String to) {
        audit.changed(who, Enrolments.subject(trainee), List.of(new Audit.Change("photograph", from, to)), null);
    }
}
