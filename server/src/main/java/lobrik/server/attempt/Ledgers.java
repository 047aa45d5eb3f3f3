package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import lobrik.assessment.WhatCounts;
import lobrik.server.platform.Rows;
import lobrik.server.platform.WireJson;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.annotation.JsonNaming;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads what was written down of attempts: rows of all kinds by one statement, since a reading is kept while somebody waits and most of
 * the rows of most kinds are few.
 */
@Component
class Ledgers {

    private static final String EVERY_ROW_OF = """
            select 'reading' as kind, cast(to_jsonb(r) as text) as written from reading r where r.attempt_id %1$s
            union all
            select 'fact', cast(to_jsonb(f) as text) from bench_fact f where f.attempt_id %1$s
            union all
            select 'photo', cast(to_jsonb(c) as text) from (
                select id, attempt_id, about, note, width, height, taken_by, taken_at
                from photo where attempt_id %1$s order by received_at) c
            union all
            select 'aside', cast(to_jsonb(a) as text) from set_aside a where a.attempt_id %1$s
            union all
            select 'seal', cast(to_jsonb(c) as text) from (
                select * from seal where attempt_id %1$s order by entry_no) c
            union all
            select 'step', cast(to_jsonb(c) as text) from (
                select * from bench_step where attempt_id %1$s order by entry_no) c
            """;

    /** A question of its own: the database plans one about a list anew each time, which takes longer than answering it. */
    private static final String EVERY_ROW_OF_ONE = EVERY_ROW_OF.formatted("= :id");

    private static final String EVERY_ROW_OF_SOME = EVERY_ROW_OF.formatted("= any(:ids)");

    /** A row of the database as it names its columns, read into the fields of its class. */
    @JsonNaming(PropertyNamingStrategies.SnakeCaseStrategy.class)
    @JsonAutoDetect(fieldVisibility = JsonAutoDetect.Visibility.ANY)
    private interface Columns {}

    private static final JsonMapper ROWS = JsonMapper.builder()
            .addModule(new WireJson())
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .addMixIn(ReadingRow.class, Columns.class)
            .addMixIn(FactRow.class, Columns.class)
            .addMixIn(Photo.Caption.class, Columns.class)
            .addMixIn(SetAside.class, Columns.class)
            .addMixIn(Seal.class, Columns.class)
            .addMixIn(StepRow.class, Columns.class)
            .build();

    private final EntityManager entities;

    Ledgers(EntityManager entities) {
        this.entities = entities;
    }

    /** What was written down of one attempt. */
    Ledger of(UUID attemptId) {
        Query asked = entities.createNativeQuery(EVERY_ROW_OF_ONE, Tuple.class).setParameter("id", attemptId);
        return ledgers(asked).getOrDefault(attemptId, Ledger.EMPTY);
    }

    /** By attempt; attempts of which nothing was written down are left out. */
    Map<UUID, Ledger> of(Collection<UUID> attemptIds) {
        return ledgers(entities.createNativeQuery(EVERY_ROW_OF_SOME, Tuple.class)
                .setParameter("ids", attemptIds.toArray(UUID[]::new)));
    }

    private static Map<UUID, Ledger> ledgers(Query asked) {
        Map<UUID, Pages> pages = new HashMap<>();
        Rows.listed(asked).forEach(row -> read(row.get("kind", String.class), row.get("written", String.class), pages));
        Map<UUID, Ledger> ledgers = new HashMap<>();
        pages.forEach((id, of) -> ledgers.put(id, of.ledger()));
        return ledgers;
    }

    /** What a row is, as {@link #EVERY_ROW_OF} names it. */
    private enum Kind {
        READING,
        FACT,
        PHOTO,
        ASIDE,
        SEAL,
        STEP
    }

    private static void read(String kind, String written, Map<UUID, Pages> pages) {
        switch (Kind.valueOf(kind.toUpperCase(Locale.ROOT))) {
            case READING -> {
                ReadingRow row = ROWS.readValue(written, ReadingRow.class);
                of(pages, row.attemptId()).readings.add(row);
            }
            case FACT -> {
                FactRow row = ROWS.readValue(written, FactRow.class);
                of(pages, row.attemptId()).facts.add(row);
            }
            case PHOTO -> {
                Photo.Caption row = ROWS.readValue(written, Photo.Caption.class);
                of(pages, row.attemptId()).photos.add(row);
            }
            case ASIDE -> {
                SetAside row = ROWS.readValue(written, SetAside.class);
                of(pages, row.attemptId()).setAside.add(row);
            }
            case SEAL -> {
                Seal row = ROWS.readValue(written, Seal.class);
                of(pages, row.attemptId()).seals.add(row);
            }
            case STEP -> {
                StepRow row = ROWS.readValue(written, StepRow.class);
                of(pages, row.attemptId()).steps.add(row);
            }
        }
    }

    private static Pages of(Map<UUID, Pages> pages, UUID attemptId) {
        return pages.computeIfAbsent(attemptId, _ -> new Pages());
    }

    /** A ledger while it is read. */
    private static final class Pages {

        private final List<ReadingRow> readings = new ArrayList<>();
        private final List<FactRow> facts = new ArrayList<>();
        private final List<Photo.Caption> photos = new ArrayList<>();
        private final List<SetAside> setAside = new ArrayList<>();
        private final List<Seal> seals = new ArrayList<>();
        private final List<StepRow> steps = new ArrayList<>();

        Ledger ledger() {
            return new Ledger(WhatCounts.inOrder(readings), WhatCounts.inOrder(facts), photos, setAside, seals, steps);
        }
    }
}
