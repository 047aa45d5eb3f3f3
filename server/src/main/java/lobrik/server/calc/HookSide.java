package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import lobrik.shop.Placing;
import lobrik.shop.ShoePlacing;

/** The end the hook points to, as the interface writes it. */
public enum HookSide {
    @JsonProperty("datum")
    DATUM(lobrik.shop.HookSide.DATUM),
    @JsonProperty("far")
    FAR(lobrik.shop.HookSide.FAR);

    private final lobrik.shop.HookSide core;

    HookSide(lobrik.shop.HookSide core) {
        this.core = core;
    }

    lobrik.shop.HookSide toCore() {
        return core;
    }

    static HookSide of(Placing placing) {
        return switch (placing) {
            case ShoePlacing shoe -> valueOf(shoe.hookTowards().name());
        };
    }
}
