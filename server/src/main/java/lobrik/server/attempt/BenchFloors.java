package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.assessment.WhatCounts;
import lobrik.server.cohort.Trainee;
import org.springframework.stereotype.Component;

/** What a level reads on the floor under each bench: read once, it holds for whoever is measured there on the same day. */
@Component
class BenchFloors {

    private final EntityManager entities;
    private final FloorsUnder floorsUnder;
    private final Clock clock;

    BenchFloors(EntityManager entities, FloorsUnder floorsUnder, Clock clock) {
        this.entities = entities;
        this.floorsUnder = floorsUnder;
        this.clock = clock;
    }

    /** What was last read for the bench of a trainee today, as a fact of an attempt that begins there: it is kept with each. */
    Optional<FactRow> at(Trainee trainee, Attempt attempt) {
        return Optional.ofNullable(today(trainee.cohortId()).get(trainee.bench()))
                .map(row -> copy(row, attempt));
    }

    private static FactRow copy(FactRow floor, Attempt attempt) {
        return FactRow.by(floor.takenBy(), UUID.randomUUID(), attempt.id(), floor.said(), floor.takenAt());
    }

    /** What was last read today for the benches of a cohort, by bench. */
    private Map<Integer, FactRow> today(UUID cohortId) {
        Instant today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault())
                .atStartOfDay(ZoneId.systemDefault())
                .toInstant();
        List<FloorOfBench> read = entities.createQuery(
                        "select new lobrik.server.attempt.BenchFloors$FloorOfBench(t.bench, f) from FactRow f"
                                + " join Attempt a on a.id = f.attemptId join Trainee t on t.id = a.traineeId"
                                + " where f.kind = 'floor' and f.takenAt >= :today and t.cohortId = :cohort"
                                + " order by f.entryNo",
                        FloorOfBench.class)
                .setParameter("today", today)
                .setParameter("cohort", cohortId)
                .getResultList();
        if (read.isEmpty()) {
            return Map.of();
        }
        Set<UUID> aside =
                floorsUnder.aside(read.stream().map(each -> each.floor().id()).toList());
        Map<Integer, FactRow> last = new HashMap<>();
        read.stream()
                .collect(Collectors.groupingBy(FloorOfBench::bench))
                .forEach((bench, of) -> WhatCounts.newest(
                                WhatCounts.standing(
                                                of.stream()
                                                        .map(FloorOfBench::floor)
                                                        .toList(),
                                                aside)
                                        .stream()
                                        .filter(BenchFloors::isForTheBench)
                                        .toList())
                        .ifPresent(row -> last.put(bench, row)));
        return last;
    }

    private static boolean isForTheBench(FactRow row) {
        return row.said() instanceof Fact.Floor floor && Boolean.TRUE.equals(floor.bench());
    }

    /** A floor's reading, and where it was taken. */
    record FloorOfBench(int bench, FactRow floor) {}

    /** Attempts that are not begun yet, each with the floor that it would begin with. */
    List<Measured> over(UUID cohortId, List<Measured> blank) {
        Map<Integer, FactRow> floors = today(cohortId);
        if (floors.isEmpty() || blank.isEmpty()) {
            return blank;
        }
        Map<UUID, Trainee> trainees = entities.createQuery("from Trainee where cohortId = :cohort", Trainee.class)
                .setParameter("cohort", cohortId)
                .getResultStream()
                .collect(Collectors.toMap(Trainee::id, Function.identity()));
        return blank.stream()
                .map(piece -> Optional.ofNullable(trainees.get(piece.attempt().traineeId()))
                        .flatMap(trainee -> Optional.ofNullable(floors.get(trainee.bench())))
                        .map(row -> piece.with(copy(row, piece.attempt())))
                        .orElse(piece))
                .toList();
    }
}
