package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.DiscriminatorMapping;
import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;

/** A bend as a request gives it: its kind decides the inputs. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = BendInput.Stub90.class, name = "stub90"),
    @JsonSubTypes.Type(value = BendInput.BackToBack90.class, name = "backToBack90"),
    @JsonSubTypes.Type(value = BendInput.Offset.class, name = "offset"),
    @JsonSubTypes.Type(value = BendInput.BoxOffset.class, name = "boxOffset"),
    @JsonSubTypes.Type(value = BendInput.RollingOffset.class, name = "rollingOffset"),
    @JsonSubTypes.Type(value = BendInput.Kick.class, name = "kick"),
    @JsonSubTypes.Type(value = BendInput.Saddle3.class, name = "saddle3"),
    @JsonSubTypes.Type(value = BendInput.Saddle4.class, name = "saddle4")
})
@Schema(
        discriminatorProperty = "kind",
        discriminatorMapping = {
            @DiscriminatorMapping(value = "stub90", schema = BendInput.Stub90.class),
            @DiscriminatorMapping(value = "backToBack90", schema = BendInput.BackToBack90.class),
            @DiscriminatorMapping(value = "offset", schema = BendInput.Offset.class),
            @DiscriminatorMapping(value = "boxOffset", schema = BendInput.BoxOffset.class),
            @DiscriminatorMapping(value = "rollingOffset", schema = BendInput.RollingOffset.class),
            @DiscriminatorMapping(value = "kick", schema = BendInput.Kick.class),
            @DiscriminatorMapping(value = "saddle3", schema = BendInput.Saddle3.class),
            @DiscriminatorMapping(value = "saddle4", schema = BendInput.Saddle4.class)
        },
        oneOf = {
            BendInput.Stub90.class,
            BendInput.BackToBack90.class,
            BendInput.Offset.class,
            BendInput.BoxOffset.class,
            BendInput.RollingOffset.class,
            BendInput.Kick.class,
            BendInput.Saddle3.class,
            BendInput.Saddle4.class
        })
public sealed interface BendInput {

    /** The stub ninety. */
    @Schema(name = "Stub90")
    record Stub90(
            @Nullable Double legIn,
            @Nullable Double otherLegIn,
            @Nullable Placement placement) implements BendInput {}

    /** Two nineties to the same side. */
    @Schema(name = "BackToBack90")
    record BackToBack90(
            @Nullable Double firstLegIn,
            @Nullable Double betweenIn,
            @Nullable Double secondLegIn) implements BendInput {}

    /** The offset. */
    @Schema(name = "Offset")
    record Offset(
            @Nullable Double riseIn,
            @Schema(defaultValue = "0") @Nullable Double clearanceIn,
            @Nullable Double angleDeg,
            @Nullable Double distanceIn,
            @Nullable OffsetLayout layout,
            @Nullable Double overallIn)
            implements BendInput {}

    /** The offset at a box. */
    @Schema(name = "BoxOffset")
    record BoxOffset(
            @Schema(defaultValue = "0.5") @Nullable Double riseIn,
            @Schema(defaultValue = "10") @Nullable Double angleDeg,
            @Nullable Double firstMarkIn,
            @Nullable Double overallIn)
            implements BendInput {}

    /** The offset up and to the side. */
    @Schema(name = "RollingOffset")
    record RollingOffset(
            @Nullable Double riseIn,
            @Nullable Double rollIn,
            @Nullable Double angleDeg,
            @Nullable Double distanceIn,
            @Nullable OffsetLayout layout,
            @Nullable Double overallIn)
            implements BendInput {}

    /** One bend under 90°. */
    @Schema(name = "Kick")
    record Kick(
            @Nullable Double riseIn,
            @Nullable Double angleDeg,
            @Nullable Double distanceIn,
            @Nullable OffsetLayout layout)
            implements BendInput {}

    /** The three-point saddle. */
    @Schema(name = "Saddle3")
    record Saddle3(
            @Nullable Double heightIn,
            @Schema(defaultValue = "0") @Nullable Double clearanceIn,
            @Schema(defaultValue = "22.5") @Nullable Double outerAngleDeg,
            @Nullable Double centreIn,
            @Nullable SaddleSpacing spacing,
            @Nullable SaddleOrder order,
            @Nullable Double overallIn)
            implements BendInput {}

    /** The four-point saddle. */
    @Schema(name = "Saddle4")
    record Saddle4(
            @Nullable Double heightIn,
            @Schema(defaultValue = "0") @Nullable Double clearanceIn,
            @Nullable Double angleDeg,
            @Nullable Double widthIn,
            @Schema(defaultValue = "0") @Nullable Double edgeClearanceIn,
            @Nullable MeasuredTo reference,
            @Nullable Double distanceIn,
            @Nullable Placement placement,
            @Nullable Double overallIn)
            implements BendInput {}

    /** Which mark of the shoe is set on the rings; the arrow if it is not given. */
    enum Placement {
        @JsonProperty("arrow")
        ARROW,
        @JsonProperty("star")
        STAR
    }

    /** From where the distance of an offset was measured; before the obstacle if it is not given. */
    enum OffsetLayout {
        @JsonProperty("beforeObstacle")
        BEFORE_OBSTACLE,
        @JsonProperty("fromEdge")
        FROM_EDGE
    }

    /** How chart practice finds the outer marks of a three-point saddle; by the factor if it is not given. */
    enum SaddleSpacing {
        @JsonProperty("factor")
        FACTOR,
        @JsonProperty("cosecant")
        COSECANT
    }

    /** In which order a three-point saddle is bent; its centre first if it is not given. */
    enum SaddleOrder {
        @JsonProperty("centreFirst")
        CENTRE_FIRST,
        @JsonProperty("pushThrough")
        PUSH_THROUGH
    }

    /** What the distance of a four-point saddle runs to; the near edge if it is not given. */
    enum MeasuredTo {
        @JsonProperty("nearEdge")
        NEAR_EDGE,
        @JsonProperty("centred")
        CENTRED
    }
}
