package lobrik.server.gauge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What a gauge measures, and the units that it may show it in. */
public enum GaugeKind {
    @JsonProperty("angle")
    ANGLE("degrees", Map.of("deg", "")),
    @JsonProperty("height")
    HEIGHT("millimetres or inches", Map.of("mm", " mm", "in", " in"));

    private final String wantedUnits;
    private final Map<String, String> suffixes;

    GaugeKind(String wantedUnits, Map<String, String> suffixes) {
        this.wantedUnits = wantedUnits;
        this.suffixes = suffixes;
    }

    String wantedUnits() {
        return wantedUnits;
    }

    /** How a figure in this unit is written so that it can be read back; nothing if the unit is a wrong one. */
    Optional<String> suffix(String unit) {
        return Optional.ofNullable(suffixes.get(unit));
    }

    static Optional<GaugeKind> named(String word) {
        return Stream.of(values())
                .filter(kind -> kind.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }
}
