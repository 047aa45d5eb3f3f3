package lobrik.rota;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One session that people are seated for.
 *
 * @param present who is there
 * @param benches numbers of its benches
 * @param places how many there are at a bench
 * @param benders those that are in the room
 * @param fixed seats that stay as they are: of sessions that were, and what was set by hand
 * @param isOver whether it was already, so that nothing is asked of it any more
 */
public record Sitting(
        Set<Integer> present,
        List<Integer> benches,
        int places,
        List<Integer> benders,
        Map<Integer, Seat> fixed,
        boolean isOver) {

    public Sitting {
        present = Set.copyOf(present);
        benches = List.copyOf(benches);
        benders = List.copyOf(benders);
        fixed = Map.copyOf(fixed);
    }

    /** Whether anybody can be seated at all. */
    public boolean hasRoom() {
        return !benches.isEmpty() && !benders.isEmpty();
    }

    /** Whether somebody's seat is to be found: they are there, and have none yet. */
    public boolean isToBeSeated(int person) {
        return !isOver && hasRoom() && present.contains(person) && !fixed.containsKey(person);
    }

    /** How many share a bench at most: as many as it has places, more only where there are too many people. */
    public int mostAtABench() {
        return Math.max(places, shared(benches.size()));
    }

    /** How many share a bender at most. */
    public int mostOnABender() {
        return shared(benders.size());
    }

    private int shared(int among) {
        return among == 0 ? 0 : Math.ceilDiv(present.size(), among);
    }
}
