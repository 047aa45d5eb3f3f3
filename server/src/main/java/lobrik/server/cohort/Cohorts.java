package lobrik.server.cohort;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Days;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Cohorts and trainees as one may see them: a lead those of the centre, an instructor those they teach. Every other feature
 * asks here before it shows or changes anything of a trainee.
 */
@Service
public class Cohorts {

    private static final String VISIBLE = "c.centreId = :centre and (:lead = true or :account member of c.instructors)";

    private final EntityManager entities;
    private final Turns turns;
    private final Audit audit;
    private final Clock clock;

    Cohorts(EntityManager entities, Turns turns, Audit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.turns = turns;
        this.clock = clock;
    }

    /** The cohorts one may see, by name. */
    @Transactional(readOnly = true)
    public List<Cohort> visibleTo(SignedIn who) {
        return visible(who, "from Cohort c where %s and c.archivedAt is null order by c.name", Cohort.class);
    }

    /**
     * The cohort with this id.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    @Transactional(readOnly = true)
    public Cohort cohort(SignedIn who, UUID id) {
        return entities.createQuery("from Cohort c where c.id = :id and " + VISIBLE, Cohort.class)
                .setParameter("id", id)
                .setParameter("centre", who.centreId())
                .setParameter("lead", who.may(Right.READ_EVERY_COHORT))
                .setParameter("account", who.accountId())
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("cohort"));
    }

    /**
     * The trainee with this id.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    @Transactional(readOnly = true)
    public Trainee trainee(SignedIn who, UUID id) {
        return asked(
                        who,
                        "select t from Trainee t join Cohort c on c.id = t.cohortId where t.id = :id and %s",
                        Trainee.class)
                .setParameter("id", id)
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("trainee"));
    }

    /**
     * A question about what somebody may see.
     *
     * @param question has {@code %s} where it has to be said that the cohort {@code c} is one of theirs
     */
    public <T> TypedQuery<T> asked(SignedIn who, String question, Class<T> answer) {
        return entities.createQuery(question.formatted(VISIBLE), answer)
                .setParameter("centre", who.centreId())
                .setParameter("lead", who.may(Right.READ_EVERY_COHORT))
                .setParameter("account", who.accountId());
    }

    /** What the monitor on the wall of this school tells of people. */
    @Transactional(readOnly = true)
    public Centre.OnTheWall onTheWall(SignedIn who) {
        return centre(who).onTheWall();
    }

    /**
     * Chooses what the monitor on the wall tells of people.
     *
     * @throws TurnedDown if the one who asks does not lead the school
     */
    @Transactional
    public void show(SignedIn who, Centre.OnTheWall chosen) {
        Centre centre = led(who, "chooses what the wall tells of people");
        Centre.OnTheWall before = centre.onTheWall();
        centre.show(chosen);
        audit.changed(who, subject(centre), Differences.between(before, chosen), null);
    }

    /** Whether points of this school leave out what a bender is known to add by itself. */
    @Transactional(readOnly = true)
    public boolean leavesBenderOutOfPoints(SignedIn who) {
        return centre(who).leavesBenderOutOfPoints();
    }

    /**
     * Chooses that for pieces that are begun from now on.
     *
     * @throws TurnedDown if the one who asks does not lead the school
     */
    @Transactional
    public void leaveBenderOutOfPoints(SignedIn who, boolean leftOut) {
        Centre centre = led(who, "decides whether points leave out what a bender adds");
        boolean before = centre.leavesBenderOutOfPoints();
        centre.leaveBenderOutOfPoints(leftOut);
        audit.changed(
                who, subject(centre), List.of(Audit.Change.of("points leave the bender out", before, leftOut)), null);
    }

    /** For how many days after its session the code on a sheet of this school opens something. */
    @Transactional(readOnly = true)
    public int sheetDays(SignedIn who) {
        return centre(who).sheetDays();
    }

    /**
     * Chooses that, for sheets that are out as well.
     *
     * @throws TurnedDown if the one who asks does not lead the school
     */
    @Transactional
    public void keepSheetsFor(SignedIn who, int days) {
        Centre centre = led(who, "decides how long the code on a sheet works");
        int before = centre.sheetDays();
        centre.keepSheetsFor(days);
        audit.changed(who, subject(centre), List.of(Audit.Change.of("days that sheets work", before, days)), null);
    }

