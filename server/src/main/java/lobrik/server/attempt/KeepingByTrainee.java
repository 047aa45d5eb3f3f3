package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.UUID;
import lobrik.measure.LengthUnit;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what a trainee says of the piece in hand, from a phone, without an account. */
@Service
public class KeepingByTrainee {

    private final EntityManager entities;
    private final Turns turns;
    private final Live live;
    private final FollowUps followUps;
    private final Clock clock;

    KeepingByTrainee(EntityManager entities, Turns turns, Live live, FollowUps followUps, Clock clock) {
        this.entities = entities;
        this.turns = turns;
        this.live = live;
        this.followUps = followUps;
        this.clock = clock;
    }

    /** Notes what a trainee's phone says of the trainee's own attempt. */
    @Transactional
    public void step(Measured measured, UUID cohortId, UUID key, BenchStep step) {
        UUID attemptId = measured.attempt().id();
        turns.take(attemptId);
        if (entities.find(StepRow.class, key) == null) {
            entities.persist(new StepRow(key, attemptId, step, null, clock.instant()));
            live.changed(cohortId, measured.attempt().traineeId(), attemptId);
        }
    }

    /** Whether a fact was kept under this key: a phone that heard no answer sends it again. */
    @Transactional(readOnly = true)
    public boolean has(UUID key) {
        return entities.find(FactRow.class, key) != null;
    }

    /**
     * Keeps the trainee's own figures, once: the answer is shown after them.
     *
     * @throws TurnedDown if there are figures already, or if they fit no mark
     */
    @Transactional
    public void figures(Measured measured, UUID cohortId, UUID key, Fact.Figures sent, LengthUnit bare) {
        Fact.Figures figures = FactInput.figures(sent, bare, measured);
        UUID attemptId = measured.attempt().id();
        turns.take(attemptId);
        if (entities.find(FactRow.class, key) != null) {
            return;
        }
        if (measured.ledger().newest("figures").isPresent()) {
            throw TurnedDown.conflict("figures-given", "Your figures are in already; your instructor can correct them");
        }
        FactInput.requireSensible(figures, measured.question(), measured.ledger());
        entities.persist(FactRow.by(null, key, attemptId, figures, clock.instant()));
        entities.flush();
        live.changed(cohortId, measured.attempt().traineeId(), attemptId);
        followUps.note(attemptId);
    }

    /**
     * Keeps what the trainee found when looking the piece over; what is found later counts instead.
     *
     * @throws TurnedDown if a point is none that is looked over
     */
    @Transactional
    public void look(Measured measured, UUID cohortId, UUID key, Fact.OwnLook look) {
        UUID attemptId = measured.attempt().id();
        turns.take(attemptId);
        if (entities.find(FactRow.class, key) != null) {
            return;
        }
        FactInput.requireSensible(look, measured.question(), measured.ledger());
        entities.persist(FactRow.by(null, key, attemptId, look, clock.instant()));
        entities.flush();
        live.changed(cohortId, measured.attempt().traineeId(), attemptId);
        followUps.note(attemptId);
    }
}
