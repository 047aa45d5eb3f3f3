package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.assessment.Basis;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Assignments;
import lobrik.server.giving.Giving;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.stock.Stockroom;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What trainees have in hand, and the pieces they begin at it. */
@Service
public class WorkInHand {

    /**
     * Something that a trainee was given.
     *
     * @param piece the last one at it; none before it is begun
     */
    public record InHand(Assignment assignment, @Nullable Measured piece) {

        /** Whether somebody has still to do something about it. */
        public boolean isOpen() {
            return piece == null || !piece.assessment().isComplete();
        }

        /** Whether there is a piece. */
        public boolean isBegun() {
            return piece != null;
        }
    }

    private final EntityManager entities;
    private final Attempts attempts;
    private final Cohorts cohorts;
    private final Assignments assignments;
    private final Library library;
    private final Calculations calculations;
    private final BenderRecords benders;
    private final ReadingRecords readings;
    private final Bases bases;
    private final Turns turns;
    private final Live live;
    private final BenchFloors floors;
    private final Stockroom stockroom;
    private final Clock clock;

    WorkInHand(
            EntityManager entities,
            Attempts attempts,
            Cohorts cohorts,
            Assignments assignments,
            Library library,
            Calculations calculations,
            BenderRecords benders,
            ReadingRecords readings,
            Bases bases,
            Turns turns,
            Live live,
            BenchFloors floors,
            Stockroom stockroom,
            Clock clock) {
        this.entities = entities;
        this.attempts = attempts;
        this.cohorts = cohorts;
        this.assignments = assignments;
        this.library = library;
        this.calculations = calculations;
        this.benders = benders;
        this.readings = readings;
        this.bases = bases;
        this.turns = turns;
        this.live = live;
        this.floors = floors;
        this.stockroom = stockroom;
        this.clock = clock;
    }

    /**
     * What trainees have in hand, by trainee: all that was given and is not measured yet, what is begun before what is not, and
     * otherwise as it was given; if there is nothing, what was given last. Trainees who were never given anything are left out.
     */
    @Transactional(readOnly = true)
    public Map<UUID, List<InHand>> of(Collection<UUID> traineeIds) {
        List<Assignment> candidates = assignments.perhapsUnfinished(traineeIds);
        Map<UUID, Measured> pieces =
                attempts.lastAt(candidates.stream().map(Assignment::id).toList());
        Map<UUID, List<InHand>> inHand = candidates.stream()
                .map(assignment -> new InHand(assignment, pieces.get(assignment.id())))
                .filter(InHand::isOpen)
                .sorted(Comparator.comparing(InHand::isBegun).reversed())
                .collect(Collectors.groupingBy(each -> each.assignment().traineeId()));
        Map<UUID, Assignment> last = assignments.lastOf(
                traineeIds.stream().filter(id -> !inHand.containsKey(id)).toList());
        Map<UUID, Measured> measured =
                attempts.lastAt(last.values().stream().map(Assignment::id).toList());
        last.forEach((traineeId, assignment) ->
                inHand.put(traineeId, List.of(new InHand(assignment, measured.get(assignment.id())))));
        return inHand;
    }

    /**
     * Takes an exercise off the list of what its trainee has in hand. Repeating that changes nothing.
     *
     * @throws TurnedDown if there is none for the one who asks, or if something of it is measured
     */
    @Transactional
    public void takeOff(SignedIn who, UUID assignmentId) {
        Assignment assignment = assignments.find(assignmentId);
        if (assignment == null) {
            throw TurnedDown.notFound("exercise given out");
        }
        Trainee trainee = cohorts.trainee(who, assignment.traineeId());
        turns.take(trainee.id());
        Measured piece = attempts.lastAt(List.of(assignmentId)).get(assignmentId);
        if (piece != null && !piece.ledger().readings().isEmpty()) {
            throw TurnedDown.conflict(
                    "measured-already",
                    trainee.fullName()
                            + " has readings of it already; go on measuring, or say of what is left that it was not"
                            + " measured");
        }
        assignments.takeOff(who, assignment);
        live.changed(trainee.cohortId(), trainee.id(), null);
    }

    /**
     * What a tablet takes along in case that it loses the signal: for each exercise that a trainee has in hand the attempt that
     * is going on, or one that is not begun yet and that nothing is kept of until somebody opens it.
     */
    @Transactional(readOnly = true)
    public List<Measured> kit(SignedIn who, UUID cohortId) {
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        return kit(who, cohortId, of(trainees.stream().map(Trainee::id).toList()));
    }

