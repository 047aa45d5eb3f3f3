package lobrik.layout;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import lobrik.shop.ToolKind;

/** Cautions to show with bending (handbook 5 and 4.10, 4.11), in plain words and in the order in which they matter. */
public enum Caution {
    ENERGISED("Never bend on or near anything energised."),
    EYES_AND_HANDS("Eye protection and gloves on."),
    FOOTING("Foot firm on the shoe, hands well up the handle, clear space for its swing.", ToolKind.SHOE),
    LINE_OF_LEVER("Nobody in line with a loaded lever.", ToolKind.SHOE),
    ONE_VOICE("Two people at one machine, one voice: only one gives orders.", ToolKind.MACHINE),
    HANDS_OUT("Hands out of shoe and follower before the pressure goes on.", ToolKind.MACHINE),
    UNDER_PRESSURE("Wheels locked; nobody behind the ram or over a hose under pressure.", ToolKind.MACHINE),
    HOT("Hot plastic burns: gloves, and lay it down where nobody takes it up.", ToolKind.FORMER),
    FUMES("Ventilate; no flame or heat near solvent cement.", ToolKind.FORMER),
    REAM("Cut square and ream every cut."),
    LOCAL_CODE("Local code and the licensed person in charge decide.");

    private final String text;
    private final Set<ToolKind> tools;

    /** With whatever tool it is bent. */
    Caution(String text) {
        this.text = text;
        this.tools = EnumSet.allOf(ToolKind.class);
    }

    Caution(String text, ToolKind only) {
        this.text = text;
        this.tools = EnumSet.of(only);
    }

    public String text() {
        return text;
    }

    /** Those of a kind of tool. */
    public static List<Caution> of(ToolKind tool) {
        return Stream.of(values())
                .filter(caution -> caution.tools.contains(tool))
                .toList();
    }
}
