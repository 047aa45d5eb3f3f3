package lobrik.server.study;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.feature.FeatureKind;
import lobrik.measure.Quantity;
import lobrik.server.account.Account;
import lobrik.server.account.Accounts;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.study.MeasuringStudy.Asked;
import lobrik.server.study.MeasuringStudy.Plan;
import lobrik.server.study.StudyFigure.Turn;
import lobrik.study.MeasurementStudy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Studies of a school's readings. They are blind: while one goes on, a figure that was written down is seen by nobody, not by who read it
 * either, and everybody gets the pieces in an order of their own in each round, so that nobody knows what they read the time before.
 */
@Service
class Studies {

    private static final int LONGEST_TITLE = 80;
    private static final int MOST_PIECES = 50;
    private static final int MOST_REPEATS = 5;
    private static final int MOST_READERS = 20;
    private static final int MOST_STUDIES = 1000;

    private final EntityManager entities;
    private final Accounts accounts;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    Studies(EntityManager entities, Accounts accounts, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.accounts = accounts;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /** A study, and how many readings of a piece everybody has taken, by account. */
    record Standing(MeasuringStudy study, Map<UUID, Integer> done) {

        int doneBy(UUID account) {
            return done.getOrDefault(account, 0);
        }
    }

    /** The studies of a school, the newest first. */
    @Transactional(readOnly = true)
    List<Standing> all(SignedIn who) {
        List<MeasuringStudy> studies = entities.createQuery(
                        "from MeasuringStudy where centreId = :centre order by madeAt desc, id", MeasuringStudy.class)
                .setParameter("centre", who.centreId())
                .setMaxResults(MOST_STUDIES)
                .getResultList();
        Map<UUID, Map<UUID, Integer>> done = new HashMap<>();
        entities.createQuery("""
                        select f.studyId, f.accountId, cast(count(distinct f.piece * 10 + f.round) as integer) from StudyFigure f
                        where f.studyId in (select s.id from MeasuringStudy s where s.centreId = :centre)
                        group by f.studyId, f.accountId""", Object[].class)
                .setParameter("centre", who.centreId())
                .getResultStream()
                .forEach(row -> done.computeIfAbsent((UUID) row[0], _ -> new HashMap<>())
                        .put((UUID) row[1], (Integer) row[2]));
        return studies.stream()
                .map(study -> new Standing(study, done.getOrDefault(study.id(), Map.of())))
                .toList();
    }

    /**
     * A study of the school.
     *
     * @throws TurnedDown if the school of the one who asks has none of this id
     */
    @Transactional(readOnly = true)
    MeasuringStudy study(SignedIn who, UUID id) {
        MeasuringStudy study = entities.find(MeasuringStudy.class, id);
        if (study == null || !study.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("study");
        }
        return study;
    }

    /**
     * Begins a study. Repeating it changes nothing.
     *
     * @throws TurnedDown if it is of too little, or of people who do not measure here
     */
    @Transactional
    public void begin(SignedIn who, UUID id, Plan plan) {
        require(who, plan);
        turns.take(who.centreId());
        if (entities.find(MeasuringStudy.class, id) != null) {
            study(who, id);
            return;
        }
        entities.persist(new MeasuringStudy(id, who.centreId(), plan, who.accountId(), clock.instant()));
        audit.added(
                who,
                new Audit.Subject(Audit.Kind.STUDY, id, plan.title()),
                Audit.Change.of("pieces", null, plan.pieces()),
                Audit.Change.of("readers", null, plan.readers().size()),
                Audit.Change.of("repeats", null, plan.repeats()));
    }

    private void require(SignedIn who, Plan plan) {
        if (plan.title().isEmpty() || plan.title().length() > LONGEST_TITLE) {
            throw TurnedDown.badInput("/title", "missing", "give a title of 1 to " + LONGEST_TITLE + " characters");
        }
        requireWithin("/pieces", plan.pieces(), MeasurementStudy.FEWEST_PIECES, MOST_PIECES, "pieces");
        requireWithin("/repeats", plan.repeats(), MeasurementStudy.FEWEST_REPEATS, MOST_REPEATS, "times");
        requireWithin("/readers", plan.readers().size(), MeasurementStudy.FEWEST_PEOPLE, MOST_READERS, "people");
        requireWithin("/asked", plan.asked().size(), 1, FeatureKind.values().length, "things to read");
        if (plan.asked().stream().map(Asked::feature).distinct().count()
                < plan.asked().size()) {
            throw TurnedDown.badInput("/asked", "duplicate", "something is asked for twice");
        }
        Set<UUID> whoMeasure = accounts.whoMay(who.centreId(), Right.MEASURE).stream()
                .map(Account::id)
                .collect(Collectors.toSet());
        if (!whoMeasure.containsAll(plan.readers())) {
            throw TurnedDown.badInput("/readers", "unknown-value", "choose people who measure at this school");
        }
    }

    private static void requireWithin(String pointer, int given, int fewest, int most, String what) {
        if (given < fewest || given > most) {
            throw TurnedDown.badInput(
                    pointer, "out-of-range", "a study takes from " + fewest + " to " + most + " " + what);
        }
    }

    /** What somebody has read of a study. */
    @Transactional(readOnly = true)
    Set<Turn> doneBy(SignedIn who, MeasuringStudy study) {
        return figuresOf(study, who.accountId()).stream().map(StudyFigure::turn).collect(Collectors.toSet());
    }

    /**
     * Whose turn it is at which piece in which round; empty when somebody is through.
     *
     * @param done as {@link #doneBy} says it
     */
    Optional<Turn> next(SignedIn who, MeasuringStudy study, Set<Turn> done) {
        if (study.isClosed() || !study.plan().readers().contains(who.accountId())) {
            return Optional.empty();
        }
        return IntStream.rangeClosed(1, study.plan().repeats())
                .boxed()
                .flatMap(round -> inTurn(study, who.accountId(), round).stream())
                .filter(turn -> !done.contains(turn))
                .findFirst();
    }

    /** All pieces once, in an order of the reader's own that nobody can foresee and that is the same whenever it is asked. */
    private static List<Turn> inTurn(MeasuringStudy study, UUID account, int round) {
        List<Turn> turns = IntStream.rangeClosed(1, study.plan().pieces())
                .mapToObj(piece -> new Turn(account, piece, round))
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.shuffle(
                turns,
                new Random(study.id().getLeastSignificantBits() ^ account.getMostSignificantBits() ^ (31L * round)));
        return turns;
    }

    private List<StudyFigure> figuresOf(MeasuringStudy study, UUID account) {
        return entities.createQuery(
                        "from StudyFigure where studyId = :study and accountId = :account", StudyFigure.class)
                .setParameter("study", study.id())
                .setParameter("account", account)
                .getResultList();
    }

    /** Everything that was read for a study, in the order that it was written down. */
    @Transactional(readOnly = true)
    List<StudyFigure> figures(MeasuringStudy study) {
        return entities.createQuery("from StudyFigure where studyId = :study order by at, id", StudyFigure.class)
                .setParameter("study", study.id())
                .getResultList();
    }

    /**
     * Writes down what somebody read of the piece whose turn it is. What was sent twice is kept once.
     *
     * @param read by id of the kind of feature
     * @throws TurnedDown if it is not their turn, or not everything that is asked was read
     */
    @Transactional
    public void write(SignedIn who, UUID id, int piece, int round, Map<String, Quantity> read) {
        turns.take(id);
        MeasuringStudy study = study(who, id);
        Turn turn = new Turn(who.accountId(), piece, round);
        Set<Turn> done = doneBy(who, study);
        if (done.contains(turn)) {
            return;
        }
        if (study.isClosed()) {
            throw TurnedDown.conflict("closed", "This study is closed; what is read now does not count any more");
        }
        if (!next(who, study, done).filter(turn::equals).isPresent()) {
            throw TurnedDown.conflict("not-your-turn", "It is another piece's turn; open the study again");
        }
        Set<String> asked = study.plan().asked().stream().map(Asked::feature).collect(Collectors.toSet());
        if (!asked.equals(read.keySet())) {
            throw TurnedDown.badInput("/figures", "missing", "read everything that is asked of the piece");
        }
        read.forEach((feature, value) ->
                entities.persist(new StudyFigure(study.id(), turn, feature, value, clock.instant())));
    }

    /** Closes a study, so that what came out is seen. Repeating it changes nothing. */
    @Transactional
    public void close(SignedIn who, UUID id) {
        turns.take(id);
        MeasuringStudy study = study(who, id);
        if (study.isClosed()) {
            return;
        }
        study.close(who.accountId(), clock.instant());
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.STUDY, id, study.plan().title()),
                List.of(new Audit.Change("state", "going on", "closed")),
                null);
    }

    /**
     * Takes away a study that nobody has read anything for.
     *
     * @throws TurnedDown if somebody has
     */
    @Transactional
    public void takeAway(SignedIn who, UUID id) {
        turns.take(id);
        MeasuringStudy study = study(who, id);
        if (!figures(study).isEmpty()) {
            throw TurnedDown.conflict("begun", "Somebody has measured for this study already; close it instead");
        }
        entities.remove(study);
        audit.ended(who, new Audit.Subject(Audit.Kind.STUDY, id, study.plan().title()), null);
    }
}
