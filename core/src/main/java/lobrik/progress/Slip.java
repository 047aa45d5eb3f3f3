package lobrik.progress;

import java.util.OptionalInt;
import lobrik.cause.CauseId;

/**
 * The cause that was named for a piece.
 *
 * @param bend that it is about, from 1; empty where it is about the whole piece
 */
public record Slip(CauseId cause, OptionalInt bend) {

    /**
     * Whether it happens or does not, such as a forgotten shrink, rather than being more or less of what all hands do. A piece
     * with one says nothing of how far hands are off as a rule.
     */
    public boolean isOnce() {
        return switch (cause) {
            case NONE,
                    BENDER,
                    UNCLEAR,
                    ANGLE_OFF,
                    ANGLE_BIAS,
                    LET_GO_WARM,
                    HEATED_SHORT,
                    MARK_SLIPPED,
                    MISREAD_FRACTION,
                    DOG_LEG,
                    WRONG_TURN -> false;
            case TAKEUP_OMITTED,
                    TAKEUP_WRONG_SIZE,
                    TAKEUP_TWICE,
                    SHRINK_OMITTED,
                    SHRINK_TWICE,
                    SHRINK_SUBTRACTED,
                    SHRINK_NEEDLESS,
                    WRONG_MULTIPLIER,
                    MULTIPLIER_OMITTED,
                    INSERTION_OMITTED,
                    CLEARANCE_OMITTED,
                    EDGE_FOR_CENTRE,
                    GAIN_OMITTED,
                    LEGS_EXCHANGED,
                    PLAY_OMITTED,
                    WRONG_WAY,
                    FIGURE_WRONG,
                    MARK_MISPLACED,
                    BURNED_INCH,
                    WRONG_ANGLE_LINE,
                    HOOK_REVERSED,
                    WRONG_REFERENCE,
                    SPRINGBACK_OMITTED,
                    TRAVEL_OF_ANOTHER_ROW,
                    WRONG_SHOE,
                    TOO_HOT,
                    MIDDLE_AS_ARROW,
                    READING_DOUBTFUL -> true;
        };
    }
}
