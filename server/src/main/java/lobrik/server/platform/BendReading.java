package lobrik.server.platform;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.bend.Choice;
import lobrik.bend.Count;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Group;
import lobrik.bend.InputId;
import lobrik.wire.BendInput;
import lobrik.wire.PartInput;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;

/** Reads a bend from JSON by the form of its kind; what the form does not name is passed over. */
final class BendReading extends ValueDeserializer<BendInput> {

    @Override
    public BendInput deserialize(JsonParser json, DeserializationContext context) {
        JsonNode bend = context.readTree(json);
        BendKind kind = kind(json, context, bend.get("kind"));
        return new BendInput(kind, part(json, context, Form.of(kind), bend));
    }

    private static PartInput part(JsonParser json, DeserializationContext context, Form<?> form, JsonNode said) {
        Map<InputId, Double> numbers = new EnumMap<>(InputId.class);
        for (Field field : form.fields()) {
            String id = field.id().id();
            read(context, id, said.get(id), Double.class).ifPresent(number -> numbers.put(field.id(), number));
        }
        Map<String, Integer> counts = new HashMap<>();
        for (Count count : form.counts()) {
            read(context, count.id(), said.get(count.id()), Integer.class)
                    .ifPresent(number -> counts.put(count.id(), number));
        }
        Map<String, String> options = new HashMap<>();
        for (Choice choice : form.choices()) {
            JsonNode option = said.get(choice.id());
            if (option != null && !option.isNull()) {
                options.put(choice.id(), option(json, choice, option));
            }
        }
        Map<String, List<PartInput.Item>> parts = new HashMap<>();
        for (Group group : form.groups()) {
            JsonNode items = said.get(group.id());
            if (items != null && !items.isNull()) {
                parts.put(group.id(), items(json, context, group, items));
            }
        }
        return new PartInput(numbers, counts, options, parts);
    }

    private static List<PartInput.Item> items(
            JsonParser json, DeserializationContext context, Group group, JsonNode said) {
        if (group.isList() != said.isArray()) {
            throw wrong(json, group.isList() ? "not a list" : "not an object", group.id());
        }
        List<PartInput.Item> items = new ArrayList<>();
        for (JsonNode item : group.isList() ? said : List.of(said)) {
            if (!item.isObject()) {
                throw wrong(json, "not an object", group.id());
            }
            try {
                String sort = sort(json, group, item);
                items.add(new PartInput.Item(
                        sort, part(json, context, group.sort(sort).orElseThrow(), item)));
            } catch (JacksonException unreadable) {
                throw unreadable.prependPath(BendInput.class, group.id());
            }
        }
        return items;
    }

    private static String sort(JsonParser json, Group group, JsonNode item) {
        if (group.sort(Group.ONLY).isPresent()) {
            return Group.ONLY;
        }
        JsonNode sort = item.get(PartInput.SORT);
        if (sort == null || !sort.isString() || group.sort(sort.stringValue()).isEmpty()) {
            throw wrong(json, "not one of " + String.join(", ", group.sorts().keySet()), PartInput.SORT);
        }
        return sort.stringValue();
    }

    private static MismatchedInputException wrong(JsonParser json, String reason, String at) {
        MismatchedInputException wrong = MismatchedInputException.from(json, BendInput.class, reason);
        wrong.prependPath(BendInput.class, at);
        return wrong;
    }

    private static BendKind kind(JsonParser json, DeserializationContext context, @Nullable JsonNode kind) {
        String id = kind == null || kind.isNull() ? null : kind.asString();
        if (id == null) {
            throw InvalidTypeIdException.from(
                    json, "the kind is missing", context.constructType(BendInput.class), null);
        }
        return BendKind.withId(id)
                .orElseThrow(() ->
                        InvalidTypeIdException.from(json, "no such kind", context.constructType(BendInput.class), id));
    }

    private static <N> Optional<N> read(
            DeserializationContext context, String input, @Nullable JsonNode number, Class<N> type) {
        if (number == null || number.isNull()) {
            return Optional.empty();
        }
        try {
            return Optional.ofNullable(context.readTreeAsValue(number, type));
        } catch (JacksonException unreadable) {
            throw unreadable.prependPath(BendInput.class, input);
        }
    }

    private static String option(JsonParser json, Choice choice, JsonNode option) {
        if (!option.isString() || choice.withId(option.stringValue()).isEmpty()) {
            throw MismatchedInputException.from(json, String.class, "not one of the options")
                    .prependPath(BendInput.class, choice.id());
        }
        return option.stringValue();
    }
}
