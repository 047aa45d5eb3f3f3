package lobrik.server.progress;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.bend.BendKind;
import lobrik.progress.BenderComparison;
import lobrik.progress.BenderComparison.Seen;
import lobrik.server.attempt.BenderRecords;
import lobrik.server.platform.Rows;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
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

    /** In which columns of the question their deviations come. */
    private static final List<DeviationKind> COLUMNS =
            List.of(DeviationKind.ANGLES, DeviationKind.LEGS, DeviationKind.RISES, DeviationKind.PLACES);

    private static final int FIRST_OFF = 3;

    private final EntityManager entities;
    private final Clock clock;
    private final LoadingCache<UUID, List<BenderComparison>> remembered;

    Benders(EntityManager entities, TransactionTemplate transaction, Clock clock) {
        this.entities = entities;
        this.clock = clock;
        this.remembered = Caffeine.newBuilder()
                .maximumSize(MOST_CENTRES)
                .refreshAfterWrite(FRESH)
                .expireAfterWrite(REMEMBERED)
                .build(centreId -> Objects.requireNonNull(transaction.execute(status -> compare(centreId))));
    }

    /** The comparison by each kind of deviation. */
    @Transactional(readOnly = true)
    public List<BenderComparison> compared(UUID centreId) {
        return remembered.get(centreId);
    }

    private List<BenderComparison> compare(UUID centreId) {
        Instant since = clock.instant().minus(LOOKED_AT);
        Map<DeviationKind, List<Seen>> seen = new EnumMap<>(DeviationKind.class);
        Rows.of(entities.createNativeQuery("""
                        (select trainee_id, bender_label, kind, angles_off, legs_off, rises_off, places_off from outcome
                          where centre_id = :centre and measured_at >= :since
                          order by measured_at desc limit :most)
                        union all
                        (select person, bender_label, kind, angles_off, legs_off, rises_off, places_off
                          from anonymous_outcome
                          where centre_id = :centre and month >= cast(:since as date)
                          order by month desc limit :most)""", Object[].class)
                        .setParameter("centre", centreId)
                        .setParameter("since", since)
                        .setParameter("most", MOST_PIECES))
                .forEach(row -> {
                    int column = FIRST_OFF;
                    for (DeviationKind kind : COLUMNS) {
                        Long off = (Long) row[column++];
                        if (off != null) {
                            seen.computeIfAbsent(kind, each -> new ArrayList<>())
                                    .add(new Seen(
                                            row[0].toString(),
                                            (String) row[1],
                                            BendKind.withId((String) row[2]).orElseThrow(),
                                            kind.worthTelling().withCount(off)));
                        }
                    }
                });
        List<BenderComparison> compared = new ArrayList<>();
        seen.forEach((kind, pieces) -> compared.add(BenderComparison.of(kind, pieces)));
        return List.copyOf(compared);
    }

    /** What is known of the benders that are clearly off, by bender. */
    @Transactional(readOnly = true)
    public Map<String, KnownBender> known(UUID centreId) {
        Map<String, Map<DeviationKind, KnownBender.Effect>> effects = new HashMap<>();
        for (BenderComparison comparison : compared(centreId)) {
            comparison
                    .known()
                    .forEach((bender, effect) -> effects.computeIfAbsent(
                                    bender, name -> new EnumMap<>(DeviationKind.class))
                            .put(comparison.kind(), effect));
        }
        Map<String, KnownBender> known = new HashMap<>();
        effects.forEach((bender, each) -> known.put(bender, new KnownBender(bender, each)));
        return known;
    }

    @Override
    @Transactional(readOnly = true)
    public KnownBender known(UUID centreId, String benderLabel) {
        return known(centreId).getOrDefault(benderLabel, new KnownBender(benderLabel, Map.of()));
    }
}
