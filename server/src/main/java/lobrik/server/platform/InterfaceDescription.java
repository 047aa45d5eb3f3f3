package lobrik.server.platform;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI description at {@code /api/openapi.json}, from which the client's types are generated. */
@Configuration
class InterfaceDescription {

    @Bean
    OpenAPI openApi() {
        return new OpenAPI()
                .info(new Info()
                        .title("Lobrik")
                        .version("1")
                        .description("Lengths are inches (…In), angles degrees (…Deg), positions from the datum end. "
                                + "Bad input is answered with problem+json (RFC 9457) and errors[].pointer.")
                        .license(new License().name("Apache-2.0")))
                .servers(List.of(new Server().url("/")));
    }

    /** A kind of fact is an object of its own with its kind as a constant, not a heap of cross references. */
    @Bean
    @SuppressWarnings("unchecked") // The library hands out raw schemas.
    OpenApiCustomizer plainKinds() {
        return description -> description.getComponents().getSchemas().values().forEach(parent -> {
            if (parent.getDiscriminator() != null && parent.getOneOf() != null && parent.getProperties() != null) {
                parent.setProperties(null);
                parent.setRequired(null);
                parent.getDiscriminator()
                        .getMapping()
                        .forEach((kind, reference) -> flatten(description, kind, nameOf(reference)));
            }
        });
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void flatten(OpenAPI description, String kind, String name) {
        Schema<Object> flat = new JsonSchema();
        flat.addType("object");
        Schema<Object> constant = new JsonSchema();
        constant.addType("string");
        constant.addEnumItemObject(kind);
        flat.addProperty("kind", constant);
        flat.addRequiredItem("kind");
        List<Schema> parts = Objects.requireNonNull(
                        description.getComponents().getSchemas().get(name))
                .getAllOf();
        for (Schema<?> part : parts) {
            if (part.getProperties() != null) {
                part.getProperties().forEach(flat::addProperty);
            }
        }
        description.getComponents().getSchemas().put(name, flat);
    }

    private static String nameOf(String reference) {
        return reference.substring(reference.lastIndexOf('/') + 1);
    }

    @Bean
    ModelConverter requiredUnlessNullable() {
        return new RequiredUnlessNullable();
    }

    /** A record's component is required in its schema unless it is {@code @Nullable}: the Java types say it already. */
    private static final class RequiredUnlessNullable implements ModelConverter {

        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            if (!chain.hasNext()) {
                return null;
            }
            Schema<?> resolved = chain.next().resolve(type, context, chain);
            JavaType javaType = Json.mapper().constructType(type.getType());
            if (resolved != null && javaType != null && javaType.getRawClass().isRecord()) {
                require(javaType.getRawClass(), target(resolved, context));
            }
            return resolved;
        }

        private static Schema<?> orNull(Schema<?> property) {
            if (property.get$ref() == null) {
                property.addType("null");
                return property;
            }
            Schema<Object> nothing = new JsonSchema();
            nothing.addType("null");
            Schema<Object> either = new JsonSchema();
            either.setAnyOf(List.of(property, nothing));
            return either;
        }

        private static @Nullable Schema<?> target(Schema<?> resolved, ModelConverterContext context) {
            String reference = resolved.get$ref();
            return reference == null ? resolved : context.getDefinedModels().get(nameOf(reference));
        }

        private static void require(Class<?> record, @Nullable Schema<?> schema) {
            if (schema == null || schema.getProperties() == null) {
                return;
            }
            for (RecordComponent component : record.getRecordComponents()) {
                String name = component.getName();
                Schema<?> property = schema.getProperties().get(name);
                if (property != null && component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    schema.getProperties().put(name, orNull(property));
                } else if (property != null) {
                    schema.addRequiredItem(name);
                }
            }
        }
    }
}
