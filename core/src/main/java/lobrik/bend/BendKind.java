package lobrik.bend;

import java.util.Optional;
import java.util.stream.Stream;

/** The kinds of bend, from the one that is learnt first. Ids are stable. */
public enum BendKind {
    STUB_90("stub90", "stub ninety", "stub nineties"),
    BACK_TO_BACK_90("backToBack90", "back-to-back ninety", "back-to-back nineties"),
    BOX_OFFSET("boxOffset", "box offset", "box offsets"),
    OFFSET("offset", "offset", "offsets"),
    ROLLING_OFFSET("rollingOffset", "rolling offset", "rolling offsets"),
    KICK("kick", "kick", "kicks"),
    SADDLE_3("saddle3", "three-point saddle", "three-point saddles"),
    SADDLE_4("saddle4", "four-point saddle", "four-point saddles"),
    OVER_BENT_90("overBent90", "over-bent ninety", "over-bent nineties"),
    RUN("run", "run", "runs");

    private final String id;
    private final String words;
    private final String plural;

    BendKind(String id, String words, String plural) {
        this.id = id;
        this.words = words;
        this.plural = plural;
    }

    /** As programs see it, such as {@code saddle3}. */
    public String id() {
        return id;
    }

    /** Whether it is so small that its rise is held to half of the tolerance (handbook 7). */
    public boolean isSmall() {
        return switch (this) {
            case BOX_OFFSET -> true;
            case STUB_90, BACK_TO_BACK_90, OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4, OVER_BENT_90, RUN -> false;
        };
    }

    /** Whether the dimensions of the finished piece say nothing about its angles that is not seen on them. */
    public boolean isReadWithoutAngles() {
        return switch (this) {
            case SADDLE_3, SADDLE_4 -> true;
            case STUB_90, BACK_TO_BACK_90, BOX_OFFSET, OFFSET, ROLLING_OFFSET, KICK, OVER_BENT_90, RUN -> false;
        };
    }

    /**
     * Whether both methods say the same: of nineties, where take-up and gain are exact, and of what there is no chart for.
     */
    public boolean isExactByTheChart() {
        return switch (this) {
            case STUB_90, BACK_TO_BACK_90, OVER_BENT_90 -> true;
            case BOX_OFFSET, OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4, RUN -> false;
        };
    }

    /** Whether there is a chart for it; what has none is laid out exactly, whatever a school's method is. */
    public boolean isCharted() {
        return switch (this) {
            case STUB_90, BACK_TO_BACK_90, BOX_OFFSET, OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4, RUN -> true;
            case OVER_BENT_90 -> false;
        };
    }

    /** Whether its datum end always enters a fitting. */
    public boolean entersFitting() {
        return switch (this) {
            case BOX_OFFSET, OVER_BENT_90, RUN -> true;
            case STUB_90, BACK_TO_BACK_90, OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4 -> false;
        };
    }

    /** Whether its last mark may be found on the part-bent piece, with level and straight edge, instead of being worked out (handbook 4.8). */
    public boolean findsLastMark() {
        return switch (this) {
            case OVER_BENT_90 -> true;
            case STUB_90, BACK_TO_BACK_90, BOX_OFFSET, OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4, RUN -> false;
        };
    }

    /** Whether there is never more than one bend, so that nobody numbers it. */
    public boolean isSingleBend() {
        return switch (this) {
            case STUB_90, KICK -> true;
            case BACK_TO_BACK_90, BOX_OFFSET, OFFSET, ROLLING_OFFSET, SADDLE_3, SADDLE_4, OVER_BENT_90, RUN -> false;
        };
    }

    /** In a sentence: {@code four-point saddle}. */
    public String words() {
        return words;
    }

    /** On a form: {@code Four-point saddle}. */
    public String title() {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Several of them: {@code four-point saddles}. */
    public String plural() {
        return plural;
    }

    /** The kind with this id, if there is one. */
    public static Optional<BendKind> withId(String id) {
        return Stream.of(values()).filter(kind -> kind.id.equals(id)).findFirst();
    }
}
