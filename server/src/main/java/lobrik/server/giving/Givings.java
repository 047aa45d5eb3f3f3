package lobrik.server.giving;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lobrik.measure.Length;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.shed.Rack;
import lobrik.server.stock.Stockroom;
import lobrik.wire.VariationInput;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gives exercises out, and knows what was given. */
@Service
public class Givings {

    /** A whole cohort, a group of it, or some trainees. */
    public record Receivers(
            @Nullable UUID cohortId,
            @Nullable UUID groupId,
            @Nullable List<UUID> traineeIds) {}

    /**
     * What is to be given.
     *
     * @param entryId of the library: a new one, or the one that was opened
     * @param basedOn its version that was opened, if it was
     * @param varied whether each trainee gets a variant
     * @param benders who has another bender than the exercise is for, by trainee: theirs is laid out for that one, where it bends the
     *     same conduit
     */
    public record Order(
            UUID id,
            UUID entryId,
            @Nullable Integer basedOn,
            Content content,
            boolean varied,
            Receivers to,
            Giving.Terms terms,
            Map<UUID, UUID> benders) {

        public Order {
            benders = Map.copyOf(benders);
        }

        /** Everybody on the bender that the exercise is for. */
        public Order(
                UUID id,
                UUID entryId,
                @Nullable Integer basedOn,
                Content content,
                boolean varied,
                Receivers to,
                Giving.Terms terms) {
            this(id, entryId, basedOn, content, varied, to, terms, Map.of());
        }

        @Nullable
        VariationInput variation() {
            return varied ? content.variation() : null;
        }
    }

    /** What was given, with each one's exercise. */
    public record Given(Giving giving, Exercise exercise, List<Sheet> sheets) {}

    /** One trainee's part of it. */
    public record Sheet(Assignment assignment, Trainee trainee, Exercise exercise) {}

    private static final int MOST_LISTED = 30;

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Library library;
    private final Dealing dealing;
    private final Rack rack;
    private final Stockroom stockroom;
    private final Turns turns;
    private final Live live;
    private final Audit audit;
    private final Clock clock;
    private final RandomGenerator codes;

    Givings(
            EntityManager entities,
            Cohorts cohorts,
            Library library,
            Dealing dealing,
            Rack rack,
            Stockroom stockroom,
            Turns turns,
            Live live,
            Audit audit,
            Clock clock,
            RandomGenerator codes) {
        this.audit = audit;
        this.entities = entities;
        this.cohorts = cohorts;
        this.library = library;
        this.dealing = dealing;
        this.rack = rack;
        this.stockroom = stockroom;
        this.turns = turns;
        this.live = live;
        this.clock = clock;
        this.codes = codes;
    }

    /**
     * Saves an exercise in the library and gives it out. What somebody else made, and was changed for this, becomes an exercise
     * of one's own. Repeating the request changes nothing.
     *
     * @throws lobrik.fault.Refused if it cannot be laid out, or not varied for so many
     */
    @Transactional
    public Given give(SignedIn who, Order order) {
        List<Trainee> trainees = receivers(who, order.to());
        turns.take(order.id());
        Giving already = entities.find(Giving.class, order.id());
        if (already != null) {
            if (!already.centreId().equals(who.centreId())) {
                throw TurnedDown.conflict("id-taken", "This id is taken; make a new one");
            }
            return given(who, order.id());
        }
        Exercise exercise = library.saveOrCopy(who, order.entryId(), order.content(), order.basedOn());
        trainees.forEach(trainee -> live.changed(trainee.cohortId(), trainee.id(), null));
        Giving giving = new Giving(
                order.id(),
                who.centreId(),
                exercise.id(),
                who.accountId(),
                clock.instant(),
                order.terms(),
                order.varied());
        entities.persist(giving);
        List<Sheet> sheets = new ArrayList<>();
        List<Stockroom.Wanted> pieces = new ArrayList<>();
        Map<UUID, Rack.Racked> benders = order.benders().isEmpty()
                ? Map.of()
                : rack.all(who).stream()
                        .collect(Collectors.toMap(each -> each.bender().id(), Function.identity()));
        for (Dealing.Dealt asSet : dealing.deal(order.content().definition(), order.variation(), trainees)) {
            UUID seatedAt = order.benders().get(asSet.trainee().id());
            Rack.Racked bender = seatedAt == null ? null : benders.get(seatedAt);
            Optional<Dealing.Dealt> onTheirs =
                    Optional.ofNullable(bender).flatMap(theirs -> dealing.on(asSet, exercise, theirs));
            Dealing.Dealt dealt = onTheirs.orElse(asSet);
            Exercise own = exercise;
            if (bender != null && onTheirs.isPresent()) {
                own = exercise.on(UUID.randomUUID(), bender, dealt.definition(), who.accountId(), clock.instant());
                entities.persist(own);
            } else if (order.varied()) {
                own = exercise.variant(UUID.randomUUID(), dealt.definition(), who.accountId(), clock.instant());
                entities.persist(own);
            }
            Assignment assignment = new Assignment(
                    UUID.randomUUID(), giving, own.id(), dealt.trainee().id(), SheetCode.next(codes));
            entities.persist(assignment);
            sheets.add(new Sheet(assignment, dealt.trainee(), own));
            pieces.add(new Stockroom.Wanted(dealt.trainee().id(), assignment.id(), exercise.family(), dealt.conduit()));
        }
        entities.flush();
        stockroom.cut(who, exercise.conduitLabel(), giving.id(), pieces);
        return new Given(giving, exercise, List.copyOf(sheets));
    }

