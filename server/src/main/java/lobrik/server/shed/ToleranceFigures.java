package lobrik.server.shed;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Workmanship;
import org.jspecify.annotations.Nullable;

/**
 * A set of tolerances by name, as it is sent and stored.
 *
 * @param workmanship what a fault of each point costs, by the point's id; what was stored before there were such rules has
 *     none, and is judged by the usual ones
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record ToleranceFigures(
        String preset,
        double lengthIn,
        double angleDeg,
        double dogLegDeg,
        double passMark,
        @Nullable Map<String, RuleFigures> workmanship) {

    /** A preset as it stands. */
    public static ToleranceFigures of(TolerancePreset preset) {
        Tolerances figures = preset.tolerances();
        return new ToleranceFigures(
                preset.name().toLowerCase(Locale.ROOT),
                figures.length().inches(),
                figures.angle().degrees(),
                figures.dogLeg().degrees(),
                figures.passMark(),
                figures(figures.workmanship()));
    }

    /** The usual rules of the preset with this name; those of the site for any other name. */
    public static Map<String, RuleFigures> usualWorkmanship(String preset) {
        return figures(Stream.of(TolerancePreset.values())
                .filter(known -> known.name().equalsIgnoreCase(preset))
                .findFirst()
                .orElse(TolerancePreset.SITE)
                .tolerances()
                .workmanship());
    }

    private static Map<String, RuleFigures> figures(Workmanship workmanship) {
        Map<String, RuleFigures> figures = new TreeMap<>();
        workmanship.rules().forEach((point, rule) -> figures.put(point.id(), RuleFigures.of(rule)));
        return figures;
    }

    private Workmanship rules() {
        Map<InspectionPoint, Workmanship.Rule> rules = new EnumMap<>(InspectionPoint.class);
        Map<String, RuleFigures> figures = workmanship == null ? usualWorkmanship(preset) : workmanship;
        figures.forEach((id, rule) -> rules.put(
                InspectionPoint.withId(id)
                        .orElseThrow(() -> TurnedDown.badInput(
                                "/tolerances/workmanship", "unknown-value", "“" + id + "” is not looked over")),
                rule.toCore()));
        return new Workmanship(rules);
    }

    /**
     * The figures as the core has them.
     *
     * @throws lobrik.fault.Refused if a figure is outside its range
     * @throws TurnedDown if a figure is no length or angle at all
     */
    public Tolerances toCore() {
        try {
            return new Tolerances(
                    Length.ofInches(lengthIn),
                    Angle.ofDegrees(angleDeg),
                    Angle.ofDegrees(dogLegDeg),
                    passMark,
                    rules());
        } catch (IllegalArgumentException e) {
            throw TurnedDown.badInput("/tolerances", "out-of-range", String.valueOf(e.getMessage()));
        }
    }
}
