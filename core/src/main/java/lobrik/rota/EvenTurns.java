package lobrik.rota;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/**
 * How evenly one person can have the benders, were nobody else there: the least that any rota can come to. Turns are dealt one
 * after the other, and each time moved on along the shortest chain from a bender that is had often to one that is had seldom,
 * which ends at the least sum of squares (semi-matchings for load balancing: Harvey, Ladner, Lovász and Tamir 2006).
 */
final class EvenTurns {

    private final List<List<Integer>> choices;
    private final int[] taken;
    private final int[] turns;

    private EvenTurns(List<List<Integer>> choices, int benders) {
        this.choices = choices;
        this.taken = new int[choices.size()];
        this.turns = new int[benders];
        Arrays.fill(taken, -1);
    }

    /**
     * The least sum of the squares of how often each bender is had.
     *
     * @param choices for each session the benders to choose among; none is empty
     */
    static int leastSquares(List<List<Integer>> choices, int benders) {
        EvenTurns even = new EvenTurns(choices, benders);
        for (int session = 0; session < choices.size(); session++) {
            even.deal(session);
        }
        return Arrays.stream(even.turns).map(count -> count * count).sum();
    }

    /** Adds one session: to the bender had least that a chain of exchanges reaches. */
    private void deal(int session) {
        int[] cameBy = new int[turns.length];
        int[] cameFrom = new int[turns.length];
        Arrays.fill(cameBy, -1);
        Deque<Integer> open = new ArrayDeque<>();
        for (int bender : choices.get(session)) {
            if (cameBy[bender] < 0) {
                cameBy[bender] = session;
                cameFrom[bender] = -1;
                open.add(bender);
            }
        }
        int best = -1;
        while (!open.isEmpty()) {
            int bender = open.remove();
            if (best < 0 || turns[bender] < turns[best]) {
                best = bender;
            }
            for (int other = 0; other < session; other++) {
                if (taken[other] == bender) {
                    for (int next : choices.get(other)) {
                        if (cameBy[next] < 0) {
                            cameBy[next] = other;
                            cameFrom[next] = bender;
                            open.add(next);
                        }
                    }
                }
            }
        }
        turns[best]++;
        for (int bender = best; bender >= 0; bender = cameFrom[bender]) {
            taken[cameBy[bender]] = bender;
        }
    }
}
