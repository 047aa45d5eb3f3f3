package lobrik.server.exercise;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.shed.BenderRevision;
import lobrik.server.shed.Rack;
import lobrik.shop.Tool;
import lobrik.wire.CalcInterface;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Exercises of a centre, each through its versions. */
@Service
public class Library {

    private final EntityManager entities;
    private final Shelf shelf;
    private final Calculations calculations;
    private final Rack rack;
    private final Turns turns;
    private final Accounts accounts;
    private final Clock clock;

    Library(
            EntityManager entities,
            Shelf shelf,
            Calculations calculations,
            Rack rack,
            Turns turns,
            Accounts accounts,
            Clock clock) {
        this.entities = entities;
        this.shelf = shelf;
        this.accounts = accounts;
        this.calculations = calculations;
        this.rack = rack;
        this.turns = turns;
        this.clock = clock;
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

    /**
     * Saves an exercise: a new entry, or a new version of one. What says the same is not saved twice.
     *
     * @param basedOn the version that was edited; null for whatever is the newest
     * @return the version that now says it
     * @throws lobrik.fault.Refused if it cannot be laid out
     * @throws TurnedDown if somebody else saved a newer version meanwhile, or if somebody else made it
     */
    @Transactional
    public Exercise save(SignedIn who, UUID entryId, Content content, @Nullable Integer basedOn) {
        return save(who, entryId, content, basedOn, false);
    }

    /** The same for whoever needs an exercise that says this: what somebody else made is left, and a copy says it. */
    @Transactional
    public Exercise saveOrCopy(SignedIn who, UUID entryId, Content content, @Nullable Integer basedOn) {
        return save(who, entryId, content, basedOn, true);
    }

    private Exercise save(SignedIn who, UUID entryId, Content content, @Nullable Integer basedOn, boolean copying) {
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
        if (copying && !who.mayChangeWhatWasMadeBy(already.createdBy())) {
            return save(who, UUID.randomUUID(), content, null, false);
        }
        accounts.requireMayChange(who, already.createdBy(), "This exercise", "Save yours as a new exercise");
        if (basedOn != null && basedOn != latest.version()) {
            throw TurnedDown.conflict(
                    "newer-version",
                    "Somebody saved version " + latest.version()
                            + " of this exercise meanwhile; open it, or save yours as a new exercise");
        }
        return add(who, entryId, latest.version() + 1, content);
    }

    private Exercise add(SignedIn who, UUID entryId, int version, Content content) {
        Tool tool = calculations
                .question(content.definition())
                .layout()
                .job()
                .tooling()
                .tool();
        Exercise exercise = new Exercise(
                UUID.randomUUID(),
                who.centreId(),
                entryId,
                version,
                content,
                rack.meant(who.centreId(), content.benderLabel(), tool)
                        .map(BenderRevision::id)
                        .orElse(null),
                who.accountId(),
                clock.instant());
        entities.persist(exercise);
        return exercise;
    }

    private void requirePossible(Content content) {
        var _ = CalcInterface.layout(content.definition());
        content.tolerances().toCore();
    }

    /**
     * Puts an entry away, or back on the shelf; what was given stays given.
     *
     * @throws TurnedDown if somebody else made it
     */
    @Transactional
    void retire(SignedIn who, UUID entryId, boolean away) {
        turns.take(entryId);
        LibraryEntry entry = entry(who, entryId);
        accounts.requireMayChange(who, entry.createdBy(), "This exercise", "Duplicate it to have one of your own");
        if (entry.isRetired() != away) {
            Instant now = clock.instant();
            entry.retire(away ? now : null);
            entities.persist(new Retirement(UUID.randomUUID(), entryId, away, who.accountId(), now));
        }
    }

    /** When an entry was put away or taken back, the newest first. */
    @Transactional(readOnly = true)
    List<Retirement> retirements(SignedIn who, UUID entryId) {
        entry(who, entryId);
        return entities.createQuery("from Retirement where entryId = :entry order by entryNo desc", Retirement.class)
                .setParameter("entry", entryId)
                .getResultList();
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

    /** The newest versions of all entries that are not put away, in the order of the shelf. */
    @Transactional(readOnly = true)
    public List<Exercise> newest(SignedIn who) {
        return shelf.newest(who, new Shelf.Wanted(null, null, null, false));
    }

    /** The newest version of an entry. */
    @Transactional(readOnly = true)
    public Exercise newest(SignedIn who, UUID entryId) {
        return shelf.shelved(who, entryId).latest();
    }

    /** Exercises by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Exercise> byId(Collection<UUID> ids) {
        if (ids.isEmpty()) {
            return Map.of();
        }
        return entities.createQuery("from Exercise where id in :ids", Exercise.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(Exercise::id, Function.identity()));
    }
}
