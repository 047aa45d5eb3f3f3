package lobrik.server.platform;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;
import java.util.Map;
import lobrik.bend.ClearancePreset;
import lobrik.bend.End;
import lobrik.bending.Stance;
import lobrik.layout.MarkDatum;
import lobrik.layout.Method;
import lobrik.measure.LengthUnit;
import lobrik.measure.QuantityKind;
import lobrik.shape.Surround;
import lobrik.shape.WallOfRun;
import lobrik.shop.Former;
import lobrik.shop.HookSide;
import lobrik.shop.ToolKind;
import lobrik.verdict.Judged;
import lobrik.verdict.Scheme;
import lobrik.wire.BendInput;
import lobrik.wire.BenderInput;
import lobrik.wire.KindsAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.ObstacleShape;
import lobrik.wire.OnRing;
import lobrik.wire.QuantityRequest;
import lobrik.wire.Rearrangement;
import lobrik.wire.SolidKind;
import lobrik.wire.Unit;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** How what the wire names is written as JSON: the wire itself and the core know nothing of that. */
@Component
public final class WireJson extends SimpleModule {

    private static final long serialVersionUID = 1;

    /** Whatever goes by its id. */
    public static final List<Class<? extends Enum<?>>> BY_ID = List.of(
            ClearancePreset.class,
            End.class,
            Former.Support.class,
            HookSide.class,
            Judged.Band.class,
            LengthUnit.class,
            MarkDatum.class,
            Method.class,
            ObstacleShape.class,
            OnRing.class,
            QuantityKind.class,
            QuantityRequest.Kind.class,
            Rearrangement.class,
            Scheme.class,
            SolidKind.class,
            Stance.class,
            Surround.Kind.class,
            ToolKind.class,
            Unit.class,
            WallOfRun.Side.class);

    private static final JsonMapper MAPPER =
            JsonMapper.builder().addModule(new WireJson()).build();

    /** Once for each mapper. */
    public WireJson() {
        super("wire");
        BY_ID.forEach(type -> setMixInAnnotation(type, ById.class));
        setMixInAnnotation(BendInput.class, AsItsFormSays.class);
        addDeserializer(BendInput.class, new BendReading());
        setMixInAnnotation(BenderInput.class, WithoutNulls.class);
        setMixInAnnotation(LayoutRequest.class, WithoutNulls.class);
        setMixInAnnotation(KindsAnswer.InputAnswer.class, WithoutNulls.class);
    }

    /** A mapper with the usual settings, for what the server itself has written. */
    public static JsonMapper mapper() {
        return MAPPER;
    }

    /** What a constant of one of {@link #BY_ID} is written as. */
    public static String id(Object constant) {
        return MAPPER.convertValue(constant, String.class);
    }

    private interface ById {
        @JsonValue
        String id();
    }

    private interface AsItsFormSays {
        @JsonValue
        Map<String, Object> written();
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    private interface WithoutNulls {}
}
