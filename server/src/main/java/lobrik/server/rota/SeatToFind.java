package lobrik.server.rota;

import ai.timefold.solver.core.api.domain.common.PlanningId;
import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.entity.PlanningPin;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import java.util.List;
import lobrik.rota.Seat;
import lobrik.rota.Sitting;
import org.jspecify.annotations.Nullable;

/** The seat of one person in one session, for the solver, which reads and writes it as a bean. */
@PlanningEntity
public class SeatToFind {

    private int id;

    private int person;
    private int sitting;

    /** The how-manieth session of this person it is. */
    private int turn;

    private boolean fixed;

    private boolean over;
    private int mostAtABench;
    private int mostOnABender;
    private int ownBench;
    private List<Integer> benches = List.of();
    private List<Integer> benders = List.of();

    private @Nullable Integer bench;

    private @Nullable Integer bender;

    /** For the solver, which copies seats. */
    public SeatToFind() {}

    SeatToFind(int id, int person, int ownBench, int turn, int number, Sitting sitting) {
        this.id = id;
        this.person = person;
        this.ownBench = ownBench;
        this.turn = turn;
        this.sitting = number;
        this.over = sitting.isOver();
        this.mostAtABench = sitting.mostAtABench();
        this.mostOnABender = sitting.mostOnABender();
        Seat seat = sitting.fixed().get(person);
        this.fixed = seat != null;
        this.benches = sitting.benches();
        this.benders = sitting.benders();
        if (seat != null) {
            this.bench = seat.bench();
            this.bender = seat.bender();
            // What was set by hand may be where nothing is any more.
            this.benches = List.of(seat.bench());
            this.benders = List.of(seat.bender());
        }
    }

    @ValueRangeProvider(id = "benches")
    public List<Integer> getBenches() {
        return benches;
    }

    @ValueRangeProvider(id = "benders")
    public List<Integer> getBenders() {
        return benders;
    }

    int person() {
        return person;
    }

    int sitting() {
        return sitting;
    }

    int turn() {
        return turn;
    }

    int nextTurn() {
        return turn + 1;
    }

    boolean comes() {
        return !over;
    }

    int mostAtABench() {
        return mostAtABench;
    }

    int mostOnABender() {
        return mostOnABender;
    }

    @PlanningId
    public int getId() {
        return id;
    }

    @PlanningPin
    public boolean isFixed() {
        return fixed;
    }

    @PlanningVariable(valueRangeProviderRefs = "benches")
    public @Nullable Integer getBench() {
        return bench;
    }

    public void setBench(@Nullable Integer bench) {
        this.bench = bench;
    }

    @PlanningVariable(valueRangeProviderRefs = "benders")
    public @Nullable Integer getBender() {
        return bender;
    }

    public void setBender(@Nullable Integer bender) {
        this.bender = bender;
    }

    boolean isAway() {
        return bench != null && bench != ownBench;
    }
}
