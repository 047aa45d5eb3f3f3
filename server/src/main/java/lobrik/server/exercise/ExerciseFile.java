package lobrik.server.exercise;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import lobrik.fault.Refused;
import lobrik.server.calc.Calculations;
import lobrik.server.platform.InputError;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.UnreadableJson;
import lobrik.wire.CalcInterface;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Exercises in a file: the format is described in docs/formats/exercises.md. */
@Component
final class ExerciseFile {

    static final String FORMAT = "lobrik-exercises";
    static final int VERSION = 1;
    private static final int MOST_EXERCISES = 500;

    /** The whole file. */
    record Document(String format, int version, List<ExerciseInput> exercises) {}

    private final JsonMapper strict;
    private final Calculations calculations;

    ExerciseFile(JsonMapper json, Calculations calculations) {
        // A misspelt property in a file would otherwise be lost without a word.
        this.strict = json.rebuild()
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
        this.calculations = calculations;
    }

    static Document document(List<Exercise> exercises) {
        return new Document(
                FORMAT,
                VERSION,
                exercises.stream().map(each -> each.content().toInput()).toList());
    }

    /**
     * Reads a file.
     *
     * @throws TurnedDown with everything that is wrong and on which line
     */
    List<Content> read(byte[] file) {
        String text = utf8(file);
        LocatedJson located = LocatedJson.of(strict, text);
        JsonNode root = located.root();
        if (!root.path("format").asString("").equals(FORMAT)) {
            throw wrong(
                    located, "/format", "wrong-format", "this is no file of exercises: its format is not " + FORMAT);
        }
        if (root.path("version").asInt(0) != VERSION) {
            throw wrong(
                    located,
                    "/version",
                    "wrong-version",
                    "this file is of version " + root.path("version") + "; version " + VERSION + " can be read");
        }
        JsonNode exercises = root.path("exercises");
        if (!exercises.isArray() || exercises.isEmpty() || exercises.size() > MOST_EXERCISES) {
            throw wrong(located, "/exercises", "out-of-range", "a file has from 1 to " + MOST_EXERCISES + " exercises");
        }
        List<InputError> errors = new ArrayList<>();
        List<Content> contents = new ArrayList<>();
        for (int i = 0; i < exercises.size(); i++) {
            read(exercises.get(i), "/exercises/" + i, errors, contents);
        }
        if (!errors.isEmpty()) {
            throw TurnedDown.badInputs(errors.stream()
                    .map(error -> error.onLine(located.line(error.pointer())))
                    .toList());
        }
        return contents;
    }

    private void read(JsonNode node, String at, List<InputError> errors, List<Content> contents) {
        try {
            Content content = Content.of(strict.treeToValue(node, ExerciseInput.class));
            var _ = CalcInterface.layout(content.definition());
            content.tolerances().toCore();
            if (content.variation() != null) {
                calculations.requireVariation(content.definition(), content.variation());
            }
            contents.add(content);
        } catch (TurnedDown turnedDown) {
            turnedDown.errors().forEach(error -> errors.add(error.within(at)));
        } catch (Refused refused) {
            refused.faults()
                    .forEach(fault -> errors.add(new InputError(
                            at + parent(fault.input()) + "/" + fault.input(),
                            fault.code().id(),
                            fault.message())));
        } catch (JacksonException failure) {
            errors.add(UnreadableJson.of(failure).within(at));
        }
    }

    private static String parent(String input) {
        return input.startsWith("ranges") ? "/variation" : "/definition";
    }

    private static TurnedDown wrong(LocatedJson located, String pointer, String code, String message) {
        return TurnedDown.badInputs(List.of(new InputError(pointer, code, message, located.line(pointer))));
    }

    private static String utf8(byte[] file) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            throw TurnedDown.badInputs(List.of(new InputError("", "not-json", "this file is no text in UTF-8", 1)));
        }
    }
}