    /**
     * Takes back what was given, as long as nothing of it was measured: nobody is on it any more, and its sheets open nothing.
     * Repeating that changes nothing.
     *
     * @throws TurnedDown if there is none for the one who asks, or if somebody measured already
     */
    @Transactional
    public void takeBack(SignedIn who, UUID id) {
        Given given = given(who, id);
        if (entities.find(TakenBack.class, id) != null) {
            return;
        }
        // So that nobody opens a piece of it meanwhile.
        List<Trainee> all = entities.createQuery(
                        "select t from Assignment s, Trainee t where t.id = s.traineeId and s.givingId = :giving",
                        Trainee.class)
                .setParameter("giving", id)
                .getResultList();
        all.stream().map(Trainee::id).sorted().forEach(turns::take);
        List<Trainee> measured = entities.createQuery("""
                        select distinct t from ReadingRow r, Attempt a, Assignment s, Trainee t
                        where a.id = r.attemptId and s.id = a.assignmentId and t.id = s.traineeId and s.givingId = :giving
                        order by t.fullName""", Trainee.class)
                .setParameter("giving", id)
                .getResultList();
        if (!measured.isEmpty()) {
            throw TurnedDown.conflict(
                    "measured-already",
                    "It cannot be taken back: " + whoOf(measured, given) + " readings of it already");
        }
        entities.persist(new TakenBack(id, who.accountId(), clock.instant()));
        stockroom.notCut(who, id);
        all.forEach(trainee -> live.changed(trainee.cohortId(), trainee.id(), null));
        audit.ended(
                who, new Audit.Subject(Audit.Kind.GIVING, id, given.exercise().title()), null);
    }

    /** By name whom the one who asks may see, and nobody else: it may have been given to other cohorts as well. */
    private static String whoOf(List<Trainee> measured, Given given) {
        Set<UUID> visible =
                given.sheets().stream().map(sheet -> sheet.trainee().id()).collect(Collectors.toSet());
        List<String> names = measured.stream()
                .filter(trainee -> visible.contains(trainee.id()))
                .map(Trainee::fullName)
                .toList();
        if (names.isEmpty()) {
            return "somebody of another cohort has";
        }
        return String.join(", ", names) + (names.size() == 1 ? " has" : " have");
    }

    /** The conduit that an exercise of the library would take for some trainees, a piece each. */
    @Transactional(readOnly = true)
    public List<Length> pieces(Exercise exercise, boolean varied, List<Trainee> trainees) {
        Content content = exercise.content();
        return dealing.deal(content.definition(), varied ? content.variation() : null, trainees).stream()
                .map(Dealing.Dealt::conduit)
                .toList();
    }

    /** Who gets it, in the order of their benches; each once. */
    @Transactional(readOnly = true)
    List<Trainee> receivers(SignedIn who, Receivers to) {
        if (to.cohortId() != null) {
            return cohorts.trainees(who, to.cohortId());
        }
        Set<UUID> ids = to.groupId() != null
                ? cohorts.group(who, to.groupId()).trainees()
                : new LinkedHashSet<>(to.traineeIds() == null ? List.of() : to.traineeIds());
        if (ids.isEmpty()) {
            throw TurnedDown.badInput("/giveTo", "missing", "name a cohort, a group or a trainee to give it to");
        }
        return ids.stream()
                .map(id -> cohorts.trainee(who, id))
                .sorted(Comparator.comparingInt(Trainee::bench).thenComparing(Trainee::fullName))
                .toList();
    }

    /**
     * What was given under this id, with the sheets that the one who asks may see.
     *
     * @throws TurnedDown if there is none
     */
    @Transactional(readOnly = true)
    public Given given(SignedIn who, UUID id) {
        Giving giving = entities.find(Giving.class, id);
        if (giving == null || !giving.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("exercise given out");
        }
        Given given = given(giving, visible(who));
        if (given.sheets().isEmpty()) {
            throw TurnedDown.notFound("exercise given out");
        }
        return given;
    }

