package lobrik.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a sign-off rule does: how likely it is that somebody who passes so many of their pieces is called ready within so many of them.
 * Worked out exactly, by following the chance of every course that the last pieces can have taken (a Markov chain on what the rule
 * looks at; called ready once is called ready). Pieces are taken to come out independently of one another and to be judged as closely
 * as the rule asks.
 */
public final class RuleOdds {

    /** What the last pieces came to is one of these, digit by digit. */
    private static final int FAILED = 0;

    private static final int REBENT = 1;
    private static final int CLEAN = 2;
    private static final int WAYS = 3;

    /**
     * How a school works.
     *
     * @param piecesADay of one kind that somebody bends in a session
     * @param cleanShare share of the passes that are bent without going back into the shoe, 0 to 1
     */
    public record Practice(int piecesADay, double cleanShare) {

        /** Two pieces a session, none of which goes back into the shoe. */
        public static final Practice USUAL = new Practice(2, 1);

        public Practice {
            if (piecesADay < 1 || !(cleanShare >= 0 && cleanShare <= 1)) {
                throw new IllegalArgumentException(piecesADay + " a day, " + cleanShare + " clean");
            }
        }
    }

    /**
     * A rule that keeps a risk.
     *
     * @param risk chance that somebody who should not be is called ready all the same
     */
    public record Kept(SignOffRule rule, double risk) {}

    private final SignOffRule rule;
    private final Practice practice;

    /** The place of the newest piece among the digits. */
    private final int newest;

    private RuleOdds(SignOffRule rule, Practice practice) {
        this.rule = rule;
        this.practice = practice;
        this.newest = power(rule.of() - 1);
    }

    private static int power(int exponent) {
        int power = 1;
        for (int i = 0; i < exponent; i++) {
            power *= WAYS;
        }
        return power;
    }

    /**
     * The chance of having been called ready after each piece.
     *
     * @param passRate of the pieces, 0 to 1
     * @param pieces that are followed
     * @return after the first piece, the second, and so on; it never falls
     */
    public static List<Double> ready(SignOffRule rule, Practice practice, double passRate, int pieces) {
        if (!(passRate >= 0 && passRate <= 1)) {
            throw new IllegalArgumentException("no share: " + passRate);
        }
        return new RuleOdds(rule, practice).follow(passRate, pieces);
    }

    private List<Double> follow(double passRate, int pieces) {
        double[] chance = new double[newest * WAYS];
        // Before the first piece nothing was passed.
        chance[0] = 1;
        double[] ways = {1 - passRate, passRate * (1 - practice.cleanShare()), passRate * practice.cleanShare()};
        List<Double> called = new ArrayList<>();
        double ready = 0;
        for (int piece = 1; piece <= pieces; piece++) {
            double[] next = new double[chance.length];
            for (int course = 0; course < chance.length; course++) {
                if (chance[course] == 0) {
                    continue;
                }
                for (int way = FAILED; way <= CLEAN; way++) {
                    if (ways[way] > 0) {
                        int after = course / WAYS + way * newest;
                        double share = chance[course] * ways[way];
                        if (isMet(after, piece)) {
                            ready += share;
                        } else {
                            next[after] += share;
                        }
                    }
                }
            }
            chance = next;
            called.add(ready);
        }
        return called;
    }

    /** Whether the last pieces show what is asked; the newest was the how-manieth. */
    private boolean isMet(int course, int piece) {
        int passes = 0;
        int clean = 0;
        int days = 0;
        int lastDay = -1;
        int rest = course;
        // From the oldest that is looked at.
        for (int i = rule.of() - 1; i >= 0; i--) {
            int way = rest % WAYS;
            rest /= WAYS;
            if (way != FAILED) {
                passes++;
                clean += way == REBENT ? 0 : 1;
                int day = (piece - 1 - i) / practice.piecesADay();
                days += day == lastDay ? 0 : 1;
                lastDay = day;
            }
        }
        return passes >= rule.passes() && days >= rule.days() && clean >= rule.withoutRebending();
    }

    /**
     * The smallest rule that keeps the chance of a wrong <em>ready</em> within a risk: the fewest pieces looked at, then the fewest
     * passes; days, closeness and re-bending as in the given one, as far as so few pieces can show them.
     *
     * @param passRate of somebody who should not be called ready, 0 to 1
     * @param pieces within which they should not be
     * @param risk that is taken, 0 to 1
     * @return nothing where no rule of so few pieces does it
     */
    public static Optional<Kept> smallest(
            SignOffRule like, Practice practice, double passRate, int pieces, double risk) {
        for (int of = 1; of <= SignOffRule.MOST_PIECES; of++) {
            for (int passes = 1; passes <= of; passes++) {
                SignOffRule rule = new SignOffRule(
                        passes,
                        of,
                        Math.min(like.days(), passes),
                        like.strictness(),
                        Math.min(like.withoutRebending(), passes),
                        Math.min(like.steadyPasses(), of));
                double wrong = pieces == 0
                        ? 0
                        : ready(rule, practice, passRate, pieces).getLast();
                if (wrong <= risk) {
                    return Optional.of(new Kept(rule, wrong));
                }
            }
        }
        return Optional.empty();
    }
}
