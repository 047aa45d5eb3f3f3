package lobrik.rota;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What is wanted of a rota: sessions in their order, those that were before those that come.
 *
 * @param ownBench number of the bench that each of the people calls theirs
 * @param benders how many there are
 * @param sittings from the first
 * @param apart who does not share a bench
 */
public record Rota(List<Integer> ownBench, int benders, List<Sitting> sittings, Set<Pair> apart) {

    /** Two people, the one that comes first in the list first. */
    public record Pair(int first, int second) {

        /** In whatever order they are named. */
        public static Pair of(int one, int other) {
            return one < other ? new Pair(one, other) : new Pair(other, one);
        }
    }

    public Rota {
        ownBench = List.copyOf(ownBench);
        sittings = List.copyOf(sittings);
        apart = Set.copyOf(apart);
    }

    public int people() {
        return ownBench.size();
    }

    /** The benders that somebody can choose among, session by session that they are there: of fixed seats, theirs alone. */
    List<List<Integer>> choices(int person) {
        List<List<Integer>> choices = new ArrayList<>();
        for (Sitting sitting : sittings) {
            Seat fixed = sitting.fixed().get(person);
            if (fixed != null) {
                choices.add(List.of(fixed.bender()));
            } else if (sitting.isToBeSeated(person)) {
                choices.add(sitting.benders());
            }
        }
        return choices;
    }
}
