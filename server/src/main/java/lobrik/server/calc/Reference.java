package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import lobrik.shop.Placing;
import lobrik.shop.ShoePlacing;

/** A mark of the shoe, as the interface writes it. */
public enum Reference {
    @JsonProperty("arrow")
    ARROW(lobrik.shop.Reference.ARROW),
    @JsonProperty("star")
    STAR(lobrik.shop.Reference.STAR),
    @JsonProperty("notch")
    NOTCH(lobrik.shop.Reference.NOTCH);

    private final lobrik.shop.Reference core;

    Reference(lobrik.shop.Reference core) {
        this.core = core;
    }

    lobrik.shop.Reference toCore() {
        return core;
    }

    static Reference of(Placing placing) {
        return switch (placing) {
            case ShoePlacing shoe -> valueOf(shoe.reference().name());
        };
    }
}
