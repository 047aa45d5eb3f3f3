package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.assessment.Entry;
import lobrik.assessment.WhatCounts;
import lobrik.reading.FloorReading;
import org.springframework.stereotype.Component;

/** The floors under many pieces at once, for whoever writes out a whole record: few pieces have one. */
@Component
public class FloorsUnder {

    /** The floors of some cohorts' pieces, and which of them do not count. */
    public record Known(Map<UUID, List<FactRow>> byAttempt, Set<UUID> aside) {

        /** The floor that holds for a reading of an angle by level. */
        public Optional<FloorReading> under(UUID attemptId, Entry reading) {
            return WhatCounts.holding(byAttempt.getOrDefault(attemptId, List.of()), aside, reading)
                    .map(Ledger::floor);
        }
    }

    private final EntityManager entities;

    FloorsUnder(EntityManager entities) {
        this.entities = entities;
    }

    /** All that was read under pieces of these cohorts. */
    public Known of(Collection<UUID> cohortIds) {
        Map<UUID, List<FactRow>> floors = entities.createQuery(
                        "select f from FactRow f join Attempt a on a.id = f.attemptId join Trainee t on t.id = a.traineeId"
                                + " where f.kind = 'floor' and t.cohortId in :cohorts",
                        FactRow.class)
                .setParameter("cohorts", cohortIds)
                .getResultStream()
                .collect(Collectors.groupingBy(FactRow::attemptId));
        return new Known(
                floors,
                aside(floors.values().stream()
                        .flatMap(List::stream)
                        .map(FactRow::id)
                        .toList()));
    }

    /** Those of some entries that were set aside. */
    Set<UUID> aside(List<UUID> ids) {
        return ids.isEmpty()
                ? Set.of()
                : entities.createQuery("select recordId from SetAside where recordId in :ids", UUID.class)
                        .setParameter("ids", ids)
                        .getResultStream()
                        .collect(Collectors.toSet());
    }
}
