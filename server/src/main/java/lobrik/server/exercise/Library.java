package lobrik.server.exercise;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Exercises of a centre, each through its versions. */
@Service
public class Library {

    /** An entry with its last version, and how often its versions were given to somebody. */
    record Shelved(LibraryEntry entry, Exercise latest, long given) {}

    private final EntityManager entities;
    private final Calculations calculations;
    private final Turns turns;
    private final Clock clock;

    Library(EntityManager entities, Calculations calculations, Turns turns, Clock clock) {
        this.entities = entities;
        this.calculations = calculations;
        this.turns = turns;
        this.clock = clock;
    }

    /** Everything on the shelf, the newest version of each, by title. */
    @Transactional(readOnly = true)
    List<Shelved> shelf(SignedIn who) {
        Map<UUID, Long> given = entities.createQuery("""
                        select e.entryId, count(a) from Exercise e join Assignment a on a.exerciseId = e.id
                        where e.centreId = :centre group by e.entryId""", Object[].class)
                .setParameter("centre", who.centreId())
                .getResultStream()
                .collect(Collectors.toMap(row -> (UUID) row[0], row -> (Long) row[1]));
        return entities.createQuery("""
                        select l, e from LibraryEntry l join Exercise e on e.entryId = l.id
                        where l.centreId = :centre and e.variantOf is null
                          and e.version = (select max(v.version) from Exercise v where v.entryId = l.id)""", Object[].class)
                .setParameter("centre", who.centreId())
                .getResultStream()
                .map(row -> new Shelved(
                        (LibraryEntry) row[0], (Exercise) row[1], given.getOrDefault(((LibraryEntry) row[0]).id(), 0L)))
                .sorted(Comparator.comparing((Shelved each) -> each.latest().title(), String.CASE_INSENSITIVE_ORDER)
                        .thenComparing(each -> each.entry().id()))
                .toList();
    }

    /** All versions of an entry, the newest first. */
    @Transactional(readOnly = true)
    List<Exercise> versions(SignedIn who, UUID entryId) {
        entry(who, entryId);
        return entities.createQuery(
                        "from Exercise where entryId = :entry and variantOf is null order by version desc",
                        Exercise.class)
                .setParameter("entry", entryId)
                .getResultList();
    }

    private LibraryEntry entry(SignedIn who, UUID id) {
        LibraryEntry entry = entities.find(LibraryEntry.class, id);
        if (entry == null || !entry.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("exercise");
        }
        return entry;
    }

    /** An entry as it lies on the shelf. */
    @Transactional(readOnly = true)
    Shelved shelved(SignedIn who, UUID entryId) {
        return shelf(who).stream()
                .filter(each -> each.entry().id().equals(entryId))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("exercise"));
    }

    /**
     * Saves an exercise: a new entry, a change of a version that nobody was given yet, or a new version of one that
     * somebody was. What says the same is not saved twice.
     *
     * @param basedOn the version that was edited; null for whatever is the newest
     * @return the version that now says it
     * @throws lobrik.fault.Refused if it cannot be laid out
     * @throws TurnedDown if somebody else saved a newer version meanwhile
     */
    @Transactional
    public Exercise save(SignedIn who, UUID entryId, Content content, @Nullable Integer basedOn) {
        requirePossible(content);
        turns.take(entryId);
        LibraryEntry already = entities.find(LibraryEntry.class, entryId);
        if (already == null) {
            entities.persist(new LibraryEntry(entryId, who.centreId(), who.accountId(), clock.instant()));
            return add(who, entryId, 1, content);
        }
        if (!already.centreId().equals(who.centreId())) {
            throw TurnedDown.conflict("id-taken", "This id is taken; make a new one");
        }
        Exercise latest = versions(who, entryId).getFirst();
        if (latest.content().equals(content)) {
            return latest;
        }
        if (basedOn != null && basedOn != latest.version()) {
            throw TurnedDown.conflict(
                    "newer-version",
                    "Somebody saved version " + latest.version()
                            + " of this exercise meanwhile; open it, or save yours as a new exercise");
        }
        if (isUsed(latest)) {
            return add(who, entryId, latest.version() + 1, content);
        }
        latest.say(content);
        return latest;
    }

    private Exercise add(SignedIn who, UUID entryId, int version, Content content) {
        Exercise exercise = new Exercise(
                UUID.randomUUID(), who.centreId(), entryId, version, content, who.accountId(), clock.instant());
        entities.persist(exercise);
        return exercise;
    }

    private void requirePossible(Content content) {
        calculations.layout(content.definition());
        content.tolerances().toCore();
    }

    /** Whether it, or a variant of it, was given to somebody. */
    private boolean isUsed(Exercise exercise) {
        return entities.createQuery("select count(*) from Giving where exerciseId = :id", Long.class)
                        .setParameter("id", exercise.id())
                        .getSingleResult()
                > 0;
    }

    /** Puts an entry away, or back on the shelf; what was given stays given. */
    @Transactional
    void retire(SignedIn who, UUID entryId, boolean away) {
        entry(who, entryId).retire(away ? clock.instant() : null);
    }

    /**
     * Saves many new entries, all of them or none.
     *
     * @return how many
     */
    @Transactional
    int saveAll(SignedIn who, Collection<Content> contents) {
        contents.forEach(content -> save(who, UUID.randomUUID(), content, null));
        return contents.size();
    }

    /** The newest versions of these entries, in the order of the shelf; of all that are not put away, if none are named. */
    @Transactional(readOnly = true)
    public List<Exercise> newest(SignedIn who, Collection<UUID> entryIds) {
        List<Exercise> chosen = new ArrayList<>();
        for (Shelved each : shelf(who)) {
            boolean wanted = entryIds.isEmpty()
                    ? !each.entry().isRetired()
                    : entryIds.contains(each.entry().id());
            if (wanted) {
                chosen.add(each.latest());
            }
        }
        return chosen;
    }

    /** Exercises by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Exercise> byId(Collection<UUID> ids) {
        return entities.createQuery("from Exercise where id in :ids", Exercise.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(Exercise::id, Function.identity()));
    }
}