    /**
     * Says which day is a cohort's last, or that none is known.
     *
     * @throws TurnedDown if there is no such cohort for the one who asks
     */
    @Transactional
    public void endOn(SignedIn who, UUID id, @Nullable LocalDate day) {
        Cohort cohort = cohort(who, id);
        LocalDate before = cohort.endsOn();
        cohort.endOn(day);
        audit.changed(who, subject(cohort), List.of(Audit.Change.of("last day", before, day)), null);
    }

    /** Whether the last day of a cohort is over, for whoever was let in by other means than an account. */
    @Transactional(readOnly = true)
    public boolean isOver(UUID cohortId) {
        return entities.find(Cohort.class, cohortId).isOver(Days.today(clock));
    }

    /** The centre, for whoever leads it. */
    private Centre led(SignedIn who, String whatTheLeadDoes) {
        if (!who.may(Right.LEAD)) {
            throw TurnedDown.forbidden("Only the centre lead " + whatTheLeadDoes);
        }
        return centre(who);
    }

    private static Audit.Subject subject(Centre centre) {
        return new Audit.Subject(Audit.Kind.SCHOOL, centre.id(), centre.name());
    }

    private static Audit.Subject subject(Cohort cohort) {
        return new Audit.Subject(Audit.Kind.COHORT, cohort.id(), cohort.name());
    }

    private Centre centre(SignedIn who) {
        Centre centre = entities.find(Centre.class, who.centreId());
        if (centre == null) {
            throw TurnedDown.notFound("school");
        }
        return centre;
    }

    /** The centre that a cohort belongs to, for whoever was let in by other means than an account. */
    @Transactional(readOnly = true)
    public Centre centreOf(UUID cohortId) {
        return entities.createQuery(
                        "select e from Centre e join Cohort c on c.centreId = e.id where c.id = :cohort", Centre.class)
                .setParameter("cohort", cohortId)
                .getSingleResult();
    }

    /** The school that was there first; most servers have no other. */
    @Transactional(readOnly = true)
    public UUID firstSchool() {
        return (UUID)
                entities.createNativeQuery("select first_school()", UUID.class).getSingleResult();
    }

    /** A trainee, for themselves: whoever asks has made sure of that. */
    @Transactional(readOnly = true)
    public Trainee traineeThemselves(UUID id) {
        return entities.find(Trainee.class, id);
    }

    /** What a cohort is called, for whoever was let in by other means than an account. */
    @Transactional(readOnly = true)
    public String nameOf(UUID cohortId) {
        return entities.find(Cohort.class, cohortId).name();
    }

    /** The cohorts of earlier years that one may see, the newest first. */
    @Transactional(readOnly = true)
    List<Cohort> archived(SignedIn who) {
        return visible(
                who,
                "from Cohort c where %s and c.archivedAt is not null order by c.archivedAt desc, c.name",
                Cohort.class);
    }

    /** The trainees of a cohort, by bench: those who are in it, or were when it was archived. */
    @Transactional(readOnly = true)
    public List<Trainee> trainees(SignedIn who, UUID cohortId) {
        Cohort cohort = cohort(who, cohortId);
        if (cohort.isArchived()) {
            return asItWas(cohort);
        }
        return entities.createQuery(
                        "from Trainee where cohortId = :cohort and leftAt is null order by bench, fullName",
                        Trainee.class)
                .setParameter("cohort", cohortId)
                .getResultList();
    }

    private List<Trainee> asItWas(Cohort cohort) {
        return entities
                .createQuery("""
                        select t from Trainee t join Enrolment e on e.traineeId = t.id
                        where e.cohortId = :cohort and (e.until is null or e.until >= :end)
                        order by e.bench, t.fullName""", Trainee.class)
                .setParameter("cohort", cohort.id())
                .setParameter("end", cohort.archivedAt())
                .getResultList()
                .stream()
                .distinct()
                .toList();
    }

    /** A cohort that goes on: others stay as they are. */
    @Transactional(readOnly = true)
    public Cohort open(SignedIn who, UUID id) {
        Cohort cohort = cohort(who, id);
        if (cohort.isArchived()) {
            throw TurnedDown.conflict(
                    "archived", cohort.name() + " is archived and stays as it was; choose a cohort that goes on");
        }
        return cohort;
    }

