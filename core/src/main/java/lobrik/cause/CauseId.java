package lobrik.cause;

import java.util.Optional;
import java.util.stream.Stream;

/** What can have gone wrong with a piece (handbook 7). The ids are stable. */
public enum CauseId {
    NONE("none", "Nothing went wrong", Stage.NONE, Unit.NONE),
    /** What the readings show is what the bender is known to add, and nothing else. */
    BENDER("bender", "The bender, not the hands", Stage.NONE, Unit.NONE),
    TAKEUP_OMITTED("takeup-omitted", "Take-up forgotten", Stage.ARITHMETIC, Unit.NONE),
    TAKEUP_WRONG_SIZE("takeup-wrong-size", "Take-up of another size", Stage.ARITHMETIC, Unit.LENGTH),
    TAKEUP_TWICE("takeup-twice", "Take-up deducted twice", Stage.ARITHMETIC, Unit.NONE),
    SHRINK_OMITTED("shrink-omitted", "Shrink forgotten", Stage.ARITHMETIC, Unit.NONE),
    SHRINK_TWICE("shrink-twice", "Shrink added twice", Stage.ARITHMETIC, Unit.NONE),
    SHRINK_SUBTRACTED("shrink-subtracted", "Shrink taken off instead of added", Stage.ARITHMETIC, Unit.NONE),
    /** Added where the layout needs none: it was taken for the other one. */
    SHRINK_NEEDLESS("shrink-needless", "Shrink added where none belongs", Stage.ARITHMETIC, Unit.NONE),
    /** The amount is the angle whose multiplier was taken. */
    WRONG_MULTIPLIER("wrong-multiplier", "Multiplier of another angle", Stage.ARITHMETIC, Unit.ANGLE),
    MULTIPLIER_OMITTED("multiplier-omitted", "Multiplier forgotten", Stage.ARITHMETIC, Unit.NONE),
    INSERTION_OMITTED("insertion-omitted", "Insertion forgotten", Stage.ARITHMETIC, Unit.LENGTH),
    CLEARANCE_OMITTED("clearance-omitted", "Clearance forgotten", Stage.ARITHMETIC, Unit.NONE),
    EDGE_FOR_CENTRE("edge-for-centre", "Edge and centre mixed up", Stage.ARITHMETIC, Unit.LENGTH),
    /** Of a run: the corners were not taken off. */
    GAIN_OMITTED("gain-omitted", "Gain forgotten", Stage.ARITHMETIC, Unit.NONE),
    /** Of a run: two of its legs were taken for one another. */
    LEGS_EXCHANGED("legs-exchanged", "Two legs exchanged", Stage.ARITHMETIC, Unit.NONE),
    /** Of a run: nothing was taken off a leg so that it goes in. */
    PLAY_OMITTED("play-omitted", "Play forgotten", Stage.ARITHMETIC, Unit.LENGTH),
    /** The trainee's own figure is wrong, by no slip that has a name. */
    FIGURE_WRONG("figure-wrong", "A figure worked out wrong", Stage.ARITHMETIC, Unit.LENGTH),
    /** The amount is how far all marks are from their true place. */
    BURNED_INCH("burned-inch", "Tape started at the 1 in line", Stage.MARKING, Unit.LENGTH),
    MISREAD_FRACTION("misread-fraction", "One mark misread", Stage.MARKING, Unit.LENGTH),
    /** By more than a fraction, and by no slip that has a name. */
    MARK_MISPLACED("mark-misplaced", "Ring in the wrong place", Stage.MARKING, Unit.LENGTH),
    /** The amount is the line that was bent to. */
    WRONG_ANGLE_LINE("wrong-angle-line", "Bent to another line of the shoe", Stage.BENDING, Unit.ANGLE),
    ANGLE_OFF("angle-off", "One angle off", Stage.BENDING, Unit.ANGLE),
    ANGLE_BIAS("angle-bias", "All angles off the same way", Stage.BENDING, Unit.ANGLE),
    HOOK_REVERSED("hook-reversed", "Hook to the wrong side", Stage.BENDING, Unit.NONE),
    WRONG_REFERENCE("wrong-reference", "Another mark of the shoe on the ring", Stage.BENDING, Unit.NONE),
    /** Of a machine: pulled to the angle itself, and it opened. The amount is how far. */
    SPRINGBACK_OMITTED("springback-omitted", "Springback not allowed for", Stage.BENDING, Unit.ANGLE),
    /** Of a machine: the amount is the angle whose travel was read. */
    TRAVEL_OF_ANOTHER_ROW("travel-other-row", "Travel read off another row", Stage.BENDING, Unit.ANGLE),
    /** Of a machine: the amount is the radius of the shoe that was in it. */
    WRONG_SHOE("wrong-shoe", "Shoe of another size", Stage.BENDING, Unit.LENGTH),
    /** Of plastic: the amount is how much of the heated length was missing. */
    HEATED_SHORT("heated-short", "Heated too short", Stage.BENDING, Unit.LENGTH),
    /** Of plastic: the amount is how far it opened. */
    LET_GO_WARM("let-go-warm", "Let go before it was cold", Stage.BENDING, Unit.ANGLE),
    /** Of plastic: it yellowed or blistered; nothing of its shape tells. */
    TOO_HOT("too-hot", "Warmed too hot", Stage.BENDING, Unit.NONE),
    /** Of plastic: bent from the ring on, as if it were the mark of a shoe. */
    MIDDLE_AS_ARROW("middle-as-arrow", "Middle mark taken for an arrow mark", Stage.BENDING, Unit.NONE),
    MARK_SLIPPED("mark-slipped", "Bent beside the ring", Stage.BENDING, Unit.LENGTH),
    DOG_LEG("dog-leg", "Dog leg", Stage.BENDING, Unit.ANGLE),
    /** Of a run: a bend turned to another side than asked for. The amount is how far. */
    WRONG_WAY("wrong-way", "Bent the wrong way", Stage.BENDING, Unit.ANGLE),
    /** A rolling offset whose plane was turned by another angle; the amount is how much further. */
    WRONG_TURN("wrong-turn", "Rolled by another angle", Stage.BENDING, Unit.ANGLE),
    /** One reading that no piece with the other readings can have. The amount is how far it is off. */
    READING_DOUBTFUL("reading-doubtful", "One reading does not fit the others", Stage.MEASURING, Unit.NONE),
    /** No hypothesis explains the readings. */
    UNCLEAR("no-clear-cause", "Something else", Stage.NONE, Unit.NONE);

