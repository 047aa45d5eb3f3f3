package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import lobrik.server.shed.EnteringFigures;
import lobrik.server.shed.LimitFigures;
import lobrik.server.shed.RebendingFigures;
import lobrik.server.shed.RuleFigures;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.Scheme;
import lobrik.wire.LayoutRequest;
import lobrik.wire.VariationInput;
import org.jspecify.annotations.Nullable;

/**
 * An exercise as it is sent, and as it stands in a file.
 *
 * @param tags words to find it by
 * @param definition the bend with its conduit, bender, method and place
 * @param entered what was typed for its sizes
 * @param readings which features are read; all of them unless it is said
 * @param methodFree whether the trainee may find the marks in any way: then marks are not judged, and finished sizes by what
 *     is asked; not unless it is said
 * @param variation how variants of it differ, if there are to be any
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record ExerciseInput(
        @Nullable String title,
        @Nullable Level level,
        @Nullable List<@Nullable String> tags,
        @Nullable String conduitLabel,
        @Nullable String benderLabel,
        @Nullable LayoutRequest definition,
        @Nullable Entered entered,
        @Nullable ToleranceInput tolerances,
        @Nullable ReadingsAsked readings,
        @Nullable Boolean methodFree,
        @Nullable VariationInput variation) {

    /**
     * A set of tolerances in a request.
     *
     * @param workmanship what a fault of each point costs; the preset's usual rules if it is not said
     * @param scheme how credit falls; graded if it is not said
     * @param weights of features that do not count as 1
     * @param critical for features of which it is not the usual: whether the piece fails with them
     * @param rebending how much a piece may be bent again; the usual if it is not said
     * @param limits of features that have their own, by id
     * @param entering when a run goes into both of its fittings; the usual if it is not said
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ToleranceInput(
            @Nullable String preset,
            @Nullable Double lengthIn,
            @Nullable Double angleDeg,
            @Nullable Double dogLegDeg,
            @Nullable Double passMark,
            @Nullable Map<String, RuleFigures> workmanship,
            @Nullable Scheme scheme,
            @Nullable Map<String, Double> weights,
            @Nullable Map<String, Boolean> critical,
            @Nullable RebendingFigures rebending,
            @Nullable Map<String, LimitFigures> limits,
            @Nullable EnteringFigures entering) {

        static ToleranceInput of(ToleranceFigures figures) {
            return new ToleranceInput(
                    figures.preset(),
                    figures.lengthIn(),
                    figures.angleDeg(),
                    figures.dogLegDeg(),
                    figures.passMark(),
                    figures.workmanship(),
                    figures.scheme(),
                    figures.weights(),
                    figures.critical(),
                    figures.rebending(),
                    figures.limits(),
                    figures.entering());
        }
    }
}
