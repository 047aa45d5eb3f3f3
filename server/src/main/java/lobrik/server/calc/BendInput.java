package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.DiscriminatorMapping;
import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;

/** A bend as a request gives it: its kind decides the inputs. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes(@JsonSubTypes.Type(value = BendInput.Stub90.class, name = "stub90"))
@Schema(
        discriminatorProperty = "kind",
        discriminatorMapping = @DiscriminatorMapping(value = "stub90", schema = BendInput.Stub90.class),
        oneOf = BendInput.Stub90.class)
public sealed interface BendInput {

    /** The stub ninety. */
    @Schema(name = "Stub90")
    record Stub90(
            @Nullable Double legIn,
            @Nullable Double otherLegIn,
            @Nullable Placement placement) implements BendInput {}

    /** How a stub ninety is set in the shoe. */
    enum Placement {
        @JsonProperty("arrow")
        ARROW,
        @JsonProperty("star")
        STAR
    }
}
