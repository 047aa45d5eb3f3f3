package lobrik.server.progress;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.progress.BenderComparison;
import lobrik.progress.BenderComparison.Seen;
import lobrik.progress.Family;
import lobrik.server.attempt.BenderRecords;
import lobrik.server.platform.Rows;
import lobrik.server.shed.Bender;
import lobrik.server.shed.BenderRevision;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Compares the benders of a centre by everybody's last pieces, whoever teaches them: a bender is the centre's, and no one is named.
 * Pieces of those who were erased count, too.
 */
@Service
class Benders implements BenderRecords {

    /** A bender that was put right is soon seen to be. */
    static final Duration LOOKED_AT = Duration.ofDays(84);

    /** More would not make it surer in any way that matters. */
    private static final int MOST_PIECES = 20_000;

    /** Older than that, they are compared anew beside the work: whoever opens a piece does not wait for it. */
    private static final Duration FRESH = Duration.ofMinutes(1);

    private static final Duration REMEMBERED = Duration.ofMinutes(5);
    private static final int MOST_CENTRES = 50;

    private final EntityManager entities;
    private final Clock clock;
    private final LoadingCache<UUID, Compared> remembered;

    /**
     * A comparison.
     *
     * @param byKind of deviation; benders are told apart by their ids
     * @param labels of benders, by those ids
     * @param revisions which bender each revision is of
     */
    private record Compared(List<BenderComparison> byKind, Map<String, String> labels, Map<UUID, String> revisions) {}

    Benders(EntityManager entities, TransactionTemplate transaction, Clock clock) {
        this.entities = entities;
        this.clock = clock;
        this.remembered = Caffeine.newBuilder()
                .maximumSize(MOST_CENTRES)
                .refreshAfterWrite(FRESH)
                .expireAfterWrite(REMEMBERED)
                .build(centreId -> Objects.requireNonNull(transaction.execute(status -> compare(centreId))));
    }

    /** The comparison by each kind of deviation; its benders by their labels, in their order. */
    @Transactional(readOnly = true)
    public List<BenderComparison> compared(UUID centreId) {
        Compared compared = remembered.get(centreId);
        return compared.byKind().stream()
                .map(comparison -> new BenderComparison(
                        comparison.kind(),
                        comparison.effects().stream()
                                .map(effect -> effect.named(compared.labels().getOrDefault(effect.bender(), "")))
                                .sorted(Comparator.comparing(BenderComparison.Effect::bender))
                                .toList()))
                .toList();
    }

    private Compared compare(UUID centreId) {
        Map<String, String> labels = new HashMap<>();
        Map<UUID, String> revisions = new HashMap<>();
        entities.createQuery(
                        "select b, r from Bender b join BenderRevision r on r.benderId = b.id where b.centreId = :centre",
                        Tuple.class)
                .setParameter("centre", centreId)
                .getResultStream()
                .forEach(row -> {
                    Bender bender = row.get(0, Bender.class);
                    labels.put(bender.id().toString(), bender.label());
                    revisions.put(
                            row.get(1, BenderRevision.class).id(), bender.id().toString());
                });
        return new Compared(compare(centreId, revisions), labels, revisions);
    }

    private List<BenderComparison> compare(UUID centreId, Map<UUID, String> revisions) {
        Instant since = clock.instant().minus(LOOKED_AT);
        Map<DeviationKind, List<Seen>> seen = new EnumMap<>(DeviationKind.class);
        Rows.named(entities.createNativeQuery("""
                        (select trainee_id as person, bender_revision_id, family, angles_off, legs_off, rises_off, places_off from outcome
                          where centre_id = :centre and measured_at >= :since and bender_revision_id is not null
                          order by measured_at desc limit :most)
                        union all
                        (select person, bender_revision_id, family, angles_off, legs_off, rises_off, places_off
                          from anonymous_outcome
                          where centre_id = :centre and month >= cast(:since as date) and bender_revision_id is not null
                          order by month desc limit :most)""", Tuple.class)
                        .setParameter("centre", centreId)
                        .setParameter("since", since)
                        .setParameter("most", MOST_PIECES))
                // One that was made since the rack was read is compared the next time.
                .filter(row -> revisions.containsKey(row.get("bender_revision_id", UUID.class)))
                .forEach(row -> {
                    for (DeviationKind kind : DeviationKind.values()) {
                        Long off = row.get(kind.id() + "_off", Long.class);
                        if (off != null) {
                            seen.computeIfAbsent(kind, each -> new ArrayList<>())
                                    .add(new Seen(
                                            row.get("person", UUID.class).toString(),
                                            Objects.requireNonNull(
                                                    revisions.get(row.get("bender_revision_id", UUID.class))),
                                            Family.withId(row.get("family", String.class))
                                                    .orElseThrow(),
                                            kind.worthTelling().withCount(off)));
                        }
                    }
                });
        List<BenderComparison> compared = new ArrayList<>();
        seen.forEach((kind, pieces) -> compared.add(BenderComparison.of(kind, pieces)));
        return List.copyOf(compared);
    }

    /** What is known of the benders that are clearly off, by the ids of all their revisions. */
    @Transactional(readOnly = true)
    public Map<String, KnownBender> known(UUID centreId) {
        Compared all = remembered.get(centreId);
        Map<String, Map<DeviationKind, KnownBender.Effect>> effects = new HashMap<>();
        for (BenderComparison comparison : all.byKind()) {
            comparison
                    .known()
                    .forEach((bender, effect) -> effects.computeIfAbsent(
                                    bender, name -> new EnumMap<>(DeviationKind.class))
                            .put(comparison.kind(), effect));
        }
        Map<String, KnownBender> known = new HashMap<>();
        all.revisions().forEach((revision, bender) -> {
            Map<DeviationKind, KnownBender.Effect> each = effects.get(bender);
            if (each != null) {
                known.put(revision.toString(), new KnownBender(all.labels().getOrDefault(bender, ""), each));
            }
        });
        return known;
    }

    @Override
    @Transactional(readOnly = true)
    public KnownBender known(UUID centreId, @Nullable UUID revisionId, String label) {
        return known(centreId).getOrDefault(String.valueOf(revisionId), new KnownBender(label, Map.of()));
    }
}