    /** When it happened. */
    public enum Stage {
        NONE(0),
        ARITHMETIC(0),
        MARKING(1),
        BENDING(2),
        MEASURING(3);

        private final int order;

        Stage(int order) {
            this.order = order;
        }

        /** How many other stages come before it. */
        int order() {
            return order;
        }
    }

    /** What its amount is measured in. */
    public enum Unit {
        NONE,
        LENGTH,
        ANGLE
    }

    private final String id;
    private final String title;
    private final Stage stage;
    private final Unit unit;

    CauseId(String id, String title, Stage stage, Unit unit) {
        this.id = id;
        this.title = title;
        this.stage = stage;
        this.unit = unit;
    }

    /** As programs see it, such as {@code shrink-omitted}. */
    public String id() {
        return id;
    }

    /** As a heading. */
    public String title() {
        return title;
    }

    public Stage stage() {
        return stage;
    }

    public Unit unit() {
        return unit;
    }

    /** Whether it says that somebody did something wrong, or read it wrong. */
    public boolean isFault() {
        return this != NONE && this != BENDER && this != UNCLEAR;
    }

    /** The cause with this id, if there is one. */
    public static Optional<CauseId> withId(String id) {
        return Stream.of(values()).filter(cause -> cause.id.equals(id)).findFirst();
    }
}
