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
import lobrik.bend.BendKind;
import lobrik.bend.Choice;
import lobrik.bend.Field;
import lobrik.bend.Form;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.stereotype.Component;

/** Describes the kinds of bend for the interface's description, each by its form: an object with its kind as a constant. */
@Component
class BendSchemas implements OpenApiCustomizer, ModelConverter {

    private static final String PLACE = "#/components/schemas/";

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
    }

    /** Whatever has a bend refers to the kinds. */
    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        JavaType asked = Json.mapper().constructType(type.getType());
        if (asked != null && asked.hasRawClass(BendInput.class)) {
            return new JsonSchema().$ref(PLACE + "BendInput");
        }
        return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
    }

    private static Schema<Object> schema(BendKind kind) {
        Form form = Form.of(kind);
        Schema<Object> schema = new JsonSchema();
        schema.addType("object");
        Schema<Object> constant = new JsonSchema();
        constant.addType("string");
        constant.addEnumItemObject(kind.id());
        schema.addProperty("kind", constant);
        schema.addRequiredItem("kind");
        form.fields().forEach(field -> schema.addProperty(field.id().id(), schema(field)));
        form.choices().forEach(choice -> schema.addProperty(choice.id(), schema(choice)));
        return schema;
    }

    private static Schema<Object> schema(Field field) {
        Schema<Object> number = new JsonSchema();
        number.addType("number");
        number.addType("null");
        number.setFormat("double");
        if (field.whenOpen() instanceof Field.WhenOpen.Usual usual) {
            number.setDefault(BigDecimal.valueOf(usual.size().number()).stripTrailingZeros());
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
}
