package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads what was written down of attempts, each kind of row once for all of them. */
@Component
class Ledgers {

    private final EntityManager entities;

    Ledgers(EntityManager entities) {
        this.entities = entities;
    }

    /** By attempt; attempts of which nothing was written down are left out. */
    Map<UUID, Ledger> of(Collection<UUID> attemptIds) {
        Map<UUID, List<ReadingRow>> readings =
                rows("from ReadingRow where attemptId in :ids", ReadingRow.class, ReadingRow::attemptId, attemptIds);
        Map<UUID, List<FactRow>> facts =
                rows("from FactRow where attemptId in :ids", FactRow.class, FactRow::attemptId, attemptIds);
        Map<UUID, List<Photo.Caption>> photos = rows("""
                        select new lobrik.server.attempt.Photo$Caption(
                          p.id, p.attemptId, p.about, p.note, p.width, p.height, p.takenBy, p.takenAt)
                        from Photo p where p.attemptId in :ids order by p.receivedAt""", Photo.Caption.class, Photo.Caption::attemptId, attemptIds);
        Map<UUID, List<SetAside>> aside =
                rows("from SetAside where attemptId in :ids", SetAside.class, SetAside::attemptId, attemptIds);
        Map<UUID, List<Seal>> seals =
                rows("from Seal where attemptId in :ids order by entryNo", Seal.class, Seal::attemptId, attemptIds);
        Map<UUID, List<StepRow>> steps = rows(
                "from StepRow where attemptId in :ids order by entryNo", StepRow.class, StepRow::attemptId, attemptIds);
        Map<UUID, Ledger> ledgers = new HashMap<>();
        for (UUID id : attemptIds) {
            ledgers.put(
                    id,
                    new Ledger(
                            Standing.inOrder(readings.getOrDefault(id, List.of())),
                            Standing.inOrder(facts.getOrDefault(id, List.of())),
                            photos.getOrDefault(id, List.of()),
                            aside.getOrDefault(id, List.of()),
                            seals.getOrDefault(id, List.of()),
                            steps.getOrDefault(id, List.of())));
        }
        return ledgers;
    }

    private <T> Map<UUID, List<T>> rows(
            String query, Class<T> kind, Function<T, UUID> attempt, Collection<UUID> attemptIds) {
        return entities.createQuery(query, kind)
                .setParameter("ids", attemptIds)
                .getResultStream()
                .collect(Collectors.groupingBy(attempt));
    }
}
