package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.feature.FeatureId;
import lobrik.measure.LengthUnit;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts.Measured;
import lobrik.server.cohort.Cohorts;
import lobrik.server.giving.Assignment;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.verdict.InspectionPoint;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down what is found on a piece. When a call returns, it is on disk. Every row has an id that the client made, so a
 * repeated request adds nothing; nothing is ever changed or taken away, and nobody writes over anybody.
 */
@Service
public class Keeping {

    private static final Logger LOG = LoggerFactory.getLogger(Keeping.class);

    private final EntityManager entities;
    private final Attempts attempts;
    private final Cohorts cohorts;
    private final Turns turns;
    private final Live live;
    private final List<AttemptFollower> followers;
    private final Clock clock;

    Keeping(
            EntityManager entities,
            Attempts attempts,
            Cohorts cohorts,
            Turns turns,
            Live live,
            List<AttemptFollower> followers,
            Clock clock) {
        this.entities = entities;
        this.attempts = attempts;
        this.cohorts = cohorts;
        this.turns = turns;
        this.live = live;
        this.followers = followers;
        this.clock = clock;
    }

    /** When something was written down on a device, as far as that can be true. */
    @Transactional(readOnly = true)
    DeviceTime time(SignedIn who, UUID attemptId, DeviceTime.Said device) {
        Attempt attempt = attempts.require(who, attemptId);
        Assignment given = entities.find(Assignment.class, attempt.assignmentId());
        return DeviceTime.of(device, given.givenAt(), clock.instant());
    }

    /**
     * Keeps a reading. One of a feature that somebody else read meanwhile is kept beside it, and the feature is disputed.
     *
     * @throws TurnedDown if the feature is not measured on this piece, if there is nothing to correct, if the attempt is
     *     verified, or if the id was used for something else
     */
    @Transactional
    public Measured keep(SignedIn who, ReadingRow row) {
        Measured before = take(who, row.attemptId());
        ReadingRow same = entities.find(ReadingRow.class, row.id());
        if (same != null) {
            requireSame(same.saysTheSameAs(row));
            return before;
        }
        requireOpen(before);
        requireMeasurable(before.verdict(), row.feature());
        requireKnown(
                row.corrects(),
                before.ledger().readings().stream()
                        .filter(known -> known.feature().equals(row.feature())));
        entities.persist(row);
        return after(who, before);
    }

    /** Keeps a fact, as {@link #keep} keeps a reading. */
    @Transactional
    public Measured keep(SignedIn who, FactRow row) {
        Measured before = take(who, row.attemptId());
        FactRow same = entities.find(FactRow.class, row.id());
        if (same != null) {
            requireSame(same.saysTheSameAs(row));
            return before;
        }
        requireOpen(before);
        requireSensible(row.said(), before);
        requireKnown(
                row.corrects(),
                before.ledger().facts().stream()
                        .filter(known ->
                                known.kind().equals(row.kind()) && known.about().equals(row.about())));
        entities.persist(row);
        return after(who, before);
    }

    /** Keeps a photo that was made small already. */
    @Transactional
    Measured keep(SignedIn who, Photo photo) {
        Measured before = take(who, photo.attemptId());
        Photo same = entities.find(Photo.class, photo.caption().id());
        if (same != null) {
            requireSame(
                    same.attemptId().equals(photo.attemptId()) && same.digest().equals(photo.digest()));
            return before;
        }
        requireOpen(before);
        entities.persist(photo);
        return after(who, before);
    }

    /** The photo with this id. */
    @Transactional(readOnly = true)
    Photo photo(SignedIn who, UUID attemptId, UUID id) {
        attempts.require(who, attemptId);
        Photo photo = entities.find(Photo.class, id);
        if (photo == null || !photo.attemptId().equals(attemptId)) {
            throw TurnedDown.notFound("photo");
        }
        return photo;
    }

