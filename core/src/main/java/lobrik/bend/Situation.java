package lobrik.bend;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * Where conduit has to go, in an instructor's words, and the bend that usually takes it there. Ids are stable.
 *
 * <p>What stands around the piece is drawn; it changes no mark.
 */
public enum Situation {
    UP_FROM_BOX("upFromBox", "Up from a box", BendKind.STUB_90, Around.BOX_AT_FAR_END),
    BETWEEN_WALLS("betweenWalls", "Between two walls", BendKind.BACK_TO_BACK_90, Around.WALL_BEHIND_EACH_LEG),
    INTO_BOX("intoBox", "Into a box", BendKind.BOX_OFFSET, Around.BOX_AT_DATUM_END),
    ONTO_PLINTH("ontoPlinth", "Up onto a plinth", BendKind.OFFSET, Around.NOTHING),
    UP_AND_ACROSS("upAndAcross", "Up and across to a box", BendKind.ROLLING_OFFSET, Around.BOX_AT_FAR_END),
    UP_TO_LAMP("upToLamp", "Up to a lamp", BendKind.KICK, Around.BOX_AT_FAR_END),
    OVER_PIPE("overPipe", "Over a pipe", BendKind.SADDLE_3, Around.NOTHING),
    OVER_DUCT("overDuct", "Over a duct", BendKind.SADDLE_4, Around.NOTHING),
    ROUND_COLUMN("roundColumn", "Round a column", BendKind.SADDLE_4, Around.NOTHING),
    OVER_BEAM("overBeam", "Over the edge and under", BendKind.OVER_BENT_90, Around.BOX_AT_DATUM_END),
    BOX_TO_BOX("boxToBox", "From box to box", BendKind.RUN, Around.NOTHING);

    /** What stands around a piece besides what it has to clear. */
    public enum Around {
        NOTHING,
        BOX_AT_DATUM_END,
        BOX_AT_FAR_END,
        WALL_BEHIND_EACH_LEG
    }

    private final String id;
    private final String words;
    private final BendKind kind;
    private final Around around;

    Situation(String id, String words, BendKind kind, Around around) {
        this.id = id;
        this.words = words;
        this.kind = kind;
        this.around = around;
    }

    /** As programs see it, such as {@code overPipe}. */
    public String id() {
        return id;
    }

    /** As people say it. */
    public String words() {
        return words;
    }

    /** The bend that it proposes. */
    public BendKind kind() {
        return kind;
    }

    /** What stands around the piece. */
    public Around around() {
        return around;
    }

    /** The situation with this id, if there is one. */
    public static Optional<Situation> withId(String id) {
        return Stream.of(values()).filter(situation -> situation.id.equals(id)).findFirst();
    }
}
