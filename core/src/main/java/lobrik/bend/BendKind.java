package lobrik.bend;

import java.util.Optional;
import java.util.stream.Stream;

/** The kinds of bend, from the one that is learnt first. Ids are stable. */
public enum BendKind {
    STUB_90("stub90", 1),
    BACK_TO_BACK_90("backToBack90", 2),
    BOX_OFFSET("boxOffset", 2),
    OFFSET("offset", 2),
    ROLLING_OFFSET("rollingOffset", 2),
    KICK("kick", 1),
    SADDLE_3("saddle3", 3),
    SADDLE_4("saddle4", 4);

    private final String id;
    private final int bends;

    BendKind(String id, int bends) {
        this.id = id;
        this.bends = bends;
    }

    /** As programs see it, such as {@code saddle3}. */
    public String id() {
        return id;
    }

    /** How many times the conduit goes into the shoe. */
    public int bends() {
        return bends;
    }

    /** The kind with this id, if there is one. */
    public static Optional<BendKind> withId(String id) {
        return Stream.of(values()).filter(kind -> kind.id.equals(id)).findFirst();
    }
}
