package lobrik.server.judging;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import lobrik.assessment.Assessment;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.Marksheet;
import lobrik.verdict.Score;
import lobrik.wire.Numbers;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * A score with the reason of every lost point.
 *
 * @param preset what it was judged by
 * @param passed whether every critical feature is within its tolerance and the points reach the pass mark
 * @param lost most expensive first; they add up to what is missing of 100, unless more is lost than there is
 * @param failing what fails it, whatever its points: features and points that are looked over, by id
 * @param parts each scored by itself
 */
public record MarksheetView(
        String preset,
        double points,
        double passMark,
        boolean passed,
        List<LostPoints> lost,
        List<String> failing,
        List<PartPoints> parts) {

    /** A part of the work. */
    public enum PartName {
        @JsonProperty("arithmetic")
        ARITHMETIC,
        @JsonProperty("layout")
        LAYOUT,
        @JsonProperty("bending")
        BENDING,
        @JsonProperty("result")
        RESULT,
        @JsonProperty("workmanship")
        WORKMANSHIP
    }

    /** A part with its points of 100. */
    public record PartPoints(PartName part, double points) {}

    /**
     * Points that are lost.
     *
     * @param feature at which reading; null for a fault of workmanship
     * @param point which was found faulty; null for a reading
     * @param fault what was seen there; or that the piece was bent again
     * @param times the deviation in tolerances
     */
    public record LostPoints(
            double points,
            @Nullable String feature,
            @Nullable Unit unit,
            @Nullable Double deviation,
            @Nullable Double tolerance,
            @Nullable Double times,
            @Nullable Double weight,
            @Nullable String point,
            @Nullable String fault) {

        static LostPoints of(Marksheet.Lost lost) {
            return switch (lost) {
                case Marksheet.Lost.At at -> {
                    double deviation = Numbers.of(at.judged().deviation());
                    double tolerance =
                            Numbers.of(at.reading().tolerance().on(at.reading().deviation()));
                    yield new LostPoints(
                            at.points(),
                            at.judged().feature().id(),
                            Unit.of(at.judged().feature()),
                            deviation,
                            tolerance,
                            Math.abs(deviation) / tolerance,
                            at.reading().weight(),
                            null,
                            null);
                }
                case Marksheet.Lost.For fault ->
                    new LostPoints(
                            fault.points(),
                            null,
                            null,
                            null,
                            null,
                            null,
                            null,
                            fault.point().id(),
                            fault.point().fault());
                case Marksheet.Lost.Reworked again ->
                    new LostPoints(
                            again.points(),
                            null,
                            null,
                            null,
                            null,
                            null,
                            null,
                            null,
                            again.times() == 1 ? "bent again" : "bent again " + again.times() + " times");
            };
        }
    }

    /** What a complete verdict comes to; null while it is not complete. */
    static @Nullable MarksheetView of(Assessment assessment, ToleranceFigures judgedBy) {
        Marksheet sheet = assessment.marksheet().orElse(null);
        Score score = assessment.score().orElse(null);
        if (sheet == null || score == null) {
            return null;
        }
        Map<Marksheet.Part, Double> parts = sheet.parts().stream()
                .collect(Collectors.toMap(Marksheet.PartScore::part, Marksheet.PartScore::points));
        return new MarksheetView(
                judgedBy.preset(),
                score.points(),
                judgedBy.passMark(),
                score.passed(),
                sheet.lost().stream().map(LostPoints::of).toList(),
                assessment.failing(),
                parts.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(each ->
                                new PartPoints(PartName.valueOf(each.getKey().name()), each.getValue()))
                        .toList());
    }
}
