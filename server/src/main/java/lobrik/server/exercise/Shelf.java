package lobrik.server.exercise;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The exercises of a centre by title, the newest version of each, found by what is said of them. */
@Service
class Shelf {

    /** An entry with its last version, and how often its versions were given to somebody. */
    record Shelved(LibraryEntry entry, Exercise latest, long given) {}

    /** Some of what was looked for, and whether there is more of it. */
    record Page(List<Shelved> shelved, boolean more) {}

    /**
     * What is looked for.
     *
     * @param words each of which stands in the title, a tag, the bend's name, the conduit's or the bender's; null for any
     * @param kind of bend; null for any
     * @param level null for any
     * @param retired whether what was put away is found too
     */
    record Wanted(
            @Nullable String words,
            @Nullable String kind,
            @Nullable String level,
            boolean retired) {

        /** All there is. */
        static final Wanted ALL = new Wanted(null, null, null, true);

        private String[] folded() {
            return words == null
                    ? new String[0]
                    : Stream.of(words.toLowerCase(Locale.ROOT).strip().split("\\s+"))
                            .filter(word -> !word.isEmpty())
                            .toArray(String[]::new);
        }
    }

    private static final int PAGE = 100;
    private static final int NO_LIMIT = Integer.MAX_VALUE;

    private static final String FOUND = """
            select l.id as entry, e.id as latest
            from library_entry l
            cross join lateral (
                select x.* from exercise x where x.entry_id = l.id and x.variant_of is null
                order by x.version desc limit 1) e
            left join unnest(cast(:kinds as text[]), cast(:names as text[])) as k (kind, name) on k.kind = e.kind
            where l.centre_id = :centre
              and (:retired or l.retired_at is null)
              and (cast(:kind as text) is null or e.kind = :kind)
              and (cast(:level as text) is null or e.level = :level)
              and not exists (
                select 1 from unnest(cast(:words as text[])) as w (word)
                where strpos(
                    lower(concat_ws(' ', e.title, array_to_string(e.tags, ' '), k.name, e.conduit_label, e.bender_label)),
                    w.word) = 0)
              and (cast(:after as uuid) is null or (lower(e.title) collate "C", l.id) > (
                select lower(a.title) collate "C", a.entry_id from exercise a
                where a.entry_id = :after and a.variant_of is null order by a.version desc limit 1))
            order by lower(e.title) collate "C", l.id
            limit :most
            """;

    private final EntityManager entities;

    Shelf(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * A page of what is looked for.
     *
     * @param after the entry that the page before ended with; null for the first page
     */
    @Transactional(readOnly = true)
    Page page(SignedIn who, Wanted wanted, @Nullable UUID after) {
        List<Tuple> found = found(who, wanted, after, PAGE + 1);
        boolean more = found.size() > PAGE;
        return new Page(shelved(more ? found.subList(0, PAGE) : found), more);
    }

    /** The newest versions of all that is looked for. */
    @Transactional(readOnly = true)
    List<Exercise> newest(SignedIn who, Wanted wanted) {
        List<Tuple> found = found(who, wanted, null, NO_LIMIT);
        Map<UUID, Exercise> latest = exercises(found);
        return found.stream()
                .map(row -> latest.get(row.get("latest", UUID.class)))
                .toList();
    }

    /** The newest versions of these entries, as far as they are of this centre. */
    @Transactional(readOnly = true)
    List<Exercise> newest(SignedIn who, Collection<UUID> entryIds) {
        return entities.createQuery("""
                        from Exercise e where e.entryId in :entries and e.centreId = :centre and e.variantOf is null
                          and e.version = (select max(v.version) from Exercise v where v.entryId = e.entryId)
                        order by lower(e.title), e.entryId""", Exercise.class)
                .setParameter("entries", entryIds)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /** An entry as it lies on the shelf. */
    @Transactional(readOnly = true)
    Shelved shelved(SignedIn who, UUID entryId) {
        LibraryEntry entry = entities.find(LibraryEntry.class, entryId);
        if (entry == null || !entry.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("exercise");
        }
        Exercise latest = entities.createQuery(
                        "from Exercise where entryId = :entry and variantOf is null order by version desc",
                        Exercise.class)
                .setParameter("entry", entryId)
                .setMaxResults(1)
                .getSingleResult();
        return new Shelved(entry, latest, given(List.of(entryId)).getOrDefault(entryId, 0L));
    }

    private List<Tuple> found(SignedIn who, Wanted wanted, @Nullable UUID after, int most) {
        return Rows.listed(entities.createNativeQuery(FOUND, Tuple.class)
                .setParameter(
                        "kinds", Stream.of(BendKind.values()).map(BendKind::id).toArray(String[]::new))
                .setParameter(
                        "names",
                        Stream.of(BendKind.values()).map(BendKind::title).toArray(String[]::new))
                .setParameter("centre", who.centreId())
                .setParameter("retired", wanted.retired())
                .setParameter("kind", wanted.kind())
                .setParameter("level", wanted.level())
                .setParameter("words", wanted.folded())
                .setParameter("after", after)
                .setParameter("most", most));
    }

    private List<Shelved> shelved(List<Tuple> found) {
        List<UUID> ids = found.stream().map(row -> row.get("entry", UUID.class)).toList();
        Map<UUID, LibraryEntry> entries = new HashMap<>();
        entities.createQuery("from LibraryEntry where id in :ids", LibraryEntry.class)
                .setParameter("ids", ids)
                .getResultList()
                .forEach(entry -> entries.put(entry.id(), entry));
        Map<UUID, Exercise> latest = exercises(found);
        Map<UUID, Long> given = given(ids);
        List<Shelved> shelved = new ArrayList<>();
        for (Tuple row : found) {
            UUID entry = row.get("entry", UUID.class);
            LibraryEntry known = entries.get(entry);
            Exercise exercise = latest.get(row.get("latest", UUID.class));
            if (known != null && exercise != null) {
                shelved.add(new Shelved(known, exercise, given.getOrDefault(entry, 0L)));
            }
        }
        return List.copyOf(shelved);
    }

    private Map<UUID, Exercise> exercises(List<Tuple> found) {
        Map<UUID, Exercise> exercises = new HashMap<>();
        entities.createQuery("from Exercise where id in :ids", Exercise.class)
                .setParameter(
                        "ids",
                        found.stream().map(row -> row.get("latest", UUID.class)).toList())
                .getResultList()
                .forEach(exercise -> exercises.put(exercise.id(), exercise));
        return exercises;
    }

    private Map<UUID, Long> given(Collection<UUID> entryIds) {
        Map<UUID, Long> given = new HashMap<>();
        entities.createQuery("""
                        select e.entryId as entry, count(a) as given from Exercise e join Assignment a on a.exerciseId = e.id
                        where e.entryId in :entries group by e.entryId""", Tuple.class)
                .setParameter("entries", entryIds)
                .getResultList()
                .forEach(row -> given.put(row.get("entry", UUID.class), row.get("given", Long.class)));
        return given;
    }
}