    /**
     * Says that a reading, a fact or a photo does not count. Of a disputed feature one reading always stays.
     *
     * @throws TurnedDown if there is no such row, or if it is the only reading of its feature
     */
    @Transactional
    public Measured setAside(SignedIn who, UUID attemptId, UUID recordId, String reason) {
        Measured before = take(who, attemptId);
        if (before.ledger().asideIds().contains(recordId)) {
            return before;
        }
        requireOpen(before);
        Ledger ledger = before.ledger();
        boolean known = Stream.of(
                        ledger.readings().stream().map(ReadingRow::id),
                        ledger.facts().stream().map(FactRow::id),
                        ledger.photos().stream().map(Photo.Caption::id))
                .flatMap(ids -> ids)
                .anyMatch(recordId::equals);
        if (!known) {
            throw TurnedDown.notFound("reading, fact or photo");
        }
        requireAnotherStands(ledger, recordId);
        entities.persist(new SetAside(recordId, attemptId, who.accountId(), clock.instant(), reason));
        return after(who, before);
    }

    private static void requireAnotherStands(Ledger ledger, UUID recordId) {
        for (ReadingRow row : ledger.readings()) {
            if (row.id().equals(recordId)
                    && Standing.of(
                                    ledger.readings().stream()
                                            .filter(other -> other.feature().equals(row.feature()))
                                            .toList(),
                                    ledger.asideIds())
                            .stream()
                            .allMatch(standing -> standing.id().equals(recordId))) {
                throw TurnedDown.conflict(
                        "only-reading", "This is the only reading of its feature; correct it instead");
            }
        }
    }

    /**
     * Verifies an attempt, which locks it, or opens it again.
     *
     * @param reason why it is opened again
     * @throws TurnedDown if it is not complete
     */
    @Transactional
    public Measured seal(SignedIn who, UUID attemptId, UUID key, boolean sealed, String reason) {
        Measured before = take(who, attemptId);
        if (entities.find(Seal.class, key) != null || before.ledger().isSealed() == sealed) {
            return before;
        }
        if (sealed && !before.verdict().isComplete()) {
            throw TurnedDown.conflict(
                    "not-complete",
                    before.verdict().isDisputed()
                            ? "Two people read a feature differently; decide which reading counts first"
                            : "Not everything is measured yet; measure it, or say why it is not");
        }
        entities.persist(new Seal(key, attemptId, sealed, who.accountId(), clock.instant(), reason));
        return after(who, before);
    }

    /** Notes where a trainee is with a piece, by an instructor. */
    @Transactional
    public Measured step(SignedIn who, UUID attemptId, UUID key, Step step) {
        Measured before = take(who, attemptId);
        if (entities.find(StepRow.class, key) != null) {
            return before;
        }
        entities.persist(new StepRow(key, attemptId, step, who.accountId(), clock.instant()));
        return after(who, before);
    }

