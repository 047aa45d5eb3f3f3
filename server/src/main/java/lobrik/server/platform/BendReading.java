package lobrik.server.platform;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import lobrik.bend.BendKind;
import lobrik.bend.Choice;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.InputId;
import lobrik.wire.BendInput;
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
        Form form = Form.of(kind(json, context, bend.get("kind")));
        Map<InputId, Double> numbers = new EnumMap<>(InputId.class);
        for (Field field : form.fields()) {
            Double number = number(context, field.id().id(), bend.get(field.id().id()));
            if (number != null) {
                numbers.put(field.id(), number);
            }
        }
        Map<String, String> options = new HashMap<>();
        for (Choice choice : form.choices()) {
            JsonNode option = bend.get(choice.id());
            if (option != null && !option.isNull()) {
                options.put(choice.id(), option(json, choice, option));
            }
        }
        return new BendInput(kind(json, context, bend.get("kind")), numbers, options);
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

    private static @Nullable Double number(DeserializationContext context, String input, @Nullable JsonNode number) {
        if (number == null || number.isNull()) {
            return null;
        }
        try {
            return context.readTreeAsValue(number, Double.class);
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
