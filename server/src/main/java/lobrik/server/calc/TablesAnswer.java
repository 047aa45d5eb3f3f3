package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.stream.Stream;
import lobrik.bend.ClearancePreset;
import lobrik.layout.MultiplierChart;
import lobrik.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * Tables that a school chooses from.
 *
 * @param multipliers the usual card
 * @param saddleFactor for the outer marks of a 22½–45–22½ saddle
 */
public record TablesAnswer(
        List<LayoutRequest.MultiplierRow> multipliers, double saddleFactor, List<ClearanceChoice> clearances) {

    /** A usual clearance; without a size where it depends on what was measured. */
    public record ClearanceChoice(
            ClearanceName name, @Nullable Double clearanceIn) {}

    /** Names of the usual clearances. */
    public enum ClearanceName {
        @JsonProperty("none")
        NONE,
        @JsonProperty("finger")
        FINGER,
        @JsonProperty("inch")
        INCH,
        @JsonProperty("wholeInch")
        WHOLE_INCH
    }

    static TablesAnswer usual() {
        return new TablesAnswer(
                MultiplierChart.USUAL.rows().stream()
                        .map(row -> new LayoutRequest.MultiplierRow(
                                row.angle().degrees(), row.multiplier(), row.shrinkPerInch()))
                        .toList(),
                MultiplierChart.SADDLE_FACTOR,
                Stream.of(ClearancePreset.values()).map(TablesAnswer::choice).toList());
    }

    private static ClearanceChoice choice(ClearancePreset preset) {
        Double size = preset == ClearancePreset.WHOLE_INCH
                ? null
                : preset.over(Length.ZERO).inches();
        return new ClearanceChoice(ClearanceName.valueOf(preset.name()), size);
    }
}
