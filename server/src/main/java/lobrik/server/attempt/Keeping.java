package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import lobrik.assessment.Assessment;
import lobrik.assessment.Entry;
import lobrik.assessment.WhatCounts;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Trainee;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import org.hibernate.exception.ConstraintViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down what is found on a piece. When a call returns, it is on disk. Every row has an id that the client made, so a
 * repeated request adds nothing; nothing is ever changed or taken away, and nobody writes over anybody.
 */
@Service
public class Keeping {

    /** What somebody wrote on, as it stands since, and whose it is. */
    public record Written(Measured measured, Trainee trainee) {}

    private final EntityManager entities;
    private final Attempts attempts;
    private final Live live;
    private final FollowUps followUps;
    private final RecordAudit audit;
    private final Clock clock;

    Keeping(EntityManager entities, Attempts attempts, Live live, FollowUps followUps, RecordAudit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.attempts = attempts;
        this.live = live;
        this.followUps = followUps;
        this.clock = clock;
    }

    /**
     * Keeps a reading. One of a feature that somebody else read meanwhile is kept beside it, and the feature is disputed.
     *
     * @param read makes it, once it is known what it is a reading of
     * @throws TurnedDown if the feature is not measured on this piece, if there is nothing to correct, if the attempt is
     *     verified, or if the id was used for something else
     */
    @Transactional
    public Written keepReading(SignedIn who, UUID attemptId, Function<Opened, ReadingRow> read) {
        Opened before = attempts.forWriting(who, attemptId);
        ReadingRow row = read.apply(before);
        Optional<ReadingRow> same = withId(before.ledger().readings(), row.id());
        if (same.isPresent()) {
            return again(before, same.get().saysTheSameAs(row));
        }
        requireOpen(before);
        if (!before.isMeasured(row.feature())) {
            throw TurnedDown.badInput(
                    "/feature", "unknown-value", "“" + row.feature().id() + "” is not measured on this piece");
        }
        requireKnown(
                row.correctionOf(),
                before.ledger().readings().stream()
                        .filter(known -> known.feature().equals(row.feature())));
        entities.persist(row);
        Written written = after(before, before.ledger().with(row));
        audit.corrected(who, before, row);
        return written;
    }

    /** Keeps a fact, as {@link #keepReading} keeps a reading. */
    @Transactional
    public Written keepFact(SignedIn who, UUID attemptId, Function<Opened, FactRow> said) {
        Opened before = attempts.forWriting(who, attemptId);
        FactRow row = said.apply(before);
        Optional<FactRow> same = withId(before.ledger().facts(), row.id());
        if (same.isPresent()) {
            return again(before, same.get().saysTheSameAs(row));
        }
        requireOpen(before);
        FactInput.requireSensible(row.said(), before.laidOut().get(), before.ledger());
        requireKnown(
                row.correctionOf(),
                before.ledger().facts().stream()
                        .filter(known ->
                                known.kind().equals(row.kind()) && known.about().equals(row.about())));
        entities.persist(row);
        Written written = after(before, before.ledger().with(row));
        audit.corrected(who, before, row);
        return written;
    }

    /** Keeps a photo that was made small already. */
    @Transactional
    Written keepPhoto(SignedIn who, UUID attemptId, Function<Opened, Photo> taken) {
        Opened before = attempts.forWriting(who, attemptId);
        Photo photo = taken.apply(before);
        UUID id = photo.caption().id();
        if (before.ledger().photos().stream().anyMatch(known -> known.id().equals(id))) {
            return again(before, entities.find(Photo.class, id).digest().equals(photo.digest()));
        }
        requireOpen(before);
        entities.persist(photo);
        return after(before, before.ledger().with(photo.caption()));
    }

    private static <T extends Entry> Optional<T> withId(List<T> rows, UUID id) {
        return rows.stream().filter(row -> row.id().equals(id)).findFirst();
    }

