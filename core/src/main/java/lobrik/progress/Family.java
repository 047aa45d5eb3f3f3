package lobrik.progress;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.measure.Article;
import lobrik.shop.ToolKind;

/**
 * What is learnt, practised and signed for by itself: a kind of bend with a sort of tool. Whoever bends a stub at the machine has not
 * shown that they bend one by hand.
 *
 * @param bend the shape
 * @param tool what it is bent with
 */
public record Family(BendKind bend, ToolKind tool) implements Comparable<Family> {

    private static final Comparator<Family> ORDER =
            Comparator.comparing(Family::tool).thenComparing(Family::bend);

    private static final List<Family> ALL = Stream.of(ToolKind.values())
            .flatMap(tool -> Stream.of(BendKind.values()).map(bend -> new Family(bend, tool)))
            .toList();

    private static final Map<String, Family> BY_ID =
            ALL.stream().collect(Collectors.toUnmodifiableMap(Family::id, family -> family));

    /** All there are: by hand, at the machine, with heat, each from the bend that is learnt first. */
    public static List<Family> all() {
        return ALL;
    }

    /** A bend by hand: what each was before there were other tools. */
    public static Family byHand(BendKind bend) {
        return new Family(bend, ToolKind.SHOE);
    }

    /** As programs see it: {@code offset} by hand, {@code offset.machine} and {@code offset.former} else. Ids are stable. */
    public String id() {
        return switch (tool) {
            case SHOE -> bend.id();
            case MACHINE, FORMER -> bend.id() + "." + tool.id();
        };
    }

    /** The family with this id, if there is one. */
    public static Optional<Family> withId(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }

    /** In a sentence: {@code offset at the machine}; by hand is not said. */
    public String words() {
        return bend.words() + with();
    }

    /** One of them: {@code an offset at the machine}. */
    public String one() {
        return Article.before(words());
    }

    /** Several of them: {@code offsets at the machine}. */
    public String plural() {
        return bend.plural() + with();
    }

    /** As a heading: {@code Offset at the machine}. */
    public String title() {
        return bend.title() + with();
    }

    private String with() {
        return switch (tool) {
            case SHOE -> "";
            case MACHINE, FORMER -> " " + tool.words();
        };
    }

    /** By tool, then from the bend that is learnt first. */
    @Override
    public int compareTo(Family other) {
        return ORDER.compare(this, other);
    }
}
