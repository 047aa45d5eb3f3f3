package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import lobrik.bend.InputId;
import lobrik.measure.Angle;
import lobrik.measure.LengthUnit;
import lobrik.measure.QuantityKind;
import lobrik.measure.TakeOff;
import lobrik.server.exercise.ExerciseInput.ToleranceInput;
import lobrik.server.platform.InputError;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.WireJson;
import lobrik.server.shed.ToleranceFigures;
import lobrik.wire.LayoutRequest;
import lobrik.wire.VariationInput;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What an exercise says, checked as far as words and figures go; whether it can be laid out is the core's to say.
 *
 * @param tags without doubles, in the order in which they were given
 * @param methodFree whether the trainee may find the marks in any way: then marks are not judged
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Content(
        String title,
        Level level,
        List<String> tags,
        String conduitLabel,
        String benderLabel,
        LayoutRequest definition,
        @Nullable Entered entered,
        ToleranceFigures tolerances,
        ReadingsAsked readings,
        boolean methodFree,
        @Nullable VariationInput variation) {

    private static final JsonMapper JSON = WireJson.mapper();
    private static final int LONGEST_TEXT = 120;
    private static final int LONGEST_TAG = 40;
    private static final int MOST_TAGS = 12;
    private static final int MOST_TEXTS = 120;

    /** An input, or one of a part by its number. */
    private static final Pattern PATH = Pattern.compile("\\w{1,40}(/\\d{1,2})?(/\\w{1,40})?");

    /** Sizes are compared as people type them. */
    private static final double SAME_SIZE = 1e-6;

    /**
     * Checks what was sent.
     *
     * @throws TurnedDown with everything that is wrong
     */
    public static Content of(ExerciseInput input) {
        List<InputError> errors = new ArrayList<>();
        Check check = new Check(errors);
        String title = check.text("/title", input.title());
        String conduit = check.text("/conduitLabel", input.conduitLabel());
        String bender = check.text("/benderLabel", input.benderLabel());
        List<String> tags = check.tags(input.tags());
        ToleranceFigures tolerances = check.tolerances(input.tolerances());
        if (input.definition() == null) {
            check.wrong("/definition", "missing", "this is missing");
        } else if (input.definition().bend() == null) {
            check.wrong("/definition/bend", "missing", "this is missing");
        } else if (input.entered() != null) {
            check.entered(input.entered(), JSON.valueToTree(input.definition().bend()));
        }
        if (!errors.isEmpty()) {
            throw TurnedDown.badInputs(errors);
        }
        return new Content(
                title,
                input.level() == null ? Level.FIRST : input.level(),
                tags,
                conduit,
                bender,
                Objects.requireNonNull(input.definition()),
                input.entered(),
                tolerances,
                input.readings() == null ? ReadingsAsked.ALL : input.readings(),
                Boolean.TRUE.equals(input.methodFree()),
                input.variation());
    }

    /**
     * Checks a set of tolerances that was sent by itself.
     *
     * @throws TurnedDown with everything that is missing
     */
    public static ToleranceFigures tolerances(@Nullable ToleranceInput input) {
        List<InputError> errors = new ArrayList<>();
        ToleranceFigures figures = new Check(errors).tolerances(input);
        if (!errors.isEmpty()) {
            throw TurnedDown.badInputs(errors);
        }
        return figures;
    }

    /** The id of its kind of bend. */
    public String kind() {
        return JSON.valueToTree(definition.bend()).path("kind").asString();
    }

    /** The same exercise with other sizes: nobody typed those. */
    public Content varied(LayoutRequest other) {
        return new Content(
                title, level, tags, conduitLabel, benderLabel, other, null, tolerances, readings, methodFree, null);
    }

    /** The same exercise on another bender. */
    public Content on(String otherBender, LayoutRequest other) {
        return new Content(
                title,
                level,
                tags,
                conduitLabel,
                otherBender,
                other,
                entered,
                tolerances,
                readings,
                methodFree,
                variation);
    }

    /** A piece of a run as an exercise of its own. */
    public Content piece(LayoutRequest own, String which) {
        String name = title.length() + which.length() + 2 > LONGEST_TEXT
                ? title.substring(0, LONGEST_TEXT - which.length() - 2)
                : title;
        return new Content(
                name + ", " + which,
                level,
                tags,
                conduitLabel,
                benderLabel,
                own,
                null,
                tolerances,
                readings,
                methodFree,
                null);
    }

    /** The same with its definition said otherwise, which lays out alike. */
    Content laidOutAs(LayoutRequest said) {
        return new Content(
                title,
                level,
                tags,
                conduitLabel,
                benderLabel,
                said,
                entered,
                tolerances,
                readings,
                methodFree,
                variation);
    }

    /** The way it stands in a file. */
    ExerciseInput toInput() {
        return new ExerciseInput(
                title,
                level,
                List.copyOf(tags),
                conduitLabel,
                benderLabel,
                definition,
                entered,
                ToleranceInput.of(tolerances),
                readings,
                methodFree ? true : null,
                variation);
    }

    /** Collects what is wrong. */
    private record Check(List<InputError> errors) {

        void wrong(String pointer, String code, String message) {
            errors.add(new InputError(pointer, code, message));
        }

        String text(String pointer, @Nullable String text) {
            return text(pointer, text, LONGEST_TEXT);
        }

        private String text(String pointer, @Nullable String text, int longest) {
            String stripped = text == null ? "" : text.strip();
            if (stripped.isEmpty() || stripped.length() > longest) {
                wrong(pointer, "missing", "give a text of 1 to " + longest + " characters");
            } else if (stripped.chars().anyMatch(c -> c == '<' || c == '>' || Character.isISOControl(c))) {
                wrong(pointer, "not-plain-text", "names are plain text: neither < nor > nor control characters");
            }
            return stripped;
        }

        List<String> tags(@Nullable List<@Nullable String> given) {
            if (given == null) {
                return List.of();
            }
            if (given.size() > MOST_TAGS) {
                wrong("/tags", "out-of-range", "an exercise has at most " + MOST_TAGS + " tags");
                return List.of();
            }
            Set<String> tags = new LinkedHashSet<>();
            for (int i = 0; i < given.size(); i++) {
                tags.add(text("/tags/" + i, given.get(i), LONGEST_TAG));
            }
            return List.copyOf(tags);
        }

        ToleranceFigures tolerances(@Nullable ToleranceInput input) {
            if (input == null) {
                wrong("/tolerances", "missing", "this is missing");
                return new ToleranceFigures("", 0, 0, 0, 0, null, null, null, null, null, null, null);
            }
            String preset = text("/tolerances/preset", input.preset());
            return new ToleranceFigures(
                    preset,
                    figure("/tolerances/lengthIn", input.lengthIn()),
                    figure("/tolerances/angleDeg", input.angleDeg()),
                    figure("/tolerances/dogLegDeg", input.dogLegDeg()),
                    figure("/tolerances/passMark", input.passMark()),
                    // Written out, so that a later change of the usual rules changes nothing that was set.
                    input.workmanship() == null ? ToleranceFigures.usualWorkmanship(preset) : input.workmanship(),
                    input.scheme(),
                    input.weights(),
                    input.critical(),
                    input.rebending(),
                    input.limits(),
                    input.entering());
        }

        private double figure(String pointer, @Nullable Double value) {
            if (value == null) {
                wrong(pointer, "missing", "this is missing");
                return 0;
            }
            return value;
        }

        /** What was typed must say what is bent, or the sheet and the piece would differ. */
        void entered(Entered entered, JsonNode bend) {
            if (entered.texts() == null || entered.texts().size() > MOST_TEXTS) {
                wrong("/entered/texts", "missing", "give what was typed, for at most " + MOST_TEXTS + " inputs");
                return;
            }
            LengthUnit unit = Objects.requireNonNullElse(entered.unit(), LengthUnit.INCH);
            entered.texts().forEach((input, text) -> {
                String pointer = "/entered/texts/" + input.replace("~", "~0").replace("/", "~1");
                JsonNode size = bend.at("/" + input);
                if (named(input).isEmpty() || text == null) {
                    wrong(pointer, "unknown-value", "this is not a size of a bend");
                } else if (!size.isNumber()
                        || Math.abs(read(pointer, input, text, unit) - size.asDouble()) > SAME_SIZE) {
                    wrong(pointer, "entered-differs", "“" + text + "” is not the size that the definition has");
                }
            });
        }

        /** The input at the end of a path, such as {@code legs/0/lengthIn}. */
        private static Optional<InputId> named(String path) {
            return PATH.matcher(path).matches()
                    ? InputId.withId(path.substring(path.lastIndexOf('/') + 1))
                    : Optional.empty();
        }

        private double read(String pointer, String input, String text, LengthUnit unit) {
            try {
                return named(input).orElseThrow().measured() == QuantityKind.ANGLE
                        ? Angle.parse(text).degrees()
                        : TakeOff.parse(text, unit).length().inches();
            } catch (IllegalArgumentException unreadable) {
                wrong(pointer, "not-a-number", String.valueOf(unreadable.getMessage()));
                return Double.NaN;
            }
        }
    }
}
