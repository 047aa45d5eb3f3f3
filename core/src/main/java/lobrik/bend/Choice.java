package lobrik.bend;

import java.util.List;
import java.util.Optional;

/**
 * A choice that a kind of bend leaves. The first option is the usual one.
 *
 * @param id as programs see it: {@code layout}
 * @param title on a form: {@code Distance measured}
 * @param of what it decides
 * @param isAsked whether it has to be said; else the first option is taken where nothing is
 */
public record Choice(String id, String title, Of of, boolean isAsked, List<Option> options) {

    /** What a choice decides. */
    public enum Of {
        /** Where the distance that was measured runs to: the same bend lies elsewhere. */
        PLACE,
        /** How the same bend is worked out, or made. */
        WORKING
    }

    /**
     * One of them.
     *
     * @param value what it is to the bend; its id is its name as programs write names: {@code fromEdge}
     * @param title on a form: {@code To the near edge}
     */
    public record Option(Enum<?> value, String title) {

        /** As programs see it. */
        public String id() {
            return Choice.id(value);
        }
    }

    Choice(String id, String title, Of of, Option... options) {
        this(id, title, of, false, List.of(options));
    }

    /** The same, which has to be said. */
    Choice asked() {
        return new Choice(id, title, of, true, options);
    }

    /** The option with this id, if there is one. */
    public Optional<Option> withId(String option) {
        return options.stream().filter(each -> each.id().equals(option)).findFirst();
    }

    /** {@code FROM_EDGE} as {@code fromEdge}. */
    private static String id(Enum<?> value) {
        StringBuilder id = new StringBuilder();
        boolean large = false;
        for (char letter : value.name().toCharArray()) {
            if (letter == '_') {
                large = true;
            } else {
                id.append(large ? letter : Character.toLowerCase(letter));
                large = false;
            }
        }
        return id.toString();
    }
}
