package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.Situation;
import lobrik.fault.FaultCode;
import lobrik.layout.Method;
import lobrik.layout.MultiplierChart;
import lobrik.layout.RunLimits;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
import lobrik.shape.Surround;
import org.jspecify.annotations.Nullable;

/** Translates what a request says of the school and of the place: method, card, tape, limits, obstacle. */
final class SchoolTranslation {

    private static final Length MOST_INSERTION = Length.ofInches(6);

    private final Translation translation;

    SchoolTranslation(Translation translation) {
        this.translation = translation;
    }

    School school(LayoutRequest request) {
        return new School(
                Objects.requireNonNullElse(request.method(), Method.CHART),
                chart(request.multipliers()),
                translation.division(request.tapeDivisionIn()),
                limits(request.limits()));
    }

    MultiplierChart chart(@Nullable List<LayoutRequest.@Nullable MultiplierRow> inputs) {
        if (inputs == null) {
            return MultiplierChart.USUAL;
        }
        List<MultiplierChart.Row> rows = new ArrayList<>();
        for (int i = 0; i < inputs.size(); i++) {
            String at = "multipliers/" + i;
            translation.required(at, inputs.get(i)).flatMap(row -> row(at, row)).ifPresent(rows::add);
        }
        return MultiplierChart.USUAL.with(rows);
    }

    private Optional<MultiplierChart.Row> row(String at, LayoutRequest.MultiplierRow row) {
        Optional<Angle> angle = translation.angle(at + "/angleDeg", row.angleDeg());
        Optional<Double> multiplier = translation.required(at + "/multiplier", row.multiplier());
        Optional<Double> shrink = translation.required(at + "/shrinkPerInch", row.shrinkPerInch());
        return angle.flatMap(a -> multiplier.flatMap(m ->
                shrink.flatMap(s -> translation.built(at, () -> new MultiplierChart.Row(a, m, s)))));
    }

    private RunLimits limits(LayoutRequest.@Nullable LimitsInput input) {
        if (input == null) {
            return RunLimits.USUAL;
        }
        Length stick = translation
                .lengthOr("limits/stickIn", input.stickIn(), RunLimits.USUAL.stick())
                .orElse(RunLimits.USUAL.stick());
        Angle mostBends = input.mostBendsDeg() == null
                ? RunLimits.USUAL.mostBends()
                : translation.angle("limits/mostBendsDeg", input.mostBendsDeg()).orElse(RunLimits.USUAL.mostBends());
        Optional<Length> leastRadius = input.leastRadiusIn() == null
                ? Optional.empty()
                : translation.length("limits/leastRadiusIn", input.leastRadiusIn());
        return translation
                .built("limits", () -> new RunLimits(stick, mostBends, leastRadius))
                .orElse(RunLimits.USUAL);
    }

    /** What a place puts around a piece, once that is simulated. */
    Function<Piece, List<Surround>> around(LayoutRequest.@Nullable PlaceInput input) {
        if (input == null) {
            return _ -> List.of();
        }
        Optional<String> named = input.namesFittings() || input.room() != null
                ? Optional.ofNullable(input.situation())
                : translation.required("place/situation", input.situation());
        Optional<Situation> situation = named.flatMap(id -> Situation.withId(id).or(() -> {
            translation.fault(
                    FaultCode.UNKNOWN_VALUE,
                    "place/situation",
                    "this is not a situation; try "
                            + Stream.of(Situation.values()).map(Situation::id).collect(Collectors.joining(", ")));
            return Optional.empty();
        }));
        Optional<Length> insertion = insertion(
                "place/insertionIn",
                Objects.requireNonNullElse(input.insertionIn(), Surround.USUAL_INSERTION.inches()));
        if (input.namesFittings()) {
            Optional<Length> start = Optional.ofNullable(input.startInsertionIn())
                    .flatMap(inches -> insertion("place/startInsertionIn", inches));
            Optional<Length> end = Optional.ofNullable(input.endInsertionIn())
                    .flatMap(inches -> insertion("place/endInsertionIn", inches));
            return piece -> Stream.concat(
                            situation.stream().flatMap(s -> Surround.walls(s, piece).stream()),
                            Surround.fittings(piece, start, end).stream())
                    .toList();
        }
        return piece -> situation
                .flatMap(s -> insertion.map(length -> Surround.of(s, piece, length)))
                .orElse(List.of());
    }

    private Optional<Length> insertion(String field, double inches) {
        return translation.length(field, inches).filter(length -> {
            boolean within = !length.isNegative() && !length.isMoreThan(MOST_INSERTION);
            if (!within) {
                translation.fault(
                        FaultCode.OUT_OF_RANGE, field, "an insertion is from 0 to " + MOST_INSERTION.inWords());
            }
            return within;
        });
    }

    Optional<Obstacle> obstacle(LayoutRequest.@Nullable ObstacleInput input) {
        if (input == null) {
            return Optional.empty();
        }
        return translation.required("obstacle/shape", input.shape()).flatMap(shape -> switch (shape) {
            case ROUND -> round(input);
            case RECTANGULAR -> rectangular(input);
        });
    }

    private Optional<Obstacle> round(LayoutRequest.ObstacleInput input) {
        Optional<Length> centre = translation.length("obstacle/centreIn", input.centreIn());
        Optional<Length> diameter = translation.length("obstacle/diameterIn", input.diameterIn());
        return centre.flatMap(c ->
                diameter.flatMap(d -> translation.built("obstacle", () -> new Obstacle.Round(c, d))));
    }

    private Optional<Obstacle> rectangular(LayoutRequest.ObstacleInput input) {
        Optional<Length> from = translation.length("obstacle/fromIn", input.fromIn());
        Optional<Length> width = translation.length("obstacle/widthIn", input.widthIn());
        Optional<Length> height = translation.length("obstacle/heightIn", input.heightIn());
        return from.flatMap(f -> width.flatMap(w ->
                height.flatMap(h -> translation.built("obstacle", () -> new Obstacle.Rectangular(f, w, h)))));
    }
}
