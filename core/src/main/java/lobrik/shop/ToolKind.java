package lobrik.shop;

import java.util.Optional;
import java.util.stream.Stream;

/** The sorts of tools. The ids are stable. */
public enum ToolKind {
    /** A shoe on a lever. */
    SHOE("shoe", "Hand bender", "by hand"),
    /** A shoe that a ram or a motor pushes. */
    MACHINE("machine", "Machine", "at the machine"),
    /** Heat, and something to bend round. */
    FORMER("former", "Heat", "with heat");

    private final String id;
    private final String title;
    private final String words;

    ToolKind(String id, String title, String words) {
        this.id = id;
        this.title = title;
        this.words = words;
    }

    /** As programs see it: {@code machine}. */
    public String id() {
        return id;
    }

    /** As a heading: {@code Hand bender}. */
    public String title() {
        return title;
    }

    /** In a sentence: {@code at the machine}. */
    public String words() {
        return words;
    }

    /** The kind with this id, if there is one. */
    public static Optional<ToolKind> withId(String id) {
        return Stream.of(values()).filter(kind -> kind.id.equals(id)).findFirst();
    }
}
