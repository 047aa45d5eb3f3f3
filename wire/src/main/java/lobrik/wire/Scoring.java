package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.fault.FaultCode;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.measure.Quantity;
import lobrik.verdict.Reading;
import lobrik.verdict.Scheme;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerance;
import lobrik.verdict.Tolerances;
import org.jspecify.annotations.Nullable;

/** Asks the core what readings are worth. */
final class Scoring {

    private Scoring() {}

    static ScoreAnswer score(ScoreRequest request) {
        Translation translation = new Translation();
        translation.required("bend", request.bend()).ifPresent(bend -> requireKnownKind(translation, bend));
        Optional<List<Reading>> readings =
                translation.required("items", request.items()).map(items -> readings(translation, items));
        Scheme scheme = Objects.requireNonNullElse(request.scheme(), Scheme.GRADED);
        double passMark = request.passMark() == null ? Tolerances.USUAL_PASS_MARK : request.passMark();
        double deductions = request.deductions() == null ? 0 : request.deductions();
        return ScoreAnswer.of(Score.of(translation.finish(readings), scheme, passMark, deductions));
    }

    private static void requireKnownKind(Translation translation, ScoreRequest.BendKind bend) {
        translation
                .required("bend/kind", bend.kind())
                .filter(kind -> BendKind.withId(kind).isEmpty())
                .ifPresent(kind -> translation.fault(
                        FaultCode.UNKNOWN_VALUE,
                        "bend/kind",
                        "“" + brief(kind) + "” is not a kind of bend; try "
                                + Stream.of(BendKind.values()).map(BendKind::id).collect(Collectors.joining(", "))));
    }

    private static List<Reading> readings(Translation translation, List<ScoreRequest.@Nullable ReadingToScore> items) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            String at = "items/" + i;
            translation
                    .required(at, items.get(i))
                    .flatMap(item -> reading(translation, at, item))
                    .ifPresent(readings::add);
        }
        return List.copyOf(readings);
    }

    private static Optional<Reading> reading(Translation translation, String at, ScoreRequest.ReadingToScore item) {
        Optional<FeatureId> feature = translation
                .required(at + "/feature", item.feature())
                .flatMap(id -> feature(translation, at + "/feature", id));
        Optional<Double> target = translation.required(at + "/target", item.target());
        Optional<Double> reading = translation.required(at + "/reading", item.reading());
        Optional<Double> tolerance = translation.required(at + "/tolerance", item.tolerance());
        double weight = item.weight() == null ? 1 : item.weight();
        boolean critical = item.critical() == null || item.critical();
        if (feature.isEmpty() || target.isEmpty() || reading.isEmpty() || tolerance.isEmpty()) {
            return Optional.empty();
        }
        FeatureId id = feature.get();
        return translation
                .quantity(at + "/target", () -> Numbers.of(id, target.get()))
                .flatMap(t -> translation
                        .quantity(at + "/reading", () -> Numbers.of(id, reading.get()))
                        .flatMap(r -> translation
                                .quantity(at + "/tolerance", () -> Numbers.of(id, tolerance.get()))
                                .flatMap(over -> under(translation, at, id, item)
                                        .or(() -> Optional.of(over))
                                        .flatMap(under -> translation.built(
                                                at,
                                                () -> new Reading(
                                                        id, t, r, new Tolerance(over, under), weight, critical))))));
    }

    private static Optional<Quantity> under(
            Translation translation, String at, FeatureId id, ScoreRequest.ReadingToScore item) {
        Double under = item.under();
        return under == null ? Optional.empty() : translation.quantity(at + "/under", () -> Numbers.of(id, under));
    }

    static Optional<FeatureId> feature(Translation translation, String input, String id) {
        Optional<FeatureId> known = FeatureId.withId(id);
        if (known.isEmpty()) {
            String ids = Stream.of(FeatureKind.values())
                    .map(kind -> kind.isNumbered() ? kind.id() + "1, " + kind.id() + "2 …" : kind.id())
                    .collect(Collectors.joining(", "));
            translation.fault(FaultCode.UNKNOWN_VALUE, input, "“" + brief(id) + "” is not a feature; there are " + ids);
        }
        return known;
    }

    /** Enough of a text to recognise it in a message. */
    private static String brief(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
