package lobrik.wire;

import java.util.List;
import lobrik.shop.HookSide;
import org.jspecify.annotations.Nullable;

/** A piece as it was really made. */
public record SimulateRequest(
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable BendInput bend,
        @Nullable Double lengthIn,
        @Nullable List<@Nullable BendMadeInput> bends) {

    /** One bend as made; a roll that is not given is 0. Only a shoe has a hook that looks to a side. */
    public record BendMadeInput(
            @Nullable Double positionIn,
            @Nullable OnRing reference,
            @Nullable HookSide hookTowards,
            @Nullable Double angleDeg,
            @Nullable Double rollDeg) {}
}
