package lobrik.server.cohort;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.Audit;
import lobrik.server.account.People;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who teaches which cohorts or helps with them: they see these, and no others unless they see all. */
@Service
class CohortStaff {

    /** A cohort with the accounts of its staff. */
    record Staffed(UUID cohortId, String name, Set<UUID> staff) {}

    private final EntityManager entities;
    private final People people;
    private final Audit audit;
    private final Turns turns;

    CohortStaff(EntityManager entities, People people, Audit audit, Turns turns) {
        this.entities = entities;
        this.people = people;
        this.audit = audit;
        this.turns = turns;
    }

    /** All cohorts of the school, by name. */
    @Transactional(readOnly = true)
    List<Staffed> all(SignedIn who) {
        return cohorts(who).stream()
                .map(cohort -> new Staffed(cohort.id(), cohort.name(), cohort.staff()))
                .toList();
    }

    private List<Cohort> cohorts(SignedIn who) {
        return entities.createQuery(
                        "select distinct c from Cohort c left join fetch c.instructors where c.centreId = :centre order by c.name",
                        Cohort.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /**
     * Says which cohorts somebody teaches or helps with, from the next request on.
     *
     * @param seen which they were when whoever asks looked
     * @throws TurnedDown if somebody else changed that meanwhile, or there is no such cohort or person at the school
     */
    @Transactional
    void assign(SignedIn who, UUID accountId, Set<UUID> seen, Set<UUID> chosen) {
        SignedIn person = people.person(who, accountId);
        turns.take(who.centreId());
        List<Cohort> cohorts = cohorts(who);
        Set<UUID> known = cohorts.stream().map(Cohort::id).collect(Collectors.toSet());
        if (!known.containsAll(chosen)) {
            throw TurnedDown.notFound("cohort");
        }
        Set<UUID> now = cohorts.stream()
                .filter(cohort -> cohort.staff().contains(accountId))
                .map(Cohort::id)
                .collect(Collectors.toSet());
        if (!now.equals(seen)) {
            throw TurnedDown.changedMeanwhile("Which cohorts " + person.fullName() + " teaches");
        }
        List<Audit.Change> changes = new ArrayList<>();
        for (Cohort cohort : cohorts) {
            boolean was = now.contains(cohort.id());
            boolean is = chosen.contains(cohort.id());
            cohort.staff(accountId, is);
            changes.add(Audit.Change.of("teaches " + cohort.name(), was ? "yes" : "no", is ? "yes" : "no"));
        }
        audit.changed(who, new Audit.Subject(Audit.Kind.ACCOUNT, accountId, person.fullName()), changes, null);
    }
}
