package lobrik.server.cohort;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who is in which cohort, over the years: added, moved, leaving, coming back, and everybody moving up at the end of a year. What
 * somebody did belongs to them and goes with them; a cohort that is archived stays as it was.
 */
@Service
public class Enrolments {

    private static final int LONGEST_NAME = 100;
    private static final int LONGEST_NUMBER = 40;
    private static final int LONGEST_REASON = 300;
    private static final int MOST_BENCHES = 999;
    private static final int MOST_EXTRA_TIME = 200;

    /** A trainee as the list has them. */
    public record Enrolled(
            UUID id,
            String fullName,
            @Nullable String number,
            int bench,
            UUID cohortId,
            String cohortName,
            Instant joinedAt,
            @Nullable Instant leftAt,
            boolean largerPrint,
            int extraTimePct,
            @Nullable Instant portraitAt,
            int edition) {}

    /** Some of them, and how many there are in all. */
    public record EnrolledPage(List<Enrolled> trainees, long all) {}

    /** What somebody is called and needs. */
    public record Particulars(String fullName, @Nullable String number, Trainee.Needs needs) {}

    /**
     * What becomes of a cohort at the end of a year.
     *
     * @param from the cohort that is archived
     * @param to under which id its people go on, made by the client; null if they leave the school
     * @param name of the one that they go on in
     */
    public record Step(
            UUID from,
            @Nullable UUID to,
            @Nullable String name,
            @Nullable LocalDate beginsOn,
            @Nullable LocalDate endsOn) {}