    private Given given(Giving giving, Map<UUID, Trainee> visible) {
        List<Assignment> assignments = entities.createQuery("from Assignment where givingId = :id", Assignment.class)
                .setParameter("id", giving.id())
                .getResultList();
        Map<UUID, Exercise> exercises = library.byId(exerciseIds(giving, assignments));
        List<Sheet> sheets = assignments.stream()
                .filter(assignment -> visible.containsKey(assignment.traineeId()))
                .map(assignment -> new Sheet(
                        assignment,
                        require(visible, assignment.traineeId()),
                        require(exercises, assignment.exerciseId())))
                .sorted(Comparator.comparingInt((Sheet sheet) -> sheet.trainee().bench())
                        .thenComparing(sheet -> sheet.trainee().fullName()))
                .toList();
        return new Given(giving, require(exercises, giving.exerciseId()), sheets);
    }

    private static Set<UUID> exerciseIds(Giving giving, List<Assignment> assignments) {
        Set<UUID> ids = assignments.stream().map(Assignment::exerciseId).collect(Collectors.toSet());
        ids.add(giving.exerciseId());
        return ids;
    }

    private Map<UUID, Trainee> visible(SignedIn who) {
        return cohorts.visibleTo(who).stream()
                .flatMap(cohort -> cohorts.trainees(who, cohort.id()).stream())
                .collect(Collectors.toMap(Trainee::id, Function.identity()));
    }

    private static <T> T require(Map<UUID, T> known, UUID id) {
        T found = known.get(id);
        if (found == null) {
            throw TurnedDown.notFound("exercise given out");
        }
        return found;
    }

    /** The trainees to whom the one who asks may see what was given. */
    public Set<UUID> visibleTrainees(SignedIn who) {
        return visible(who).keySet();
    }

    /** The sheets of some givings that the one who asks may see, but for those that were taken back. */
    @Transactional(readOnly = true)
    public List<Sheet> sheets(SignedIn who, Collection<UUID> givingIds) {
        Map<UUID, Trainee> visible = visible(who);
        List<Assignment> assignments = entities.createQuery("""
                        from Assignment a where a.givingId in :ids and a.traineeId in :trainees
                          and not exists (select 1 from TakenBack t where t.givingId = a.givingId)""", Assignment.class)
                .setParameter("ids", givingIds)
                .setParameter("trainees", visible.keySet())
                .getResultList();
        Map<UUID, Exercise> exercises =
                library.byId(assignments.stream().map(Assignment::exerciseId).toList());
        return assignments.stream()
                .map(assignment -> new Sheet(
                        assignment,
                        require(visible, assignment.traineeId()),
                        require(exercises, assignment.exerciseId())))
                .toList();
    }

    /**
     * What was given last to trainees that the one who asks may see, the newest first, so many at once.
     *
     * @param before what was given after those that are asked for; null for the newest
     */
    @Transactional(readOnly = true)
    List<Given> recent(SignedIn who, @Nullable UUID before) {
        Map<UUID, Trainee> visible = visible(who);
        return entities.createQuery("""
                        from Giving g where g.centreId = :centre
                          and (cast(:before as uuid) is null
                            or g.entryNo < (select b.entryNo from Giving b where b.id = :before))
                          and not exists (select 1 from TakenBack t where t.givingId = g.id) and exists
                          (select 1 from Assignment a where a.givingId = g.id and a.traineeId in :trainees)
                        order by g.entryNo desc""", Giving.class)
                .setParameter("centre", who.centreId())
                .setParameter("trainees", visible.keySet())
                .setParameter("before", before)
                .setMaxResults(MOST_LISTED)
                .getResultStream()
                .map(giving -> given(giving, visible))
                .toList();
    }

    /**
     * The sheet with this code.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    @Transactional(readOnly = true)
    Sheet sheet(SignedIn who, String typed) {
        Sheet sheet = sheetInHand(typed);
        cohorts.trainee(who, sheet.trainee().id());
        return sheet;
    }

    /**
     * The sheet with this code, for whoever holds it in the hand.
     *
     * @throws TurnedDown if there is none
     */
    @Transactional(readOnly = true)
    public Sheet sheetInHand(String typed) {
        Assignment assignment = SheetCode.read(typed)
                .flatMap(code -> entities.createQuery("from Assignment where code = :code", Assignment.class)
                        .setParameter("code", code)
                        .getResultStream()
                        .findFirst())
                .orElseThrow(() -> TurnedDown.notFound("sheet"));
        if (entities.find(TakenBack.class, assignment.givingId()) != null) {
            throw TurnedDown.conflict(
                    "taken-back", "This exercise was taken back; ask your instructor for the one that counts");
        }
        Trainee trainee = entities.find(Trainee.class, assignment.traineeId());
        Exercise exercise = require(library.byId(List.of(assignment.exerciseId())), assignment.exerciseId());
        return new Sheet(assignment, trainee, exercise);
    }
}
