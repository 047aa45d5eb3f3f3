package lobrik.server.rota;

import ai.timefold.solver.core.api.score.BendableScore;
import ai.timefold.solver.core.api.score.stream.Constraint;
import ai.timefold.solver.core.api.score.stream.ConstraintCollectors;
import ai.timefold.solver.core.api.score.stream.ConstraintFactory;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;
import ai.timefold.solver.core.api.score.stream.Joiners;
import ai.timefold.solver.core.api.score.stream.uni.UniConstraintStream;
import lobrik.rota.Rota;

/**
 * What makes one rota better than another, for the solver; the more important always outweighs whatever comes after it. The same
 * is counted by {@link lobrik.rota.RotaCheck}, independently.
 */
public class RotaRules implements ConstraintProvider {

    static final int HARD = 2;
    static final int SOFT = 4;

    private static final BendableScore PLACES = BendableScore.ofHard(HARD, SOFT, 0, 1);
    private static final BendableScore APART = BendableScore.ofHard(HARD, SOFT, 1, 1);
    private static final BendableScore EVEN = BendableScore.ofSoft(HARD, SOFT, 0, 1);
    private static final BendableScore ANOTHER_EACH_TIME = BendableScore.ofSoft(HARD, SOFT, 1, 1);
    private static final BendableScore CARRIED = BendableScore.ofSoft(HARD, SOFT, 2, 1);
    private static final BendableScore OWN_BENCH = BendableScore.ofSoft(HARD, SOFT, 3, 1);

    @Override
    public Constraint[] defineConstraints(ConstraintFactory all) {
        return new Constraint[] {
            benchHasPlaces(all),
            benderHasPlaces(all),
            keptApart(all),
            everyBenderAsOften(all),
            anotherBenderEachTime(all),
            bendersStayAtABench(all),
            ownBench(all)
        };
    }

    private static UniConstraintStream<SeatToFind> coming(ConstraintFactory all) {
        return all.forEach(SeatToFind.class).filter(SeatToFind::comes);
    }

    private static Constraint benchHasPlaces(ConstraintFactory all) {
        return coming(all)
                .groupBy(
                        SeatToFind::sitting,
                        SeatToFind::getBench,
                        SeatToFind::mostAtABench,
                        ConstraintCollectors.count())
                .filter((_, _, most, people) -> people > most)
                .penalize(PLACES, (_, _, most, people) -> people - most)
                .asConstraint("a bench has so many places");
    }

    private static Constraint benderHasPlaces(ConstraintFactory all) {
        return coming(all)
                .groupBy(
                        SeatToFind::sitting,
                        SeatToFind::getBender,
                        SeatToFind::mostOnABender,
                        ConstraintCollectors.count())
                .filter((_, _, most, people) -> people > most)
                .penalize(PLACES, (_, _, most, people) -> people - most)
                .asConstraint("nobody waits for a bender while another is free");
    }

    private static Constraint keptApart(ConstraintFactory all) {
        return all.forEach(Rota.Pair.class)
                .join(coming(all), Joiners.equal(Rota.Pair::first, SeatToFind::person))
                .join(
                        coming(all),
                        Joiners.equal((pair, _) -> pair.second(), SeatToFind::person),
                        Joiners.equal((_, seat) -> seat.sitting(), SeatToFind::sitting),
                        Joiners.equal((_, seat) -> seat.getBench(), SeatToFind::getBench))
                .penalize(APART)
                .asConstraint("these two do not share a bench");
    }

    private static Constraint everyBenderAsOften(ConstraintFactory all) {
        return all.forEach(SeatToFind.class)
                .groupBy(SeatToFind::person, SeatToFind::getBender, ConstraintCollectors.count())
                .penalize(EVEN, (_, _, times) -> times * times)
                .asConstraint("everybody gets every bender as often");
    }

    private static Constraint anotherBenderEachTime(ConstraintFactory all) {
        return all.forEach(SeatToFind.class)
                .join(
                        SeatToFind.class,
                        Joiners.equal(SeatToFind::person),
                        Joiners.equal(SeatToFind::nextTurn, SeatToFind::turn),
                        Joiners.equal(SeatToFind::getBender))
                .penalize(ANOTHER_EACH_TIME)
                .asConstraint("nobody has the same bender twice running");
    }

    private static Constraint bendersStayAtABench(ConstraintFactory all) {
        return coming(all)
                .groupBy(
                        SeatToFind::sitting,
                        SeatToFind::getBender,
                        ConstraintCollectors.countDistinct(SeatToFind::getBench))
                .penalize(CARRIED, (_, _, benches) -> benches)
                .asConstraint("a bender is carried as little as can be");
    }

    private static Constraint ownBench(ConstraintFactory all) {
        return coming(all).filter(SeatToFind::isAway).penalize(OWN_BENCH).asConstraint("everybody keeps their bench");
    }
}
