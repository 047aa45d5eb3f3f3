package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.progress.Family;
import lobrik.progress.HabitWords;
import lobrik.progress.Standing;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Giving;
import lobrik.server.giving.Givings;
import lobrik.server.platform.TurnedDown;
import lobrik.server.progress.Insights.Insight;
import lobrik.server.progress.PlanView.EntryName;
import lobrik.server.progress.PlanView.MemberView;
import lobrik.server.progress.PlanView.PlanGroup;
import lobrik.server.progress.PlanView.ReadyView;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans the coming session of a cohort, and gives the plan out in one step. */
@Service
public class Planning {

    /** Habits look no further back. */
    private static final int LOOKED_AT = 24;

    /** Who bends what of a plan. */
    public record Part(UUID entryId, List<UUID> traineeIds, boolean varied) {}

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Accounts accounts;
    private final Insights insights;
    private final Library library;
    private final Givings givings;
    private final Curricula curricula;

    Planning(
            EntityManager entities,
            Cohorts cohorts,
            Accounts accounts,
            Insights insights,
            Library library,
            Givings givings,
            Curricula curricula) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.accounts = accounts;
        this.insights = insights;
        this.library = library;
        this.givings = givings;
        this.curricula = curricula;
    }

    /** What each of a cohort bends next, and why. */
    @Transactional(readOnly = true)
    PlanView plan(SignedIn who, UUID cohortId) {
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        List<UUID> ids = trainees.stream().map(Trainee::id).toList();
        Map<UUID, Insight> found = insights.of(who.centreId(), cohortId, ids, LOOKED_AT);
        HabitWords words = new HabitWords(accounts.unitOf(who));
        Map<Family, List<MemberView>> groups = new TreeMap<>();
        List<ReadyView> ready = new ArrayList<>();
        for (Trainee trainee : trainees) {
            Insight insight = Objects.requireNonNull(found.get(trainee.id()));
            groups.computeIfAbsent(insight.next().family(), family -> new ArrayList<>())
                    .add(new MemberView(
                            trainee.id(),
                            trainee.fullName(),
                            trainee.bench(),
                            TraineePages.next(insight.next(), words)));
            insight.standings().forEach((family, standing) -> {
                if (standing == Standing.READY) {
                    ready.add(new ReadyView(trainee.id(), trainee.fullName(), family.id()));
                }
            });
        }
        Map<UUID, Map<UUID, Long>> had = had(ids);
        List<Exercise> shelf = library.newest(who);
        return new PlanView(
                cohortId,
                curricula.inForce(who.centreId()).shownTo(groups.keySet()).stream()
                        .filter(groups::containsKey)
                        .map(family -> group(family, groups.getOrDefault(family, List.of()), shelf, had))
                        .toList(),
                ready);
    }

    /** The exercise that the group has had least, the newest of those. */
    private static PlanGroup group(
            Family family, List<MemberView> members, List<Exercise> shelf, Map<UUID, Map<UUID, Long>> had) {
        List<EntryName> entries = shelf.stream()
                .filter(exercise -> exercise.family().equals(family))
                .sorted(Comparator.comparingLong((Exercise exercise) -> members.stream()
                                .mapToLong(member -> had.getOrDefault(member.traineeId(), Map.of())
                                        .getOrDefault(exercise.entryId(), 0L))
                                .sum())
                        .thenComparing(Exercise::createdAt, Comparator.reverseOrder())
                        .thenComparing(Exercise::entryId))
                .map(exercise -> new EntryName(
                        exercise.entryId(), exercise.title(), exercise.content().variation() != null))
                .toList();
        return new PlanGroup(family.id(), entries.isEmpty() ? null : entries.getFirst(), entries, members);
    }

    /** How often each of some trainees was given each entry of the library. */
    private Map<UUID, Map<UUID, Long>> had(Collection<UUID> trainees) {
        Map<UUID, Map<UUID, Long>> had = new HashMap<>();
        entities.createQuery("""
                        select a.traineeId as trainee, e.entryId as entry, count(*) as times from Assignment a join Exercise e on e.id = a.exerciseId
                        where a.traineeId in :trainees group by a.traineeId, e.entryId""", Tuple.class)
                .setParameter("trainees", trainees)
                .getResultStream()
                .forEach(row -> had.computeIfAbsent(row.get("trainee", UUID.class), id -> new HashMap<>())
                        .put(row.get("entry", UUID.class), row.get("times", Long.class)));
        return had;
    }

    /**
     * Gives a plan out, all of it or nothing. Repeating the request with the same key changes nothing.
     *
     * @param benders who has which bender, by trainee; of the others each has that of their exercise
     * @return the givings
     * @throws TurnedDown if an exercise is not on the shelf, or a trainee not in the cohort
     */
    @Transactional
    public List<UUID> give(
            SignedIn who,
            UUID cohortId,
            UUID key,
            List<Part> parts,
            @Nullable LocalDate dueOn,
            Map<UUID, UUID> benders) {
        var known = cohorts.trainees(who, cohortId).stream().map(Trainee::id).collect(Collectors.toSet());
        List<UUID> given = new ArrayList<>();
        for (Part part : parts) {
            if (!known.containsAll(part.traineeIds())) {
                throw TurnedDown.notFound("trainee");
            }
            Exercise exercise = library.newest(who, part.entryId());
            UUID id = UUID.nameUUIDFromBytes((key + "/" + part.entryId()).getBytes(StandardCharsets.UTF_8));
            givings.give(
                    who,
                    new Givings.Order(
                            id,
                            part.entryId(),
                            null,
                            exercise.content(),
                            part.varied() && exercise.content().variation() != null,
                            new Givings.Receivers(null, null, part.traineeIds()),
                            new Giving.Terms(dueOn, null),
                            benders));
            given.add(id);
        }
        return given;
    }
}
