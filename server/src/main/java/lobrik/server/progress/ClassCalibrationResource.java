package lobrik.server.progress;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.progress.ClassCalibration;
import lobrik.progress.ClassCalibration.Figure;
import lobrik.progress.ClassCalibration.Told;
import lobrik.progress.ClassPiece;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.shed.Rack;
import lobrik.shop.ShoeFigures;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What the class's own pieces say of a bender. */
@RestController
@Settled
@Tag(name = "shed")
class ClassCalibrationResource {

    /**
     * A figure as the class has it.
     *
     * @param figure takeUp, radius or springback
     * @param now as the bender has it
     * @param value inches or degrees
     * @param reach half the width of its interval at 95 %
     * @param differs whether what the bender has lies outside of that
     * @param leftOut pieces that lie too far off to be of this bender
     * @param since the day from which it is another, where it changed
     * @param changedBy how much, and changeReach as reach
     */
    record ToldFigure(
            String figure,
            double now,
            double value,
            double reach,
            boolean differs,
            int pieces,
            int people,
            int leftOut,
            @Nullable LocalDate since,
            @Nullable Double changedBy,
            @Nullable Double changeReach) {}

    /** What the pieces of a week say of a figure: their mean, and how many there are. */
    record ToldWeek(LocalDate week, double value, int pieces) {}

    /** A figure over time. */
    record ToldSeries(String figure, List<ToldWeek> weeks) {}

    /**
     * What the class says of a bender.
     *
     * @param figures none where too few people or pieces speak of it
     * @param offByNowIn how far the legs of these pieces are off with the figures that it has, root of the mean square
     * @param offByToldIn the same with what the class says
     */
    record ClassSays(
            int pieces,
            List<ToldFigure> figures,
            List<ToldSeries> series,
            @Nullable Double offByNowIn,
            @Nullable Double offByToldIn) {}

    private final ClassEvidence evidence;
    private final Rack rack;

    ClassCalibrationResource(ClassEvidence evidence, Rack rack) {
        this.evidence = evidence;
        this.rack = rack;
    }

    @Operation(
            summary = "What the class's own pieces say of a hand bender: take-up, radius, springback, and since when",
            description = "Person and bender are told apart, intervals are at 95 %. Nothing is changed by asking.")
    @Needs(Right.READ)
    @GetMapping("/api/benders/{id}/class")
    ClassSays says(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        Rack.Racked racked = rack.bender(who, id);
        Optional<ShoeFigures> shoe = racked.tooling().shoe();
        ClassEvidence.Evidence all = evidence.of(who.centreId());
        List<ClassPiece> pieces = all.byBender().getOrDefault(id.toString(), List.of());
        if (shoe.isEmpty()) {
            return new ClassSays(pieces.size(), List.of(), List.of(), null, null);
        }
        Map<Figure, Double> now = now(racked, shoe.get());
        Map<Figure, Told> told = all.told().of(id.toString());
        return new ClassSays(
                pieces.size(),
                told.values().stream()
                        .map(each -> view(each, now.getOrDefault(each.figure(), 0.0)))
                        .toList(),
                told.keySet().stream()
                        .map(figure -> series(figure, pieces, told))
                        .toList(),
                inches(off(pieces, told, now.get(Figure.TAKE_UP), now.get(Figure.RADIUS))),
                told.containsKey(Figure.TAKE_UP) && told.containsKey(Figure.RADIUS)
                        ? inches(off(
                                pieces,
                                told,
                                told.get(Figure.TAKE_UP).value(),
                                told.get(Figure.RADIUS).value()))
                        : null);
    }

    private static Map<Figure, Double> now(Rack.Racked racked, ShoeFigures shoe) {
        return Map.of(
                Figure.TAKE_UP,
                shoe.takeUp().inches(),
                Figure.RADIUS,
                racked.tooling().tool().radius().inches(),
                Figure.SPRINGBACK,
                racked.tooling().tool().springback(Angle.ofDegrees(90)).degrees());
    }

    private static ToldFigure view(Told told, double now) {
        return new ToldFigure(
                name(told.figure()),
                now,
                told.value(),
                told.reach(),
                Math.abs(now - told.value()) > told.reach(),
                told.pieces(),
                told.people(),
                told.leftOut(),
                told.since().map(change -> LocalDate.ofEpochDay(change.day())).orElse(null),
                told.since().map(ClassCalibration.Change::by).orElse(null),
                told.since().map(ClassCalibration.Change::reach).orElse(null));
    }

    private static String name(Figure figure) {
        return switch (figure) {
            case TAKE_UP -> "takeUp";
            case RADIUS -> "radius";
            case SPRINGBACK -> "springback";
        };
    }

    private static ToldSeries series(Figure figure, List<ClassPiece> pieces, Map<Figure, Told> told) {
        Map<LocalDate, List<Double>> byWeek = new TreeMap<>();
        ClassCalibration.each(figure, pieces, told)
                .forEach((day, values) -> byWeek.computeIfAbsent(
                                monday(LocalDate.ofEpochDay(day)), _ -> new ArrayList<>())
                        .addAll(values));
        return new ToldSeries(
                name(figure),
                byWeek.entrySet().stream()
                        .map(week -> new ToldWeek(
                                week.getKey(),
                                week.getValue().stream().collect(Collectors.averagingDouble(value -> value)),
                                week.getValue().size()))
                        .toList());
    }

    private static LocalDate monday(LocalDate day) {
        return day.minusDays(day.getDayOfWeek().getValue() - 1L);
    }

    /** Of the pieces since it changed last, if it did. */
    private static Optional<Length> off(
            List<ClassPiece> pieces, Map<Figure, Told> told, @Nullable Double takeUp, @Nullable Double radius) {
        if (takeUp == null || radius == null) {
            return Optional.empty();
        }
        long since = told.values().stream()
                .flatMap(each -> each.since().stream())
                .mapToLong(ClassCalibration.Change::day)
                .max()
                .orElse(Long.MIN_VALUE);
        return ClassCalibration.offBy(
                pieces.stream().filter(piece -> piece.day() >= since).toList(),
                Length.ofInches(takeUp),
                Length.ofInches(radius));
    }

    private static @Nullable Double inches(Optional<Length> length) {
        return length.map(Length::inches).orElse(null);
    }
}