    /** The trainees of every cohort that one may see, by cohort and then by bench. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Trainee>> traineesByCohort(SignedIn who) {
        return visible(who, """
                        select t from Trainee t join Cohort c on c.id = t.cohortId
                        where %s and c.archivedAt is null and t.leftAt is null order by t.bench, t.fullName""", Trainee.class).stream().collect(Collectors.groupingBy(Trainee::cohortId));
    }

    /** The groups of every cohort that one may see, by cohort and then by name. */
    @Transactional(readOnly = true)
    public Map<UUID, List<TraineeGroup>> groupsByCohort(SignedIn who) {
        return visible(who, """
                        select distinct g from TraineeGroup g left join fetch g.trainees join Cohort c on c.id = g.cohortId
                        where %s order by g.name""", TraineeGroup.class).stream().collect(Collectors.groupingBy(TraineeGroup::cohortId));
    }

    private <T> List<T> visible(SignedIn who, String question, Class<T> type) {
        return asked(who, question, type).getResultList();
    }

    /** A new cohort with the one who starts it as its instructor, and its trainees at benches 1, 2, 3 … */
    @Transactional
    public Cohort start(SignedIn who, UUID id, String name, List<String> traineeNames) {
        turns.take(id);
        Cohort already = entities.find(Cohort.class, id);
        if (already != null) {
            return cohort(who, id);
        }
        if (visibleTo(who).stream().anyMatch(cohort -> cohort.name().equals(name))) {
            throw TurnedDown.conflict("name-taken", "There is a cohort with this name already; choose another");
        }
        Cohort cohort = new Cohort(id, who.centreId(), name, Set.of(who.accountId()), clock.instant());
        entities.persist(cohort);
        int bench = 1;
        for (String fullName : traineeNames) {
            entities.persist(new Trainee(UUID.randomUUID(), id, fullName, bench++));
        }
        audit.added(who, subject(cohort), Audit.Change.of("trainees", null, traineeNames.size()));
        return cohort;
    }

    /** The trainees of the centre that the school knows by a number, whoever teaches them: numbers are unique. */
    @Transactional(readOnly = true)
    public List<Trainee> numbered(SignedIn who) {
        return entities.createQuery("""
                        select t from Trainee t join Cohort c on c.id = t.cohortId
                        where c.centreId = :centre and t.number is not null""", Trainee.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /** Adds a trainee to a cohort. */
    @Transactional
    public void enrol(SignedIn who, UUID cohortId, String fullName, int bench, @Nullable String number) {
        turns.take(cohortId);
        Cohort cohort = open(who, cohortId);
        Trainee trainee = new Trainee(UUID.randomUUID(), cohort.id(), fullName, bench, number);
        entities.persist(trainee);
        audit.added(
                who,
                new Audit.Subject(Audit.Kind.TRAINEE, trainee.id(), fullName),
                new Audit.Change("cohort", null, cohort.name()));
    }

    /** The groups of a cohort, by name. */
    @Transactional(readOnly = true)
    public List<TraineeGroup> groups(SignedIn who, UUID cohortId) {
        return entities.createQuery("from TraineeGroup where cohortId = :cohort order by name", TraineeGroup.class)
                .setParameter("cohort", cohort(who, cohortId).id())
                .getResultList();
    }

    /**
     * The group with this id.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    @Transactional(readOnly = true)
    public TraineeGroup group(SignedIn who, UUID id) {
        TraineeGroup group = entities.find(TraineeGroup.class, id);
        if (group == null) {
            throw TurnedDown.notFound("group");
        }
        cohort(who, group.cohortId());
        return group;
    }

    /** Makes a group, or changes its name and who is in it. */
    @Transactional
    public TraineeGroup keepGroup(SignedIn who, UUID id, UUID cohortId, String name, Set<UUID> traineeIds) {
        turns.take(cohortId);
        Set<UUID> known = trainees(who, cohortId).stream().map(Trainee::id).collect(Collectors.toSet());
        if (!known.containsAll(traineeIds)) {
            throw TurnedDown.notFound("trainee");
        }
        if (groups(who, cohortId).stream()
                .anyMatch(group -> group.name().equals(name) && !group.id().equals(id))) {
            throw TurnedDown.conflict("name-taken", "There is a group with this name already; choose another");
        }
        TraineeGroup already = entities.find(TraineeGroup.class, id);
        if (already == null) {
            TraineeGroup group = new TraineeGroup(id, cohortId, name, traineeIds);
            entities.persist(group);
            return group;
        }
        if (!already.cohortId().equals(cohortId)) {
            throw TurnedDown.conflict("id-taken", "This id is taken; make a new one");
        }
        already.become(name, traineeIds);
        return already;
    }

    /** Dissolves a group; its trainees keep what they were given. */
    @Transactional
    public void dissolve(SignedIn who, UUID id) {
        entities.remove(group(who, id));
    }
}
