package lobrik.server.stock;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lobrik.exercise.ConduitPlan;
import lobrik.measure.Length;
import lobrik.progress.Family;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Rows;
import lobrik.server.platform.Turns;
import lobrik.server.shed.ConduitSize;
import lobrik.server.stock.StockEntry.Movement;
import lobrik.server.stock.StockEntry.What;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The rack as those see it who give exercises out: what is on it, what is cut from it, left-overs first. Of conduit that nobody ever
 * counted or had delivered nothing is kept, and nothing is asked.
 */
@Service
public class Stockroom {

    /** A piece for somebody. */
    public record Wanted(UUID traineeId, UUID assignmentId, Family family, Length length) {}

    /**
     * What is on the rack of one kind of conduit.
     *
     * @param sticks whole ones; less than 0 where more was taken than anybody had counted
     * @param leftOvers from the longest
     */
    public record OnRack(ConduitSize conduit, int sticks, List<Length> leftOvers) {

        public OnRack {
            leftOvers = List.copyOf(leftOvers);
        }

        /** Whether there are fewer sticks than there should be. */
        public boolean isLow() {
            return sticks < conduit.keeping().fewestSticks();
        }
    }

    private final EntityManager entities;
    private final Turns turns;
    private final Clock clock;

    Stockroom(EntityManager entities, Turns turns, Clock clock) {
        this.entities = entities;
        this.turns = turns;
        this.clock = clock;
    }

    /** What is on the rack of a school, by conduit; those alone that something is kept of. */
    @Transactional(readOnly = true)
    public Map<UUID, OnRack> all(UUID centreId) {
        Map<UUID, ConduitSize> sizes = new HashMap<>();
        entities.createQuery("from ConduitSize where centreId = :centre", ConduitSize.class)
                .setParameter("centre", centreId)
                .getResultStream()
                .forEach(size -> sizes.put(size.id(), size));
        Map<UUID, Integer> sticks = new HashMap<>();
        Map<UUID, List<Length>> leftOvers = new HashMap<>();
        Rows.named(entities.createNativeQuery("""
                                select conduit_id, length_pm, cast(sum(pieces) as int) as pieces from stock_entry
                                where centre_id = :centre group by conduit_id, length_pm""", Tuple.class).setParameter("centre", centreId))
                .forEach(row -> {
                    UUID id = row.get("conduit_id", UUID.class);
                    ConduitSize size = sizes.get(id);
                    Length length = new Length(row.get("length_pm", Long.class));
                    int pieces = row.get("pieces", Integer.class);
                    if (size != null && length.equals(size.keeping().stick())) {
                        sticks.put(id, pieces);
                    } else {
                        leftOvers
                                .computeIfAbsent(id, _ -> new ArrayList<>())
                                .addAll(Collections.nCopies(Math.max(0, pieces), length));
                    }
                });
        Map<UUID, OnRack> racks = new HashMap<>();
        sizes.forEach((id, size) -> {
            if (sticks.containsKey(id) || leftOvers.containsKey(id)) {
                List<Length> left = leftOvers.getOrDefault(id, new ArrayList<>());
                left.sort(Collections.reverseOrder());
                racks.put(id, new OnRack(size, sticks.getOrDefault(id, 0), left));
            }
        });
        return racks;
    }

    /** What is on the rack of conduit with a label, where something is kept of it. */
    @Transactional(readOnly = true)
    public Optional<OnRack> called(UUID centreId, @Nullable String label) {
        return all(centreId).values().stream()
                .filter(rack -> rack.conduit().label().equals(label))
                .findFirst();
    }

    /** How pieces are cut from what is on a rack. */
    public static ConduitPlan plan(OnRack rack, List<Length> pieces) {
        return ConduitPlan.of(pieces, rack.conduit().keeping().stick(), ConduitPlan.USUAL_KERF, rack.leftOvers());
    }

    /**
     * Cuts the pieces of an exercise that is given out, in its transaction; nothing is noted of conduit that is not kept. What does not
     * fit a stick is not cut here: whoever bends it joins sticks.
     */
    public void cut(SignedIn who, String conduitLabel, @Nullable UUID givingId, List<Wanted> wanted) {
        called(who.centreId(), conduitLabel)
                .ifPresent(rack -> cut(who.centreId(), who.accountId(), rack.conduit(), givingId, wanted));
    }

