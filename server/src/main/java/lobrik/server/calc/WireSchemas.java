package lobrik.server.calc;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.math.BigDecimal;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Choice;
import lobrik.bend.Count;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Group;
import lobrik.layout.RunLimits;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.platform.WireJson;
import lobrik.shape.Surround;
import lobrik.verdict.ReadingSpread;
import lobrik.verdict.Tolerances;
import lobrik.wire.BendInput;
import lobrik.wire.PartInput;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.stereotype.Component;

/**
 * Describes for the interface's description what the wire's own classes do not say: the kinds of bend, each by its form as an object
 * with its kind as a constant; what goes by its id; and what is usual where something may be left out.
 */
@Component
class WireSchemas implements OpenApiCustomizer, ModelConverter {

    private static final String PLACE = "#/components/schemas/";

    private static final BigDecimal SIXTEENTH = number(TapeDivision.SIXTEENTH.step());

    private static final Map<String, Map<String, ?>> USUAL = Map.of(
            "LayoutRequest", Map.of("tapeDivisionIn", SIXTEENTH),
            "LimitsInput",
                    Map.of(
                            "stickIn", number(RunLimits.USUAL.stick()),
                            "mostBendsDeg", number(RunLimits.USUAL.mostBends())),
            "PlaceInput", Map.of("insertionIn", number(Surround.USUAL_INSERTION)),
            "DiagnoseRequest",
                    Map.of(
                            "tapeDivisionIn", SIXTEENTH,
                            "sigmaIn", number(ReadingSpread.USUAL.length()),
                            "sigmaDeg", number(ReadingSpread.USUAL.angle()),
                            "insertionIn", number(Surround.USUAL_INSERTION)),
            "ScoreRequest",
                    Map.of("passMark", new BigDecimal((int) Tolerances.USUAL_PASS_MARK), "deductions", BigDecimal.ZERO),
            "ReadingToScore", Map.of("weight", BigDecimal.ONE, "critical", true));

    @Override
    public void customise(OpenAPI description) {
        Discriminator kinds = new Discriminator().propertyName("kind");
        Schema<Object> any = new JsonSchema();
        for (BendKind kind : BendKind.values()) {
            String name = Character.toUpperCase(kind.id().charAt(0)) + kind.id().substring(1);
            description.getComponents().addSchemas(name, schema(kind));
            kinds.mapping(kind.id(), PLACE + name);
            any.addOneOfItem(new JsonSchema().$ref(PLACE + name));
        }
        any.setDiscriminator(kinds);
        description.getComponents().addSchemas("BendInput", any);
        USUAL.forEach((record, usual) -> {
            Schema<?> described = Objects.requireNonNull(
                    description.getComponents().getSchemas().get(record), record);
            usual.forEach((component, value) -> Objects.requireNonNull(
                            described.getProperties().get(component), component)
                    .setDefault(value));
        });
    }

    /** Whatever has a bend refers to the kinds; whatever goes by an id names the ids. */
    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        JavaType asked = Json.mapper().constructType(type.getType());
        if (asked != null && asked.hasRawClass(BendInput.class)) {
            return new JsonSchema().$ref(PLACE + "BendInput");
        }
        if (asked != null && asked.isEnumType() && WireJson.BY_ID.contains(asked.getRawClass())) {
            Schema<Object> byId = new JsonSchema();
            byId.addType("string");
            Stream.of(asked.getRawClass().getEnumConstants()).map(WireJson::id).forEach(byId::addEnumItemObject);
            return byId;
        }
        return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
    }

    private static Schema<Object> schema(BendKind kind) {
        Form<? extends Bend> form = Form.of(kind);
        Schema<Object> schema = new JsonSchema();
        schema.addType("object");
        Schema<Object> constant = new JsonSchema();
        constant.addType("string");
        constant.addEnumItemObject(kind.id());
        schema.addProperty("kind", constant);
        schema.addRequiredItem("kind");
        describe(schema, form);
        return schema;
    }

    private static void describe(Schema<Object> schema, Form<?> form) {
        form.fields().forEach(field -> schema.addProperty(field.id().id(), schema(field)));
        form.counts().forEach(count -> schema.addProperty(count.id(), schema(count)));
        form.choices().forEach(choice -> schema.addProperty(choice.id(), schema(choice)));
        form.groups().forEach(group -> schema.addProperty(group.id(), schema(group)));
    }

    private static Schema<Object> schema(Count count) {
        Schema<Object> number = new JsonSchema();
        number.addType("integer");
        number.setFormat("int32");
        number.setMinimum(BigDecimal.valueOf(count.least()));
        number.setMaximum(BigDecimal.valueOf(count.most()));
        return number;
    }

    /** A list of parts, or one that may be missing; each is an object, of one of several sorts where its kind says which. */
    private static Schema<Object> schema(Group group) {
        Schema<Object> part = new JsonSchema();
        List<Schema<Object>> sorts = group.sorts().entrySet().stream()
                .map(sort -> schema(sort.getKey(), sort.getValue()))
                .toList();
        if (sorts.size() == 1) {
            part = sorts.getFirst();
        } else {
            sorts.forEach(part::addOneOfItem);
        }
        if (!group.isList()) {
            part.addType("null");
            return part;
        }
        Schema<Object> list = new JsonSchema();
        list.addType("array");
        list.addType("null");
        list.setItems(part);
        list.setMaxItems(group.most());
        return list;
    }

    private static Schema<Object> schema(String sort, Form<?> form) {
        Schema<Object> part = new JsonSchema();
        part.addType("object");
        if (!sort.equals(Group.ONLY)) {
            Schema<Object> constant = new JsonSchema();
            constant.addType("string");
            constant.addEnumItemObject(sort);
            part.addProperty(PartInput.SORT, constant);
            part.addRequiredItem(PartInput.SORT);
        }
        describe(part, form);
        return part;
    }

    private static Schema<Object> schema(Field field) {
        Schema<Object> number = new JsonSchema();
        number.addType("number");
        number.addType("null");
        number.setFormat("double");
        if (field.whenOpen() instanceof Field.WhenOpen.Usual usual) {
            number.setDefault(number(usual.size()));
        }
        return number;
    }

    private static Schema<Object> schema(Choice choice) {
        Schema<Object> option = new JsonSchema();
        option.addType("string");
        option.addType("null");
        choice.options().forEach(each -> option.addEnumItemObject(each.id()));
        return option;
    }

    private static BigDecimal number(Quantity size) {
        return BigDecimal.valueOf(size.number()).stripTrailingZeros();
    }
}
