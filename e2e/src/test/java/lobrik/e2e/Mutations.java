package lobrik.e2e;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonNull;
import com.google.gson.JsonObject;
import com.google.gson.JsonPrimitive;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/**
 * Makes calls that the interface's description allows, and then damages most of them: holes, wrong kinds, numbers and days
 * out of this world, bytes that are no text, bodies that are cut or never end.
 */
final class Mutations {

    /**
     * One call.
     *
     * @param path with its query, as it goes over the line
     * @param type of the body; null if none is said
     */
    @SuppressWarnings("ArrayRecordComponent") // Made for one use, and never changed.
    record Call(String method, String path, String type, byte[] body) {

        @Override
        public String toString() {
            String text = new String(body, StandardCharsets.UTF_8);
            return method + " " + path + " (" + type + ", " + body.length + " bytes) "
                    + text.substring(0, Math.min(1500, text.length()));
        }
    }

    private static final int DEEPEST = 7;

    private final JsonObject description;
    private final List<String> known;
    private final RandomGenerator random;
    private final List<Operation> operations = new ArrayList<>();

    private record Operation(String method, String path, JsonObject rules) {}

    /**
     * Calls of a description.
     *
     * @param known ids and codes that are there
     */
    Mutations(JsonObject description, List<String> known, RandomGenerator random) {
        this.description = description;
        this.known = known;
        this.random = random;
        description
                .getAsJsonObject("paths")
                .asMap()
                .forEach((path, methods) -> methods.getAsJsonObject()
                        .asMap()
                        .forEach((method, rules) ->
                                operations.add(new Operation(method, path, rules.getAsJsonObject()))));
    }

    /** How many operations there are. */
    int size() {
        return operations.size();
    }

