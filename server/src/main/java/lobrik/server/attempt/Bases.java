package lobrik.server.attempt;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.assessment.Basis;
import lobrik.server.platform.WireJson;
import org.hibernate.query.NativeQuery;
import org.springframework.stereotype.Component;

/**
 * Keeps what pieces are judged by. A class begins many pieces at one exercise: what is the same is kept once, under an id that is made of
 * what it says, and never changes.
 */
@Component
public class Bases {

    /** A class measures the same few exercises all morning. */
    private static final long MOST_REMEMBERED = 2_000;

    /** A basis as it is stored. */
    record Stored(UUID id, String said) {

        static Stored of(Basis basis) {
            String said = WireJson.mapper().writeValueAsString(BasisFigures.of(basis));
            try {
                ByteBuffer digest = ByteBuffer.wrap(
                        MessageDigest.getInstance("SHA-256").digest(said.getBytes(StandardCharsets.UTF_8)));
                return new Stored(new UUID(digest.getLong(), digest.getLong()), said);
            } catch (NoSuchAlgorithmException e) {
                throw new IllegalStateException("every Java has SHA-256", e);
            }
        }
    }

    private final EntityManager entities;
    private final Cache<UUID, Basis> remembered =
            Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).build();

    Bases(EntityManager entities) {
        this.entities = entities;
    }

    /** Keeps it, unless it is kept already, and says under which id. */
    public UUID keep(Basis basis) {
        Stored stored = Stored.of(basis);
        // Asked of the database even if it is remembered here: the transaction that made it may have come to nothing.
        entities.createNativeQuery(
                        "insert into basis (id, said) values (:id, cast(:said as jsonb)) on conflict do nothing")
                .unwrap(NativeQuery.class)
                // What else waits to be written need not be written first.
                .addSynchronizedEntityClass(BasisRow.class)
                .setParameter("id", stored.id())
                .setParameter("said", stored.said())
                .executeUpdate();
        return stored.id();
    }

    Basis of(UUID id) {
        return Objects.requireNonNull(of(List.of(id)).get(id), "an attempt names what it is judged by");
    }

    /** Those with these ids as the database has them, whatever is remembered here. */
    Map<UUID, Basis> afresh(Collection<UUID> ids) {
        return entities.createQuery("from BasisRow where id in :ids", BasisRow.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(BasisRow::id, row -> row.said().toCore()));
    }

    /** Those with these ids. */
    Map<UUID, Basis> of(Collection<UUID> ids) {
        Map<UUID, Basis> found = new HashMap<>(remembered.getAllPresent(ids));
        Set<UUID> missing = ids.stream().filter(id -> !found.containsKey(id)).collect(Collectors.toSet());
        if (!missing.isEmpty()) {
            Map<UUID, Basis> read = entities.createQuery("from BasisRow where id in :ids", BasisRow.class)
                    .setParameter("ids", missing)
                    .getResultStream()
                    .collect(Collectors.toMap(BasisRow::id, row -> row.said().toCore()));
            remembered.putAll(read);
            found.putAll(read);
        }
        return found;
    }
}
