package lobrik.server.rota;

import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.constructionheuristic.ConstructionHeuristicPhaseConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.composite.UnionMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.ChangeMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.SwapMoveSelectorConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import ai.timefold.solver.core.impl.heuristic.selector.common.decorator.SelectionFilter;
import ai.timefold.solver.core.impl.heuristic.selector.move.generic.SelectorBasedSwapMove;
import ai.timefold.solver.core.impl.score.director.ScoreDirector;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import lobrik.rota.Rota;
import lobrik.rota.SeatingPlan;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Component;

/** Finds out who sits where. One rota at a time: it takes all of a processor. */
@Component
class RotaSolver {

    /** It ends sooner where nothing better was found for a while. */
    private static final TerminationConfig SEARCH = new TerminationConfig()
            .withSpentLimit(Duration.ofSeconds(8))
            .withUnimprovedSpentLimit(Duration.ofMillis(1500));

    /** Then what was given up on the way is mended, where it costs nothing. */
    private static final TerminationConfig MENDING = new TerminationConfig()
            .withSpentLimit(Duration.ofSeconds(3))
            .withUnimprovedSpentLimit(Duration.ofMillis(400));

    private static final Duration LONGEST_WAIT = Duration.ofSeconds(20);

    private final Semaphore turn = new Semaphore(1, true);

    /**
     * Seats everybody who has no seat yet.
     *
     * @throws TurnedDown if others are having theirs worked out, one after the other
     */
    SeatingPlan solve(Rota rota) {
        RotaToFind wanted = new RotaToFind(rota);
        if (!wanted.hasSeats()) {
            return wanted.plan(rota.sittings().size());
        }
        takeTurn();
        try {
            return factory().buildSolver().solve(wanted).plan(rota.sittings().size());
        } finally {
            turn.release();
        }
    }

    private static SolverFactory<RotaToFind> factory() {
        return SolverFactory.create(new SolverConfig()
                .withSolutionClass(RotaToFind.class)
                .withEntityClasses(SeatToFind.class)
                .withConstraintProviderClass(RotaRules.class)
                .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
                .withRandomSeed(0L)
                .withPhases(
                        new ConstructionHeuristicPhaseConfig(),
                        search(LocalSearchType.LATE_ACCEPTANCE, SEARCH),
                        search(LocalSearchType.HILL_CLIMBING, MENDING)));
    }

    /** By moving somebody, or exchanging bench, bender or both of two people in one session. */
    private static LocalSearchPhaseConfig search(LocalSearchType type, TerminationConfig end) {
        return new LocalSearchPhaseConfig()
                .withLocalSearchType(type)
                .withTerminationConfig(end)
                .withMoveSelectorConfig(new UnionMoveSelectorConfig(List.of(
                        new ChangeMoveSelectorConfig(),
                        exchanged("bench"),
                        exchanged("bender"),
                        exchanged("bench", "bender"))));
    }

    private static SwapMoveSelectorConfig exchanged(String... variables) {
        return new SwapMoveSelectorConfig().withVariableNameIncludes(variables).withFilterClass(InOneSession.class);
    }

    /** Lets through exchanges within one session: no other can help. */
    public static final class InOneSession implements SelectionFilter<RotaToFind, SelectorBasedSwapMove<RotaToFind>> {

        @Override
        public boolean accept(ScoreDirector<RotaToFind> director, SelectorBasedSwapMove<RotaToFind> move) {
            return ((SeatToFind) move.getLeftEntity()).sitting() == ((SeatToFind) move.getRightEntity()).sitting();
        }
    }

    private void takeTurn() {
        try {
            if (turn.tryAcquire(LONGEST_WAIT.toMillis(), TimeUnit.MILLISECONDS)) {
                return;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        throw TurnedDown.unavailable("Other rotas are being worked out; try again in half a minute");
    }
}