    /** Notes what a trainee's phone says of the trainee's own attempt. */
    @Transactional
    public void stepByTrainee(Measured measured, UUID cohortId, UUID key, Step step) {
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
    public void figuresByTrainee(Measured measured, UUID cohortId, UUID key, Fact.Figures sent, LengthUnit bare) {
        Fact.Figures figures = FactInput.figures(sent, bare, measured);
        UUID attemptId = measured.attempt().id();
        turns.take(attemptId);
        if (entities.find(FactRow.class, key) != null) {
            return;
        }
        if (measured.ledger().newest("figures").isPresent()) {
            throw TurnedDown.conflict("figures-given", "Your figures are in already; your instructor can correct them");
        }
        requireSensible(figures, measured);
        entities.persist(FactRow.by(null, key, attemptId, figures, clock.instant()));
        entities.flush();
        live.changed(cohortId, measured.attempt().traineeId(), attemptId);
        tell(attempts.again(measured.attempt()));
    }

    /**
     * Keeps what the trainee found when looking the piece over; what is found later counts instead.
     *
     * @throws TurnedDown if a point is none that is looked over
     */
    @Transactional
    public void lookByTrainee(Measured measured, UUID cohortId, UUID key, Fact.OwnLook look) {
        UUID attemptId = measured.attempt().id();
        turns.take(attemptId);
        if (entities.find(FactRow.class, key) != null) {
            return;
        }
        requireSensible(look, measured);
        entities.persist(FactRow.by(null, key, attemptId, look, clock.instant()));
        entities.flush();
        live.changed(cohortId, measured.attempt().traineeId(), attemptId);
        tell(attempts.again(measured.attempt()));
    }

    private Measured take(SignedIn who, UUID attemptId) {
        // The right to see it comes first: whoever may not see it should not be able to hold it up.
        attempts.require(who, attemptId);
        turns.take(attemptId);
        return attempts.get(who, attemptId);
    }

    private Measured after(SignedIn who, Measured before) {
        entities.flush();
        UUID cohort = cohorts.trainee(who, before.attempt().traineeId()).cohortId();
        live.changed(cohort, before.attempt().traineeId(), before.attempt().id());
        Measured now = attempts.get(who, before.attempt().id());
        now.attempt().note(now.verdict().isComplete());
        tell(now);
        return now;
    }

    /** What is derived of a record can neither refuse nor undo it. */
    private void tell(Measured now) {
        for (AttemptFollower follower : followers) {
            try {
                follower.written(now);
            } catch (RuntimeException e) {
                LOG.warn(
                        "What follows from attempt {} could not be worked out; what was written down stays",
                        now.attempt().id(),
                        e);
            }
        }
    }

    private static void requireSame(boolean same) {
        if (!same) {
            throw TurnedDown.conflict("key-used", "This key was used for something else; make a new one");
        }
    }

    private static void requireOpen(Measured measured) {
        if (measured.isSealed()) {
            throw TurnedDown.conflict(
                    "sealed", "This attempt is verified and locked; open it again with a reason to change it");
        }
    }

    private static void requireMeasurable(Verdict verdict, FeatureId feature) {
        if (verdict.features().stream().noneMatch(measured -> measured.id().equals(feature))) {
            throw TurnedDown.badInput(
                    "/feature", "unknown-value", "“" + feature.id() + "” is not measured on this piece");
        }
    }

    private static void requireKnown(@Nullable UUID corrects, Stream<? extends Kept> rows) {
        if (corrects != null && rows.noneMatch(row -> row.id().equals(corrects))) {
            throw TurnedDown.conflict("nothing-to-correct", "There is nothing like that to correct on this piece");
        }
    }

    private static void requireSensible(Fact said, Measured measured) {
        List<Integer> bends = measured.verdict().question().layout().marks().stream()
                .map(mark -> mark.number())
                .toList();
        switch (said) {
            case Fact.Finding finding -> {
                if (InspectionPoint.withId(String.valueOf(finding.point())).isEmpty()) {
                    throw TurnedDown.badInput("/fact/point", "unknown-value", "name a point that is looked over");
                }
            }
            case Fact.Rework rework -> {
                if (!bends.contains(rework.bend())) {
                    throw TurnedDown.badInput("/fact/bend", "out-of-range", "this piece has the bends " + bends);
                }
            }
            case Fact.Figures figures -> {
                if (figures.marks() == null
                        || figures.marks().isEmpty()
                        || !figures.marks().stream().allMatch(figure -> bends.contains(figure.mark()))) {
                    throw TurnedDown.badInput("/fact/marks", "out-of-range", "this piece has the marks " + bends);
                }
            }
            case Fact.OwnLook look -> {
                boolean known = Objects.requireNonNullElse(look.points(), List.<Fact.OwnLookPoint>of()).stream()
                        .allMatch(each -> each.good() != null
                                && InspectionPoint.withId(String.valueOf(each.point()))
                                        .isPresent());
                if (!known) {
                    throw TurnedDown.badInput(
                            "/fact/points", "unknown-value", "name points that are looked over, each good or not");
                }
            }
            case Fact.Waste _, Fact.TimeTaken _, Fact.Note _ -> {
                // Any piece can have these.
            }
        }
    }
}
