package lobrik.layout;

import java.util.List;
import java.util.stream.Stream;
import lobrik.shop.ToolKind;

/** What is looked over before the first bend, where a tool asks for it (handbook 4.10 and 4.11). Ids are stable. */
public enum BeforeBending {
    SHOE_SIZE("shoeSize", "Shoe of the right size", ToolKind.MACHINE),
    FOLLOWER("follower", "Follower in its place, the right way round", ToolKind.MACHINE),
    WHEELS("wheels", "Wheels locked", ToolKind.MACHINE),
    TWIST_LEVEL("twistLevel", "Level against twist clamped to the far end", ToolKind.MACHINE),
    HOSE("hose", "Hose, couplings and pressure looked over", ToolKind.MACHINE),
    ORDERS("orders", "Said who gives the orders", ToolKind.MACHINE),
    READY_MADE("readyMade", "No ready-made elbow fits here: it would be rounder", ToolKind.FORMER),
    KEPT_ROUND("keptRound", "What keeps it round is at hand", ToolKind.FORMER),
    HEATED_LENGTH("heatedLength", "Both ends of the heated length pencilled", ToolKind.FORMER),
    AIR("air", "Ventilated, no solvent open", ToolKind.FORMER);

    private final String id;
    private final String words;
    private final ToolKind tool;

    BeforeBending(String id, String words, ToolKind tool) {
        this.id = id;
        this.words = words;
        this.tool = tool;
    }

    /** As programs see it: {@code twistLevel}. */
    public String id() {
        return id;
    }

    /** What is right when it is looked over. */
    public String words() {
        return words;
    }

    /** What there is to look over with a kind of tool, in order; nothing with a hand bender. */
    public static List<BeforeBending> with(ToolKind tool) {
        return Stream.of(values()).filter(point -> point.tool == tool).toList();
    }
}