    /** What was written down already is not written down again. */
    private static Written again(Opened before, boolean same) {
        if (!same) {
            throw keyUsed();
        }
        return new Written(before.measured(), before.trainee());
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
    public Written setAside(SignedIn who, UUID attemptId, UUID recordId, String reason) {
        Opened before = attempts.forWriting(who, attemptId);
        if (before.ledger().asideIds().contains(recordId)) {
            return again(before, true);
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
        SetAside aside = new SetAside(recordId, attemptId, who.accountId(), clock.instant(), reason);
        entities.persist(aside);
        Written written = after(before, ledger.with(aside));
        audit.setAside(who, before, recordId, reason);
        return written;
    }

    private static void requireAnotherStands(Ledger ledger, UUID recordId) {
        if (ledger.began(ledger.stages())
                        .map(FactRow::id)
                        .filter(recordId::equals)
                        .isPresent()
                && ledger.isReadInStage(ledger.stages())) {
            throw TurnedDown.conflict(
                    "measured-already", "The piece is measured as it is since it was bent again; correct the readings");
        }
        for (ReadingRow row : ledger.readings()) {
            if (row.id().equals(recordId)
                    && WhatCounts.standing(
                                    ledger.readings().stream()
                                            .filter(other -> other.feature().equals(row.feature())
                                                    && other.stage() == row.stage())
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
    public Written seal(SignedIn who, UUID attemptId, UUID key, boolean sealed, String reason) {
        Opened before = attempts.forWriting(who, attemptId);
        if (before.ledger().seals().stream().anyMatch(known -> known.id().equals(key))
                || before.ledger().isSealed() == sealed) {
            return again(before, true);
        }
        Assessment assessment = before.measured().assessment();
        if (sealed && !assessment.isComplete()) {
            throw TurnedDown.conflict(
                    "not-complete",
                    assessment.isDisputed()
                            ? "Two people read a feature differently; decide which reading counts first"
                            : "Not everything is measured yet; measure it, or say why it is not");
        }
        Seal seal = new Seal(key, attemptId, sealed, who.accountId(), clock.instant(), reason);
        entities.persist(seal);
        Written written = after(before, before.ledger().with(seal));
        audit.sealed(who, before, sealed, reason);
        return written;
    }

    /** Notes where a trainee is with a piece, by an instructor. */
    @Transactional
    public Written step(SignedIn who, UUID attemptId, UUID key, BenchStep step) {
        Opened before = attempts.forWriting(who, attemptId);
        if (before.ledger().steps().stream().anyMatch(known -> known.id().equals(key))) {
            return again(before, true);
        }
        StepRow row = new StepRow(key, attemptId, step, who.accountId(), clock.instant());
        entities.persist(row);
        return after(before, before.ledger().with(row));
    }

    /** The record as it now is; what was written down is on its way to the disk, and the screens hear of it once it is there. */
    private Written after(Opened before, Ledger ledger) {
        flush();
        Attempt attempt = before.attempt();
        Measured now = before.with(ledger);
        // What is corrected of a piece as it was first bent follows too, while it is measured anew.
        boolean toFollow = attempt.isNotedComplete() || now.settled().isComplete();
        attempt.note(now.assessment().isComplete());
        live.changed(before.trainee().cohortId(), attempt.traineeId(), attempt.id());
        if (toFollow) {
            followUps.note(attempt.id());
        }
        return new Written(now, before.trainee());
    }

    /** A key that is on another attempt's record already is found by the database alone. */
    private void flush() {
        try {
            entities.flush();
        } catch (ConstraintViolationException e) {
            throw e.getKind() == ConstraintViolationException.ConstraintKind.UNIQUE ? keyUsed() : e;
        }
    }

    private static TurnedDown keyUsed() {
        return TurnedDown.conflict("key-used", "This key was used for something else; make a new one");
    }

    private static void requireOpen(Opened attempt) {
        if (attempt.ledger().isSealed()) {
            throw TurnedDown.conflict(
                    "sealed", "This attempt is verified and locked; open it again with a reason to change it");
        }
    }

    private static void requireKnown(Optional<UUID> corrects, Stream<? extends Entry> rows) {
        if (corrects.isPresent() && rows.noneMatch(row -> row.id().equals(corrects.get()))) {
            throw TurnedDown.conflict("nothing-to-correct", "There is nothing like that to correct on this piece");
        }
    }
}
