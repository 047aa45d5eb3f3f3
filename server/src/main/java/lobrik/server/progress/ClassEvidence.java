package lobrik.server.progress;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.fault.Refused;
import lobrik.progress.ClassCalibration;
import lobrik.progress.ClassPiece;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Measured;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the records of a centre say of its hand benders: every finished piece that was not bent again, whoever bent it, with all its
 * readings. No one is named; a person is only told apart from the others.
 */
@Service
class ClassEvidence {

    /** A bender that was worn a year ago is another bender. */
    private static final Duration LOOKED_AT = Duration.ofDays(400);

    private static final int MOST_PIECES = 4_000;
    private static final int PAGE = 200;
    private static final Duration REMEMBERED = Duration.ofMinutes(10);
    private static final int MOST_CENTRES = 20;

    /** What was worked out, and by which pieces. */
    record Evidence(ClassCalibration told, Map<String, List<ClassPiece>> byBender) {}

    private record Known(List<UUID> pieces, Evidence evidence) {}

    private final EntityManager entities;
    private final Attempts attempts;
    private final Clock clock;

    /** By centre, for as long as it is of the same pieces. */
    private final Cache<UUID, Known> known = Caffeine.newBuilder()
            .maximumSize(MOST_CENTRES)
            .expireAfterWrite(REMEMBERED)
            .build();

    ClassEvidence(EntityManager entities, Attempts attempts, Clock clock) {
        this.entities = entities;
        this.attempts = attempts;
        this.clock = clock;
    }

    /** By the ids of benders. */
    @Transactional(readOnly = true)
    Evidence of(UUID centreId) {
        List<UUID> ids = pieces(centreId);
        Known before = known.getIfPresent(centreId);
        if (before != null && before.pieces().equals(ids)) {
            return before.evidence();
        }
        Evidence evidence = workedOut(centreId, ids);
        known.put(centreId, new Known(ids, evidence));
        return evidence;
    }

    /** The newest that were not bent again, on benders of the centre, from the oldest. */
    private List<UUID> pieces(UUID centreId) {
        List<?> found = entities.createNativeQuery("""
                        select o.attempt_id from outcome o
                        where o.centre_id = :centre and o.rebent = 0 and o.bender_revision_id is not null
                          and o.measured_at >= :since
                        order by o.measured_at desc, o.attempt_id limit :most""", UUID.class)
                .setParameter("centre", centreId)
                .setParameter("since", clock.instant().minus(LOOKED_AT))
                .setParameter("most", MOST_PIECES)
                .getResultList();
        List<UUID> ids = new ArrayList<>();
        found.forEach(id -> ids.add((UUID) id));
        Collections.reverse(ids);
        return ids;
    }

    private Evidence workedOut(UUID centreId, List<UUID> ids) {
        Map<UUID, UUID> benders = benders(centreId);
        Map<String, List<ClassPiece>> byBender = new HashMap<>();
        List<ClassPiece> pieces = new ArrayList<>();
        for (int from = 0; from < ids.size(); from += PAGE) {
            for (Measured measured : attempts.all(ids.subList(from, Math.min(ids.size(), from + PAGE)))) {
                UUID bender =
                        benders.get(Objects.requireNonNull(measured.attempt().benderRevisionId()));
                if (bender != null
                        && measured.stages() == 1
                        && measured.ownCut().isEmpty()) {
                    ClassPiece piece = piece(measured, bender);
                    if (piece != null) {
                        pieces.add(piece);
                        byBender.computeIfAbsent(piece.bender(), _ -> new ArrayList<>())
                                .add(piece);
                    }
                }
            }
        }
        return new Evidence(ClassCalibration.of(pieces), byBender);
    }

    private Map<UUID, UUID> benders(UUID centreId) {
        Map<UUID, UUID> benders = new HashMap<>();
        entities.createQuery(
                        "select r.id, b.id from BenderRevision r join Bender b on b.id = r.benderId where b.centreId = :centre",
                        Object[].class)
                .setParameter("centre", centreId)
                .getResultStream()
                .forEach(row -> benders.put((UUID) row[0], (UUID) row[1]));
        return benders;
    }

    /** Nothing where it can be laid out no more. */
    private static @Nullable ClassPiece piece(Measured measured, UUID bender) {
        try {
            return ClassPiece.of(
                    measured.attempt().traineeId().toString(),
                    bender.toString(),
                    measured.workedAt()
                            .atZone(ZoneId.systemDefault())
                            .toLocalDate()
                            .toEpochDay(),
                    measured.question().layout(),
                    measured.assessment().readings());
        } catch (Refused laidOutNoMore) {
            return null;
        }
    }
}