    private <T> T pick(List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    private boolean chance(double probability) {
        return random.nextDouble() < probability;
    }

    /** The next call: every operation comes as often as any other. */
    Call next() {
        Operation operation = pick(operations);
        String path = address(operation);
        JsonObject body = operation.rules().getAsJsonObject("requestBody");
        if (body == null) {
            boolean stray = chance(0.1);
            return new Call(
                    operation.method(),
                    path,
                    stray ? pick(Oddities.TYPES) : null,
                    stray ? "{}".getBytes(StandardCharsets.UTF_8) : new byte[0]);
        }
        JsonObject content = body.getAsJsonObject("content");
        if (!content.has("application/json")) {
            byte[] bytes = new byte[random.nextInt(2000)];
            random.nextBytes(bytes);
            return new Call(operation.method(), path, pick(Oddities.TYPES), bytes);
        }
        JsonElement made = make(content.getAsJsonObject("application/json").get("schema"), 0);
        // Half of them are whole: what they say is odd enough.
        for (int i = Math.max(0, random.nextInt(6) - 2); i > 0; i--) {
            made = damaged(made, 0.1);
        }
        byte[] bytes = written(made);
        return new Call(
                operation.method(),
                path,
                chance(0.97) ? "application/json" : pick(Oddities.TYPES),
                chance(0.07) ? broken(bytes) : bytes);
    }

    private String address(Operation operation) {
        StringBuilder path = new StringBuilder();
        for (String part : operation.path().split("/")) {
            if (part.isEmpty()) {
                continue;
            }
            path.append('/');
            path.append(part.contains("{") ? (chance(0.75) ? pick(known) : pick(Oddities.SEGMENTS)) : part);
            if (chance(0.01)) {
                path.append(pick(Oddities.SEGMENTS));
            }
        }
        StringBuilder query = new StringBuilder();
        if (operation.rules().has("parameters")) {
            for (JsonElement parameter : operation.rules().getAsJsonArray("parameters")) {
                JsonObject rules = parameter.getAsJsonObject();
                if (rules.get("in").getAsString().equals("query") && chance(0.7)) {
                    query.append(query.isEmpty() ? '?' : '&')
                            .append(rules.get("name").getAsString())
                            .append('=')
                            .append(parameterValue());
                }
            }
        }
        return path.append(query).toString();
    }

    private String parameterValue() {
        return switch (random.nextInt(4)) {
            case 0 -> pick(Oddities.SEGMENTS);
            case 1 -> pick(known);
            default ->
                URLEncoder.encode(
                        pick(Oddities.TEXTS).replace("@NUL@", "\0").replaceAll("@\\w+@", "?"), StandardCharsets.UTF_8);
        };
    }

    private JsonElement make(JsonElement schema, int depth) {
        JsonObject rules = schema.getAsJsonObject();
        if (rules.has("$ref")) {
            String reference = rules.get("$ref").getAsString();
            return make(
                    description
                            .getAsJsonObject("components")
                            .getAsJsonObject("schemas")
                            .get(reference.substring(reference.lastIndexOf('/') + 1)),
                    depth);
        }
        for (String choice : List.of("oneOf", "anyOf")) {
            if (rules.has(choice)) {
                return make(pick(rules.getAsJsonArray(choice).asList()), depth + 1);
            }
        }
        if (rules.has("enum")) {
            return pick(rules.getAsJsonArray("enum").asList());
        }
        return switch (type(rules)) {
            case "object" -> object(rules, depth);
            case "array" -> array(rules, depth);
            case "number" -> number();
            case "integer" -> chance(0.9) ? new JsonPrimitive(pick(Oddities.COUNTS)) : number();
            case "boolean" -> new JsonPrimitive(random.nextBoolean());
            case "string" -> text(rules);
            default -> JsonNull.INSTANCE;
        };
    }

    private String type(JsonObject rules) {
        JsonElement type = rules.get("type");
        if (type == null) {
            return "null";
        }
        return type.isJsonArray() ? pick(type.getAsJsonArray().asList()).getAsString() : type.getAsString();
    }

    private JsonElement object(JsonObject rules, int depth) {
        JsonObject object = new JsonObject();
        if (depth > DEEPEST) {
            return object;
        }
        if (rules.has("properties")) {
            List<String> required = new ArrayList<>();
            if (rules.has("required")) {
                rules.getAsJsonArray("required").forEach(name -> required.add(name.getAsString()));
            }
            rules.getAsJsonObject("properties").asMap().forEach((name, property) -> {
                if (required.contains(name) ? chance(0.97) : chance(0.75)) {
                    object.add(name, make(property, depth + 1));
                }
            });
        }
        if (rules.has("additionalProperties")
                && rules.get("additionalProperties").isJsonObject()) {
            for (int i = random.nextInt(3); i > 0; i--) {
                object.add(
                        chance(0.7)
                                ? pick(List.of("mark1", "angle1", "cut", "rise", "leg1", "kink"))
                                : pick(Oddities.TEXTS),
                        make(rules.get("additionalProperties"), depth + 1));
            }
        }
        return object;
    }

    private JsonElement array(JsonObject rules, int depth) {
        JsonArray array = new JsonArray();
        if (rules.has("items") && depth <= DEEPEST) {
            for (int i = random.nextInt(4); i > 0; i--) {
                array.add(make(rules.get("items"), depth + 1));
            }
        }
        return array;
    }

    private JsonElement number() {
        return new JsonPrimitive(new Figure(pick(Oddities.NUMBERS)));
    }

    /** A number as it is written. */
    private static final class Figure extends Number {

        private static final long serialVersionUID = 1L;
        private final String text;

        Figure(String text) {
            this.text = text;
        }

        @Override
        public String toString() {
            return text;
        }

        @Override
        public int intValue() {
            return (int) doubleValue();
        }

        @Override
        public long longValue() {
            return (long) doubleValue();
        }

        @Override
        public float floatValue() {
            return (float) doubleValue();
        }

        @Override
        public double doubleValue() {
            return Double.parseDouble(text);
        }
    }

    private JsonElement text(JsonObject rules) {
        String format = rules.has("format") ? rules.get("format").getAsString() : "";
        if (format.equals("uuid") && chance(0.8)) {
            return new JsonPrimitive(pick(known));
        }
        if (format.equals("date-time") && chance(0.9)) {
            return new JsonPrimitive(pick(Oddities.TIMES));
        }
        return new JsonPrimitive(chance(0.1) ? pick(known) : pick(Oddities.TEXTS));
    }

    private JsonElement damaged(JsonElement element, double probability) {
        if (chance(probability)) {
            return switch (random.nextInt(7)) {
                case 0 -> JsonNull.INSTANCE;
                case 1 -> number();
                case 2 -> new JsonPrimitive(pick(Oddities.TEXTS));
                case 3 -> new JsonArray();
                case 4 -> new JsonObject();
                case 5 -> {
                    JsonArray around = new JsonArray();
                    around.add(element);
                    around.add(JsonNull.INSTANCE);
                    yield around;
                }
                default -> new JsonPrimitive(random.nextBoolean());
            };
        }
        if (element instanceof JsonObject object) {
            JsonObject damaged = new JsonObject();
            object.asMap().forEach((name, value) -> damaged.add(name, damaged(value, probability / 2)));
            return damaged;
        }
        if (element instanceof JsonArray array) {
            JsonArray damaged = new JsonArray();
            array.forEach(value -> damaged.add(damaged(value, probability / 2)));
            return damaged;
        }
        return element;
    }

    private static byte[] written(JsonElement element) {
        String text = element.toString();
        for (Map.Entry<String, String> each : Oddities.UNWRITABLE.entrySet()) {
            text = text.replace(each.getKey(), each.getValue());
        }
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private byte[] broken(byte[] bytes) {
        return switch (random.nextInt(5)) {
            case 0 -> java.util.Arrays.copyOf(bytes, random.nextInt(bytes.length + 1));
            case 1 -> {
                byte[] flipped = bytes.clone();
                for (int i = 0; i < 3 && flipped.length > 0; i++) {
                    flipped[random.nextInt(flipped.length)] = (byte) random.nextInt(256);
                }
                yield flipped;
            }
            case 2 -> "[".repeat(50_000).getBytes(StandardCharsets.UTF_8);
            case 3 -> "{\"a\":".repeat(20_000).getBytes(StandardCharsets.UTF_8);
            default -> new String(bytes, StandardCharsets.UTF_8).getBytes(StandardCharsets.UTF_16);
        };
    }
}