    /**
     * The part of that which some trainees of the cohort have in hand. The one who asks must be allowed to see them.
     *
     * @param inHand as {@link #of} says it
     */
    @Transactional(readOnly = true)
    public List<Measured> kit(SignedIn who, UUID cohortId, Map<UUID, List<InHand>> inHand) {
        Map<UUID, Exercise> exercises = library.byId(inHand.values().stream()
                .flatMap(List::stream)
                .map(each -> each.assignment().exerciseId())
                .collect(Collectors.toSet()));
        Centre centre = cohorts.centreOf(cohortId);
        ReadsTo readsTo = readings.known(centre.id());
        List<Measured> kit = new ArrayList<>();
        List<Attempt> blank = new ArrayList<>();
        Map<UUID, Basis> blankBases = new HashMap<>();
        for (InHand each : inHand.values().stream().flatMap(List::stream).toList()) {
            Assignment assignment = each.assignment();
            Exercise exercise = exercises.get(assignment.exerciseId());
            if (each.piece() != null && each.isOpen()) {
                kit.add(each.piece());
            } else if (exercise != null) {
                OnBender onBender = onBender(exercise, centre);
                Basis basis = basis(exercise, onBender);
                UUID basisId = Bases.Stored.of(basis).id();
                blankBases.put(basisId, basis);
                blank.add(new Attempt(
                        UUID.randomUUID(),
                        assignment,
                        exercise,
                        basisId,
                        onBender,
                        readsTo,
                        who.accountId(),
                        clock.instant()));
            }
        }
        kit.addAll(floors.over(cohortId, attempts.measured(blank, blankBases)));
        return List.copyOf(kit);
    }

    /**
     * Opens an attempt at what the trainee is on, or goes on with the one that is not complete yet.
     *
     * @param id made by the client; an attempt that exists is returned as it is
     * @param assignmentId what was given to the trainee; the first of what is in hand if null
     * @throws TurnedDown if nothing was given, or if all tries are used up
     */
    @Transactional
    public Measured open(SignedIn who, UUID id, UUID traineeId, @Nullable UUID assignmentId) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        turns.take(traineeId);
        if (entities.find(Attempt.class, id) != null) {
            return attempts.get(who, id);
        }
        Assignment assignment = assignmentId == null
                ? of(List.of(traineeId)).getOrDefault(traineeId, List.of()).stream()
                        .findFirst()
                        .map(InHand::assignment)
                        .orElse(null)
                : assignments.find(assignmentId);
        if (assignment == null || !assignment.traineeId().equals(traineeId)) {
            throw TurnedDown.conflict(
                    "nothing-given", trainee.fullName() + " has no such exercise yet; set one and give it first");
        }
        return openAt(assignment, trainee, id, who.accountId());
    }

    /**
     * Opens an attempt from the trainee's phone, or goes on with the one that is not complete yet.
     *
     * @param trainee whose assignment it is
     */
    @Transactional
    public Measured begin(Assignment assignment, Trainee trainee, UUID id) {
        turns.take(trainee.id());
        return openAt(assignment, trainee, id, null);
    }

    private Measured openAt(Assignment assignment, Trainee trainee, UUID id, @Nullable UUID startedBy) {
        assignments.putOn(assignment);
        List<Attempt> before = attempts.attemptsAt(List.of(assignment.id()));
        if (!before.isEmpty()) {
            Measured last = attempts.measured(before).getLast();
            if (!last.assessment().isComplete()) {
                return last;
            }
        }
        requireTryLeft(trainee, before.size(), assignments.terms(assignment));
        Exercise exercise = library.byId(List.of(assignment.exerciseId())).get(assignment.exerciseId());
        if (exercise == null) {
            throw TurnedDown.notFound("exercise");
        }
        Centre centre = cohorts.centreOf(trainee.cohortId());
        OnBender onBender = onBender(exercise, centre);
        UUID basisId = bases.keep(basis(exercise, onBender));
        ReadsTo readsTo = readings.known(centre.id());
        Attempt attempt = new Attempt(id, assignment, exercise, basisId, onBender, readsTo, startedBy, clock.instant());
        entities.persist(attempt);
        floors.at(trainee, attempt).ifPresent(entities::persist);
        if (!before.isEmpty()) {
            entities.flush();
            stockroom.cutAnother(assignment.id(), startedBy);
        }
        live.changed(trainee.cohortId(), trainee.id(), id);
        return attempts.measured(List.of(attempt)).getFirst();
    }

    private OnBender onBender(Exercise exercise, Centre centre) {
        return OnBender.of(
                benders.known(centre.id(), exercise.benderRevisionId(), exercise.benderLabel()),
                centre.leavesBenderOutOfPoints());
    }

    private Basis basis(Exercise exercise, OnBender onBender) {
        return Attempt.basis(
                exercise, calculations.question(exercise.definition()).layout(), onBender);
    }

    private static void requireTryLeft(Trainee trainee, int used, Giving.Terms terms) {
        Integer tries = terms.tries();
        if (tries != null && used >= tries) {
            throw TurnedDown.conflict(
                    "tries-used",
                    trainee.fullName() + " has used " + (tries == 1 ? "the one try" : "all " + tries + " tries")
                            + " at this exercise; give it again to go on");
        }
    }
}
