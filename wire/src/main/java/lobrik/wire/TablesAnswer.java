package lobrik.wire;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.ClearancePreset;
import lobrik.bend.Situation;
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
        List<LayoutRequest.MultiplierRow> multipliers,
        double saddleFactor,
        List<ClearanceChoice> clearances,
        List<SituationAnswer> situations) {

    /** Where conduit has to go, and the kind of bend that is proposed for it. */
    public record SituationAnswer(String id, String words, String kind) {

        static SituationAnswer of(Situation situation) {
            return new SituationAnswer(
                    situation.id(), situation.words(), situation.kind().id());
        }
    }

    /** A usual clearance; without a size where it depends on a height or rise that the request did not give. */
    public record ClearanceChoice(
            ClearancePreset name, @Nullable Double clearanceIn) {}

    /**
     * The usual tables.
     *
     * @param measured height or rise that a clearance is chosen for
     */
    static TablesAnswer usual(Optional<Length> measured) {
        return new TablesAnswer(
                MultiplierChart.USUAL.rows().stream()
                        .map(row -> new LayoutRequest.MultiplierRow(
                                row.angle().degrees(), row.multiplier(), row.shrinkPerInch()))
                        .toList(),
                MultiplierChart.SADDLE_FACTOR,
                Stream.of(ClearancePreset.values())
                        .map(preset -> choice(preset, measured))
                        .toList(),
                Stream.of(Situation.values()).map(SituationAnswer::of).toList());
    }

    private static ClearanceChoice choice(ClearancePreset preset, Optional<Length> measured) {
        Optional<Length> over =
                preset == ClearancePreset.WHOLE_INCH ? measured : Optional.of(measured.orElse(Length.ZERO));
        return new ClearanceChoice(
                preset, over.map(preset::over).map(Length::inches).orElse(null));
    }
}
