package lobrik.server.rota;

import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.solution.ProblemFactCollectionProperty;
import ai.timefold.solver.core.api.score.BendableScore;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lobrik.rota.Rota;
import lobrik.rota.Seat;
import lobrik.rota.SeatingPlan;
import lobrik.rota.Sitting;
import org.jspecify.annotations.Nullable;

/** A rota as the solver sees it, as a bean. */
@PlanningSolution
public class RotaToFind {

    private List<SeatToFind> seats = new ArrayList<>();

    private List<Rota.Pair> apart = new ArrayList<>();

    private @Nullable BendableScore score;

    /** For the solver, which copies rotas. */
    public RotaToFind() {}

    RotaToFind(Rota rota) {
        apart.addAll(rota.apart());
        for (int person = 0; person < rota.people(); person++) {
            int turn = 0;
            for (int number = 0; number < rota.sittings().size(); number++) {
                Sitting sitting = rota.sittings().get(number);
                if (sitting.fixed().containsKey(person) || sitting.isToBeSeated(person)) {
                    seats.add(
                            new SeatToFind(seats.size(), person, rota.ownBench().get(person), turn++, number, sitting));
                }
            }
        }
    }

    @PlanningEntityCollectionProperty
    public List<SeatToFind> getSeats() {
        return seats;
    }

    public void setSeats(List<SeatToFind> seats) {
        this.seats = seats;
    }

    @ProblemFactCollectionProperty
    public List<Rota.Pair> getApart() {
        return apart;
    }

    public void setApart(List<Rota.Pair> apart) {
        this.apart = apart;
    }

    @PlanningScore(bendableHardLevelsSize = RotaRules.HARD, bendableSoftLevelsSize = RotaRules.SOFT)
    public @Nullable BendableScore getScore() {
        return score;
    }

    public void setScore(@Nullable BendableScore score) {
        this.score = score;
    }

    boolean hasSeats() {
        return !seats.isEmpty();
    }

    SeatingPlan plan(int sittings) {
        List<Map<Integer, Seat>> plan = new ArrayList<>();
        for (int i = 0; i < sittings; i++) {
            plan.add(new HashMap<>());
        }
        for (SeatToFind seat : seats) {
            Integer bench = seat.getBench();
            Integer bender = seat.getBender();
            if (bench != null && bender != null) {
                plan.get(seat.sitting()).put(seat.person(), new Seat(bench, bender));
            }
        }
        return new SeatingPlan(plan);
    }
}