    private void cut(
            UUID centreId, @Nullable UUID by, ConduitSize conduit, @Nullable UUID givingId, List<Wanted> wanted) {
        turns.take(conduit.id());
        // Once more, now that nobody else takes of it.
        OnRack rack = called(centreId, conduit.label()).orElseThrow();
        ConduitSize.Keeping keeping = conduit.keeping();
        List<Wanted> fitting = wanted.stream()
                .filter(piece -> !piece.length().isMoreThan(keeping.stick()))
                .toList();
        if (fitting.isEmpty()) {
            return;
        }
        ConduitPlan plan = plan(rack, fitting.stream().map(Wanted::length).toList());
        UUID id = UUID.randomUUID();
        List<Movement> movements = new ArrayList<>();
        Length kept = Length.ZERO;
        Length taken = Length.ZERO;
        for (ConduitPlan.Stick stick : plan.sticks()) {
            taken = taken.plus(stick.length());
            movements.add(Movement.of(What.CUT, stick.length(), -1));
            if (!stick.offcut().isLessThan(keeping.shortestKept())
                    && stick.offcut().isMoreThan(Length.ZERO)) {
                kept = kept.plus(stick.offcut());
                movements.add(Movement.of(What.LEFT, stick.offcut(), 1));
            }
        }
        Length wasted = taken.minus(kept).minus(plan.used());
        entities.persist(new Cutting(id, centreId, conduit.id(), givingId, by, clock.instant(), wasted));
        entities.flush();
        movements.forEach(movement -> entities.persist(
                new StockEntry(UUID.randomUUID(), centreId, conduit.id(), movement, by, clock.instant(), id)));
        fitting.forEach(piece -> entities.persist(new CutPiece(UUID.randomUUID(), id, piece)));
    }

    /** Another piece for an exercise that somebody tries once more, as long as the first; nothing if none was cut for it. */
    public void cutAnother(UUID assignmentId, @Nullable UUID by) {
        entities.createQuery(
                        "select p, c from CutPiece p join Cutting c on c.id = p.cuttingId where p.assignmentId = :assignment"
                                + " order by c.entryNo",
                        Tuple.class)
                .setParameter("assignment", assignmentId)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .ifPresent(row -> {
                    CutPiece first = row.get(0, CutPiece.class);
                    Cutting cutting = row.get(1, Cutting.class);
                    UUID trainee = first.traineeId();
                    if (trainee != null) {
                        cut(
                                cutting.centreId(),
                                by,
                                entities.find(ConduitSize.class, cutting.conduitId()),
                                null,
                                List.of(new Wanted(
                                        trainee,
                                        assignmentId,
                                        Family.withId(first.family()).orElseThrow(),
                                        first.length())));
                    }
                });
    }

    /**
     * What was given out is taken back, and was not cut. Where a left-over of it is gone meanwhile, somebody did cut: then it stays as it
     * was noted.
     */
    public void notCut(SignedIn who, UUID givingId) {
        List<Cutting> cuttings = entities.createQuery("from Cutting where givingId = :giving", Cutting.class)
                .setParameter("giving", givingId)
                .getResultList();
        for (Cutting cutting : cuttings) {
            turns.take(cutting.conduitId());
            List<StockEntry> entries = entities.createQuery("from StockEntry where cuttingId = :id", StockEntry.class)
                    .setParameter("id", cutting.id())
                    .getResultList();
            if (entities.find(CuttingUndone.class, cutting.id()) == null && areStillThere(who, entries)) {
                entities.persist(new CuttingUndone(cutting.id(), who.accountId(), clock.instant()));
                entries.forEach(entry -> entities.persist(new StockEntry(
                        UUID.randomUUID(),
                        who.centreId(),
                        cutting.conduitId(),
                        Movement.of(
                                What.UNDONE,
                                entry.movement().length(),
                                -entry.movement().pieces()),
                        who.accountId(),
                        clock.instant(),
                        cutting.id())));
            }
        }
    }

    private boolean areStillThere(SignedIn who, List<StockEntry> entries) {
        Map<UUID, OnRack> racks = all(who.centreId());
        return entries.stream().filter(entry -> entry.movement().pieces() > 0).allMatch(entry -> {
            OnRack rack = racks.get(entry.conduitId());
            return rack != null && rack.leftOvers().contains(entry.movement().length());
        });
    }
}