    private static final String FOUND = """
            from trainee t join cohort c on c.id = t.cohort_id
            where c.centre_id = :centre
              and (:all or exists (select 1 from cohort_instructor i where i.cohort_id = c.id and i.account_id = :account))
              and (t.full_name ilike :text or t.number ilike :text)
              and (cast(:cohort as uuid) is null or c.id = cast(:cohort as uuid))
              and (t.left_at is not null) = :left""";

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    Enrolments(EntityManager entities, Cohorts cohorts, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * Some of the trainees that one may see, by name.
     *
     * @param text somewhere in name or number
     * @param cohort only these; all if null
     * @param left those who have left instead of those who are there
     */
    @Transactional(readOnly = true)
    public EnrolledPage page(SignedIn who, String text, @Nullable UUID cohort, boolean left, int from, int most) {
        Query count = found(who, "select count(*) as n " + FOUND, text, cohort, left);
        long all = Rows.listed(count).getFirst().get("n", Long.class);
        Query query = found(who, """
                        select t.id, t.full_name, t.number, t.bench, t.cohort_id, c.name as cohort_name, t.joined_at, t.left_at,
                          t.larger_print, t.extra_time_pct, t.portrait_at, t.edition
                        """ + FOUND + " order by lower(t.full_name), t.id", text, cohort, left)
                .setFirstResult(from)
                .setMaxResults(most);
        return new EnrolledPage(
                Rows.listed(query).stream().map(Enrolments::enrolled).toList(), all);
    }

    private Query found(SignedIn who, String question, String text, @Nullable UUID cohort, boolean left) {
        return entities.createNativeQuery(question, Tuple.class)
                .setParameter("centre", who.centreId())
                .setParameter("all", who.may(Right.READ_EVERY_COHORT))
                .setParameter("account", who.accountId())
                .setParameter("text", Rows.anywhere(text))
                .setParameter("cohort", cohort == null ? null : cohort.toString())
                .setParameter("left", left);
    }

    private static Enrolled enrolled(Tuple row) {
        return new Enrolled(
                row.get("id", UUID.class),
                row.get("full_name", String.class),
                row.get("number", String.class),
                row.get("bench", Integer.class),
                row.get("cohort_id", UUID.class),
                row.get("cohort_name", String.class),
                row.get("joined_at", Instant.class),
                row.get("left_at", Instant.class),
                row.get("larger_print", Boolean.class),
                row.get("extra_time_pct", Integer.class),
                row.get("portrait_at", Instant.class),
                row.get("edition", Integer.class));
    }

    /** How many are in each cohort of the school, or were when it was archived. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> sizes(SignedIn who) {
        Map<UUID, Integer> sizes = new HashMap<>();
        Rows.listed(entities.createNativeQuery("""
                                select e.cohort_id, count(distinct e.trainee_id) as n from enrolment e join cohort c on c.id = e.cohort_id
                                where c.centre_id = :centre and (e.until is null or e.until >= c.archived_at)
                                group by e.cohort_id""", Tuple.class).setParameter("centre", who.centreId()))
                .forEach(row -> sizes.put(
                        row.get("cohort_id", UUID.class),
                        row.get("n", Long.class).intValue()));
        return sizes;
    }

    /**
     * Adds somebody to a cohort. A repeated call adds nobody.
     *
     * @param bench the next that is free if null
     * @throws TurnedDown if something is missing or taken, or the cohort is archived
     */
    @Transactional
    public void add(
            SignedIn who, UUID id, UUID cohortId, String fullName, @Nullable Integer bench, @Nullable String number) {
        turns.take(who.centreId());
        Cohort cohort = open(who, cohortId);
        if (entities.find(Trainee.class, id) != null) {
            cohorts.trainee(who, id);
            return;
        }
        String name = requireName(fullName);
        String numbered = requireNumber(who, id, number);
        int place = bench == null ? freeBench(cohortId) : requireBench(bench);
        entities.persist(new Trainee(id, cohortId, name, place, numbered));
        audit.added(
                who,
                new Audit.Subject(Audit.Kind.TRAINEE, id, name),
                new Audit.Change("cohort", null, cohort.name()),
                Audit.Change.of("bench", null, place));
    }

    private int freeBench(UUID cohortId) {
        Integer last = entities.createQuery(
                        "select max(bench) from Trainee where cohortId = :cohort and leftAt is null", Integer.class)
                .setParameter("cohort", cohortId)
                .getSingleResult();
        return last == null ? 1 : Math.min(MOST_BENCHES, last + 1);
    }

    /**
     * Changes what somebody is called and needs.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if something is missing or taken, or somebody else changed them since
     */
    @Transactional
    public void change(SignedIn who, UUID id, int seen, Particulars chosen) {
        turns.take(who.centreId());
        Trainee trainee = requireUnchanged(cohorts.trainee(who, id), seen);
        Trainee.Needs needs = chosen.needs();
        if (needs.extraTimePct() < 0 || needs.extraTimePct() > MOST_EXTRA_TIME) {
            throw TurnedDown.badInput(
                    "/extraTimePct", "out-of-range", "give from 0 to " + MOST_EXTRA_TIME + " per cent of extra time");
        }
        Particulars after =
                new Particulars(requireName(chosen.fullName()), requireNumber(who, id, chosen.number()), needs);
        Particulars before = new Particulars(trainee.fullName(), trainee.number(), trainee.needs());
        trainee.become(after.fullName(), after.number(), needs);
        audit.changed(who, subject(trainee), Differences.between(before, after), null);
    }

    /**
     * Moves somebody to another cohort or bench; what they did goes with them.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if there is no such cohort for the one who asks, or somebody else changed them since
     */
    @Transactional
    public void move(SignedIn who, UUID id, int seen, UUID cohortId, int bench) {
        turns.take(who.centreId());
        Trainee trainee = requireUnchanged(cohorts.trainee(who, id), seen);
        Cohort to = open(who, cohortId);
        requireHere(trainee);
        Cohort from = entities.find(Cohort.class, trainee.cohortId());
        List<Audit.Change> changes = List.of(
                Audit.Change.of("cohort", from.name(), to.name()), Audit.Change.of("bench", trainee.bench(), bench));
        moveTo(trainee, to.id(), requireBench(bench));
        audit.changed(who, subject(trainee), changes, null);
    }

    /** Groups are of one cohort. */
    private void moveTo(Trainee trainee, UUID cohortId, int bench) {
        if (!trainee.cohortId().equals(cohortId)) {
            leaveGroups(trainee);
        }
        trainee.move(cohortId, bench);
    }

    private void leaveGroups(Trainee trainee) {
        entities.createNativeQuery("delete from trainee_group_member where trainee_id = :id")
                .setParameter("id", trainee.id())
                .executeUpdate();
    }

    /**
     * Somebody leaves the school, or comes back to where they were. Their record stays; the key to their page opens nothing while
     * they are away.
     *
     * @param seen the edition that whoever asks has seen
     * @param reason may be empty
     * @throws TurnedDown if somebody else changed them since, or their cohort is archived and they come back
     */
    @Transactional
    public void leave(SignedIn who, UUID id, int seen, boolean left, String reason) {
        String why = reason.strip();
        if (why.length() > LONGEST_REASON) {
            throw TurnedDown.badInput("/reason", "out-of-range", "give at most " + LONGEST_REASON + " characters");
        }
        turns.take(who.centreId());
        Trainee trainee = requireUnchanged(cohorts.trainee(who, id), seen);
        if (trainee.hasLeft() == left) {
            return;
        }
        if (left) {
            leaveGroups(trainee);
        } else {
            open(who, trainee.cohortId());
        }
        trainee.leave(left ? clock.instant() : null);
        audit.changed(
                who,
                subject(trainee),
                List.of(new Audit.Change("is there", left ? "yes" : "no", left ? "no" : "yes")),
                why.isEmpty() ? null : why);
    }

    /**
     * Lets somebody who left when their cohort was archived come back into another.
     *
     * @throws TurnedDown if they are there, or somebody else changed them since
     */
    @Transactional
    public void comeBack(SignedIn who, UUID id, int seen, UUID cohortId, int bench) {
        turns.take(who.centreId());
        Trainee trainee = requireUnchanged(cohorts.trainee(who, id), seen);
        Cohort to = open(who, cohortId);
        if (!trainee.hasLeft()) {
            throw TurnedDown.conflict("is-here", trainee.fullName() + " is there already; move them instead");
        }
        trainee.move(to.id(), requireBench(bench));
        trainee.leave(null);
        audit.changed(
                who,
                subject(trainee),
                List.of(new Audit.Change("is there", "no", "yes"), new Audit.Change("cohort", null, to.name())),
                null);
    }

    /**
     * Gives a cohort another name or other dates.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if they are no good or taken, or somebody else changed it since
     */
    @Transactional
    public void keep(
            SignedIn who, UUID id, int seen, String name, @Nullable LocalDate beginsOn, @Nullable LocalDate endsOn) {
        turns.take(who.centreId());
        Cohort cohort = open(who, id);
        if (cohort.edition() != seen) {
            throw TurnedDown.changedMeanwhile(cohort.name());
        }
        String called = requireName(name);
        requireFree(who, id, called);
        requireDates(beginsOn, endsOn);
        List<Audit.Change> changes = List.of(
                Audit.Change.of("name", cohort.name(), called),
                Audit.Change.of("first day", cohort.beginsOn(), beginsOn),
                Audit.Change.of("last day", cohort.endsOn(), endsOn));
        cohort.become(called, beginsOn, endsOn);
        audit.changed(who, new Audit.Subject(Audit.Kind.COHORT, id, called), changes, null);
    }

    /**
     * The end of a year: every cohort that is named is archived as it is, and its people go on in the next one, with the same staff,
     * or leave. All of it happens or nothing; a repeated call changes nothing.
     *
     * @throws TurnedDown if a name is taken, a cohort is archived already, or several steps lead nowhere
     */
    @Transactional
    public void changeYear(SignedIn who, List<Step> steps) {
        turns.take(who.centreId());
        List<Step> open = steps.stream()
                .filter(step -> step.to() == null || entities.find(Cohort.class, step.to()) == null)
                .filter(step -> !cohorts.cohort(who, step.from()).isArchived())
                .toList();
        // The moment that the database writes into the enrolments that end with it.
        Instant now = (Instant)
                entities.createNativeQuery("select now()", Instant.class).getSingleResult();
        Map<UUID, List<Trainee>> people = new HashMap<>();
        for (Step step : open) {
            people.put(step.from(), cohorts.trainees(who, step.from()));
        }
        // Archived first, so that a name is free for the next year's cohort.
        List<Cohort> archived =
                open.stream().map(step -> cohorts.cohort(who, step.from())).toList();
        archived.forEach(cohort -> cohort.archive(now));
        entities.flush();
        for (int i = 0; i < open.size(); i++) {
            Step step = open.get(i);
            Cohort from = archived.get(i);
            List<Trainee> theirs = Objects.requireNonNull(people.get(step.from()));
            Cohort to = step.to() == null ? null : started(who, step, step.to(), from);
            theirs.forEach(trainee -> {
                if (to == null) {
                    leaveGroups(trainee);
                    trainee.leave(now);
                } else {
                    moveTo(trainee, to.id(), trainee.bench());
                }
            });
        }
        for (int i = 0; i < open.size(); i++) {
            Step step = open.get(i);
            Cohort from = archived.get(i);
            audit.changed(
                    who,
                    new Audit.Subject(Audit.Kind.COHORT, from.id(), from.name()),
                    List.of(
                            new Audit.Change("goes on", "yes", "archived"),
                            Audit.Change.of(
                                    Objects.requireNonNull(people.get(step.from()))
                                                    .size() + " people",
                                    from.name(),
                                    step.to() == null ? "left the school" : step.name())),
                    null);
        }
    }

    private Cohort started(SignedIn who, Step step, UUID id, Cohort from) {
        String name = requireName(Objects.requireNonNullElse(step.name(), ""));
        requireFree(who, id, name);
        requireDates(step.beginsOn(), step.endsOn());
        Cohort to = new Cohort(id, who.centreId(), name, from.staff(), clock.instant());
        to.become(name, step.beginsOn(), step.endsOn());
        entities.persist(to);
        entities.flush();
        return to;
    }

    /** The cohort that somebody was in at some time, for records of that time; the first that they were in if it was before that. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Membership>> memberships(Collection<UUID> trainees) {
        Map<UUID, List<Membership>> memberships = new HashMap<>();
        entities.createQuery(
                        "from Enrolment where traineeId in :trainees order by since nulls first, until nulls last",
                        Enrolment.class)
                .setParameter("trainees", trainees)
                .getResultStream()
                .forEach(enrolment -> memberships
                        .computeIfAbsent(enrolment.traineeId(), _ -> new ArrayList<>())
                        .add(new Membership(enrolment)));
        return memberships;
    }

    /** That somebody was in a cohort. */
    public static final class Membership {

        private final Enrolment enrolment;

        private Membership(Enrolment enrolment) {
            this.enrolment = enrolment;
        }

        /** The cohort of the last membership that had begun by then; that of the first if none had. */
        public static UUID at(List<Membership> all, Instant at) {
            UUID cohort = all.getFirst().enrolment.cohortId();
            for (Membership membership : all) {
                if (membership.enrolment.hadBegun(at)) {
                    cohort = membership.enrolment.cohortId();
                }
            }
            return cohort;
        }
    }

    private Cohort open(SignedIn who, UUID id) {
        return cohorts.open(who, id);
    }

    private static Trainee requireUnchanged(Trainee trainee, int seen) {
        if (trainee.edition() != seen) {
            throw TurnedDown.changedMeanwhile(trainee.fullName());
        }
        return trainee;
    }

    private static void requireHere(Trainee trainee) {
        if (trainee.hasLeft()) {
            throw TurnedDown.conflict(
                    "has-left", trainee.fullName() + " has left; let them come back into a cohort instead");
        }
    }

    private void requireFree(SignedIn who, UUID id, String name) {
        boolean taken = !entities.createQuery(
                        "select id from Cohort where centreId = :centre and name = :name and archivedAt is null and id <> :id",
                        UUID.class)
                .setParameter("centre", who.centreId())
                .setParameter("name", name)
                .setParameter("id", id)
                .getResultList()
                .isEmpty();
        if (taken) {
            throw TurnedDown.conflict(
                    "name-taken", "There is a cohort called “" + name + "” already; choose another name");
        }
    }

    private static void requireDates(@Nullable LocalDate beginsOn, @Nullable LocalDate endsOn) {
        if (beginsOn != null && endsOn != null && endsOn.isBefore(beginsOn)) {
            throw TurnedDown.badInput("/endsOn", "out-of-range", "the last day comes after the first");
        }
    }

    private static String requireName(String given) {
        String name = given.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw TurnedDown.badInput("/fullName", "missing", "give a name of 1 to " + LONGEST_NAME + " characters");
        }
        return name;
    }

    private @Nullable String requireNumber(SignedIn who, UUID id, @Nullable String given) {
        if (given == null || given.isBlank()) {
            return null;
        }
        String number = given.strip();
        if (number.length() > LONGEST_NUMBER) {
            throw TurnedDown.badInput("/number", "out-of-range", "give at most " + LONGEST_NUMBER + " characters");
        }
        boolean taken = cohorts.numbered(who).stream()
                .anyMatch(other -> number.equals(other.number()) && !other.id().equals(id));
        if (taken) {
            throw TurnedDown.badInput("/number", "duplicate", "somebody of the school has this number already");
        }
        return number;
    }

    private static int requireBench(int bench) {
        if (bench < 1 || bench > MOST_BENCHES) {
            throw TurnedDown.badInput("/bench", "out-of-range", "benches have numbers from 1 to " + MOST_BENCHES);
        }
        return bench;
    }

    static Audit.Subject subject(Trainee trainee) {
        return new Audit.Subject(Audit.Kind.TRAINEE, trainee.id(), trainee.fullName());
    }
}
