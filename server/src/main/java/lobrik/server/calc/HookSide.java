package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;

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

    static HookSide of(lobrik.shop.HookSide core) {
        return valueOf(core.name());
    }
}
