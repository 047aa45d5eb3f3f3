package lobrik.cause;

import static java.util.Map.entry;

import java.util.Map;

/**
 * How common causes are before anything is read: data, not code. A hypothesis that does not exist for a bend leaves its
 * share to the others.
 *
 * @param none probability that nothing went wrong
 * @param unclear probability that something happened that no hypothesis knows
 * @param pair probability that two things happened, as a part of what the faults have together
 * @param weights how common each fault is, compared with the others
 */
public record Priors(double none, double unclear, double pair, Map<CauseId, Double> weights) {

    /** What instructors meet; see docs/judging.md. */
    public static final Priors USUAL = new Priors(
            0.3,
            0.005,
            0.06,
            Map.ofEntries(
                    entry(CauseId.ANGLE_OFF, 14.0),
                    entry(CauseId.ANGLE_BIAS, 6.0),
                    entry(CauseId.SHRINK_OMITTED, 7.0),
                    entry(CauseId.TAKEUP_OMITTED, 7.0),
                    entry(CauseId.DOG_LEG, 7.0),
                    entry(CauseId.MARK_SLIPPED, 6.0),
                    entry(CauseId.MISREAD_FRACTION, 6.0),
                    entry(CauseId.WRONG_REFERENCE, 5.0),
                    entry(CauseId.HOOK_REVERSED, 5.0),
                    entry(CauseId.WRONG_ANGLE_LINE, 4.0),
                    entry(CauseId.WRONG_MULTIPLIER, 4.0),
                    entry(CauseId.BURNED_INCH, 4.0),
                    entry(CauseId.TAKEUP_WRONG_SIZE, 4.0),
                    entry(CauseId.CLEARANCE_OMITTED, 3.0),
                    entry(CauseId.EDGE_FOR_CENTRE, 3.0),
                    entry(CauseId.INSERTION_OMITTED, 3.0),
                    entry(CauseId.SHRINK_TWICE, 2.0),
                    entry(CauseId.SHRINK_SUBTRACTED, 2.0),
                    entry(CauseId.SHRINK_NEEDLESS, 2.0),
                    entry(CauseId.TAKEUP_TWICE, 2.0),
                    entry(CauseId.MULTIPLIER_OMITTED, 2.0),
                    entry(CauseId.WRONG_TURN, 3.0),
                    entry(CauseId.WRONG_WAY, 8.0),
                    entry(CauseId.GAIN_OMITTED, 7.0),
                    entry(CauseId.LEGS_EXCHANGED, 3.0),
                    entry(CauseId.PLAY_OMITTED, 3.0),
                    entry(CauseId.SPRINGBACK_OMITTED, 8.0),
                    entry(CauseId.TRAVEL_OF_ANOTHER_ROW, 4.0),
                    entry(CauseId.WRONG_SHOE, 2.0),
                    entry(CauseId.HEATED_SHORT, 5.0),
                    entry(CauseId.TOO_HOT, 5.0),
                    entry(CauseId.LET_GO_WARM, 14.0),
                    entry(CauseId.MIDDLE_AS_ARROW, 5.0),
                    // Of any size, so they could stand for anything: what has a name of its own goes before them.
                    entry(CauseId.FIGURE_WRONG, 0.2),
                    entry(CauseId.MARK_MISPLACED, 0.2),
                    entry(CauseId.READING_DOUBTFUL, 1.0)));

    public Priors {
        weights = Map.copyOf(weights);
    }

    double weight(CauseId cause) {
        return weights.getOrDefault(cause, 0.0);
    }
}
