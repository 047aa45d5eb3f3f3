package lobrik.server.job;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Measured;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Giving;
import lobrik.server.giving.Givings;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.wire.Divided;
import lobrik.wire.LayoutRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gives runs out piece by piece, and puts together what was made of them. */
@Service
public class RunJobs {

    private static final int MOST_LISTED = 30;

    private final EntityManager entities;
    private final Givings givings;
    private final Library library;
    private final Attempts attempts;
    private final Turns turns;
    private final Clock clock;

    RunJobs(EntityManager entities, Givings givings, Library library, Attempts attempts, Turns turns, Clock clock) {
        this.entities = entities;
        this.givings = givings;
        this.library = library;
        this.attempts = attempts;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * What is to be given.
     *
     * @param entryId of the library that the whole run is saved as: a new one, or the one that was opened
     * @param basedOn its version that was opened, if it was
     * @param whole the run
     * @param trainees who bends which piece, by its number
     */
    record Order(
            UUID id,
            UUID entryId,
            @Nullable Integer basedOn,
            Content whole,
            JobRules rules,
            Map<Integer, UUID> trainees) {}

    /** A job as it stands, with the whole run and what was made of each piece. */
    record Standing(RunJob job, Exercise whole, Divided divided, List<PieceStanding> pieces) {}

    /**
     * A piece as it stands.
     *
     * @param sheet whose it is; empty for a straight, and where the one who asks may not see whose
     * @param last what was last measured of it; empty until somebody begins
     */
    record PieceStanding(Divided.Alone piece, Optional<Givings.Sheet> sheet, Optional<Measured> last) {}

    /**
     * Gives a run out. Repeating the request changes nothing.
     *
     * @throws lobrik.fault.Refused if it cannot be divided
     * @throws TurnedDown if it is one piece only, or somebody is missing
     */
    @Transactional
    public UUID give(SignedIn who, Order order) {
        turns.take(order.id());
        RunJob already = entities.find(RunJob.class, order.id());
        if (already != null) {
            if (!already.centreId().equals(who.centreId())) {
                throw TurnedDown.conflict("id-taken", "This id is taken; make a new one");
            }
            return already.id();
        }
        LayoutRequest whole = order.whole().definition();
        Divided divided = Divided.of(order.rules().of(whole));
        List<Divided.Alone> pieces = divided.alone(whole);
        requireSeveral(pieces);
        Exercise exercise = library.saveOrCopy(who, order.entryId(), order.whole(), order.basedOn());
        RunJob job =
                new RunJob(order.id(), who.centreId(), exercise.id(), order.rules(), who.accountId(), clock.instant());
        entities.persist(job);
        for (Divided.Alone piece : pieces) {
            piece.request().ifPresent(request -> {
                int number = piece.portion().number();
                UUID trainee = order.trainees().get(number);
                if (trainee == null) {
                    throw TurnedDown.badInput(
                            "/pieces", "missing", "say who bends piece " + number + " of " + pieces.size());
                }
                UUID giving = give(who, order.whole(), request, number, pieces.size(), trainee);
                entities.persist(new RunJobPiece(job.id(), number, giving));
            });
        }
        return job.id();
    }

    private static void requireSeveral(List<Divided.Alone> pieces) {
        if (pieces.size() < 2) {
            throw TurnedDown.conflict(
                    "one-piece", "This run is one piece: give it out as it is, or say that sticks are shorter");
        }
        if (pieces.stream().allMatch(piece -> piece.request().isEmpty())) {
            throw TurnedDown.conflict("nothing-to-bend", "No piece of this run has a ninety to bend");
        }
    }

    private UUID give(SignedIn who, Content whole, LayoutRequest request, int number, int of, UUID trainee) {
        Content content = whole.piece(request, "piece " + number + " of " + of);
        return givings.give(
                        who,
                        new Givings.Order(
                                UUID.randomUUID(),
                                UUID.randomUUID(),
                                null,
                                content,
                                false,
                                new Givings.Receivers(null, null, List.of(trainee)),
                                Giving.Terms.OPEN))
                .giving()
                .id();
    }

    /**
     * A job as it stands.
     *
     * @throws TurnedDown if there is none of which the one who asks may see a piece
     */
    @Transactional(readOnly = true)
    Standing standing(SignedIn who, UUID id) {
        RunJob job = entities.find(RunJob.class, id);
        if (job == null || !job.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("job");
        }
        Map<Integer, Givings.Sheet> sheets = sheets(who, pieces(List.of(id)));
        if (sheets.isEmpty()) {
            throw TurnedDown.notFound("job");
        }
        Exercise whole = library.byId(List.of(job.exerciseId())).get(job.exerciseId());
        if (whole == null) {
            throw TurnedDown.notFound("job");
        }
        Divided divided = Divided.of(job.rules().of(whole.definition()));
        Map<UUID, Measured> last = attempts.lastAt(
                sheets.values().stream().map(sheet -> sheet.assignment().id()).toList());
        List<PieceStanding> pieces = new ArrayList<>();
        for (Divided.Alone piece : divided.alone(whole.definition())) {
            Optional<Givings.Sheet> sheet =
                    Optional.ofNullable(sheets.get(piece.portion().number()));
            pieces.add(new PieceStanding(
                    piece,
                    sheet,
                    sheet.flatMap(each ->
                            Optional.ofNullable(last.get(each.assignment().id())))));
        }
        return new Standing(job, whole, divided, List.copyOf(pieces));
    }

    /** Whose each piece is, by its number, as far as the one who asks may know. */
    private Map<Integer, Givings.Sheet> sheets(SignedIn who, List<RunJobPiece> pieces) {
        Map<UUID, Integer> numbers =
                pieces.stream().collect(Collectors.toMap(RunJobPiece::givingId, RunJobPiece::number));
        return givings.sheets(who, numbers.keySet()).stream()
                .collect(Collectors.toMap(
                        sheet -> Objects.requireNonNull(
                                numbers.get(sheet.assignment().givingId())),
                        Function.identity()));
    }

    private List<RunJobPiece> pieces(Collection<UUID> jobs) {
        return entities.createQuery(
                        "from RunJobPiece where id.jobId in :jobs order by id.jobId, id.number", RunJobPiece.class)
                .setParameter("jobs", jobs)
                .getResultList();
    }

    /** The job that a piece was given out with; empty for an exercise by itself, and for who may not see the trainee. */
    @Transactional(readOnly = true)
    Optional<UUID> ofAssignment(SignedIn who, UUID assignment) {
        Assignment given = entities.find(Assignment.class, assignment);
        if (given == null || givings.sheets(who, List.of(given.givingId())).isEmpty()) {
            return Optional.empty();
        }
        return entities.createQuery("from RunJobPiece where givingId = :giving", RunJobPiece.class)
                .setParameter("giving", given.givingId())
                .getResultStream()
                .map(RunJobPiece::jobId)
                .findFirst();
    }

    /** A job by its id, with the exercise of the whole run, and with who bends pieces of it. */
    record Listed(RunJob job, Exercise whole, List<Trainee> trainees) {}

    /** The last jobs of which the one who asks may see a piece, the newest first. */
    @Transactional(readOnly = true)
    List<Listed> recent(SignedIn who) {
        List<RunJob> jobs = entities.createQuery("""
                        from RunJob j where j.centreId = :centre and exists (
                          select 1 from RunJobPiece p, Assignment a where p.id.jobId = j.id and a.givingId = p.givingId
                            and a.traineeId in :trainees)
                        order by j.entryNo desc""", RunJob.class)
                .setParameter("centre", who.centreId())
                .setParameter("trainees", givings.visibleTrainees(who))
                .setMaxResults(MOST_LISTED)
                .getResultList();
        Map<UUID, UUID> jobOf = pieces(jobs.stream().map(RunJob::id).toList()).stream()
                .collect(Collectors.toMap(RunJobPiece::givingId, RunJobPiece::jobId));
        Map<UUID, List<Trainee>> trainees = new HashMap<>();
        for (Givings.Sheet sheet : givings.sheets(who, jobOf.keySet())) {
            UUID job = Objects.requireNonNull(jobOf.get(sheet.assignment().givingId()));
            trainees.computeIfAbsent(job, _ -> new ArrayList<>()).add(sheet.trainee());
        }
        Map<UUID, Exercise> exercises =
                library.byId(jobs.stream().map(RunJob::exerciseId).toList());
        return jobs.stream()
                .filter(job -> trainees.containsKey(job.id()))
                .map(job -> new Listed(
                        job,
                        Objects.requireNonNull(exercises.get(job.exerciseId())),
                        Objects.requireNonNull(trainees.get(job.id()))))
                .toList();
    }
}
