package lobrik.server.exercise;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lobrik.server.platform.InputError;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** JSON that knows on which line each of its values stands, so that who wrote it by hand finds what is wrong. */
final class LocatedJson {

    private final JsonNode root;
    private final Map<String, Integer> lines;

    private LocatedJson(JsonNode root, Map<String, Integer> lines) {
        this.root = root;
        this.lines = lines;
    }

    /** @throws TurnedDown with its line if the text is no JSON */
    static LocatedJson of(JsonMapper json, String text) {
        try (JsonParser parser = json.createParser(text)) {
            return new LocatedJson(json.readTree(text), lines(parser));
        } catch (JacksonException malformed) {
            int line = malformed.getLocation() == null
                    ? 1
                    : malformed.getLocation().getLineNr();
            throw TurnedDown.badInputs(List.of(
                    new InputError("", "not-json", "line " + line + " is no JSON, or it ends too early", line)));
        }
    }

    /** Where the parser is: the pointer of an object or an array, and what comes next in it. */
    private static final class Level {
        private final String pointer;
        private final boolean array;
        private int index;
        private String name = "";

        private Level(String pointer, boolean array) {
            this.pointer = pointer;
            this.array = array;
        }

        String next() {
            return pointer + "/" + (array ? Integer.toString(index++) : name);
        }
    }

    private static Map<String, Integer> lines(JsonParser parser) {
        Map<String, Integer> lines = new HashMap<>();
        Deque<Level> levels = new ArrayDeque<>();
        for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
            int line = parser.currentTokenLocation().getLineNr();
            if (token == JsonToken.PROPERTY_NAME) {
                levels.getLast().name = parser.currentName().replace("~", "~0").replace("/", "~1");
                continue;
            }
            if (token == JsonToken.END_OBJECT || token == JsonToken.END_ARRAY) {
                levels.removeLast();
                continue;
            }
            String pointer = levels.isEmpty() ? "" : levels.getLast().next();
            lines.put(pointer, line);
            if (token == JsonToken.START_OBJECT || token == JsonToken.START_ARRAY) {
                levels.addLast(new Level(pointer, token == JsonToken.START_ARRAY));
            }
        }
        return lines;
    }

    JsonNode root() {
        return root;
    }

    /** The line of a value, from 1; of something that is missing, the line of what it is missing in. */
    @Nullable
    Integer line(String pointer) {
        String at = pointer;
        while (!lines.containsKey(at) && !at.isEmpty()) {
            at = at.substring(0, at.lastIndexOf('/'));
        }
        return lines.get(at);
    }
}
