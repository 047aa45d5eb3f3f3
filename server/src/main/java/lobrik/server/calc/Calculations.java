package lobrik.server.calc;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.Stub90;
import lobrik.fault.FaultCode;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;
import lobrik.shape.StubFeatures;
import lobrik.shop.Tooling;
import lobrik.verdict.Reading;
import lobrik.verdict.Scheme;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerances;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Asks the core what a request asks, and writes its answer. */
@Component
public final class Calculations {

    /** An exercise's definition as the core understands it. */
    public record Question(Bend bend, Tooling tooling, TapeDivision division, Layout layout) {}

    /**
     * Translates a definition and lays it out.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible
     */
    public Question question(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        return new Question(question.bend(), question.tooling(), question.division(), question.answer());
    }

    /** A question's answer as the interface writes it. */
    public LayoutAnswer plan(Question question) {
        return LayoutAnswer.of(question.layout());
    }

    LayoutAnswer layout(LayoutRequest request) {
        return LayoutAnswer.of(new Translation().layoutQuestion(request).answer());
    }

    SimulateAnswer simulate(SimulateRequest request) {
        Translation translation = new Translation();
        Optional<Tooling> tooling = translation.tooling(request.conduit(), request.bender());
        Optional<Bend> bend = translation.bend(request.bend());
        Optional<Length> length = translation.length("lengthIn", request.lengthIn());
        Optional<List<BendMade>> bends = translation.bendsMade(request.bends());
        if (request.bends() != null) {
            int given = request.bends().size();
            bend.ifPresent(asked -> requireNumberOfBends(translation, asked, given));
        }
        List<BendMade> made = translation.finish(bends);
        Piece piece = Piece.simulate(translation.finish(tooling), translation.finish(length), made);
        return SimulateAnswer.of(piece, features(translation.finish(bend), piece, made));
    }

    private static void requireNumberOfBends(Translation translation, Bend bend, int given) {
        int wanted = switch (bend) {
            case Stub90 _ -> 1;
        };
        if (given != wanted) {
            translation.fault(
                    FaultCode.WRONG_NUMBER_OF_BENDS,
                    "bends",
                    "this kind of piece has " + wanted + " bend, not " + given);
        }
    }

    private static List<Feature> features(Bend bend, Piece piece, List<BendMade> made) {
        return switch (bend) {
            case Stub90 _ -> StubFeatures.of(piece, made.getFirst());
        };
    }

    ScoreAnswer score(ScoreRequest request) {
        Translation translation = new Translation();
        translation.required("bend", request.bend()).ifPresent(bend -> requireKnownKind(translation, bend));
        Optional<List<Reading>> readings =
                translation.required("items", request.items()).map(items -> readings(translation, items));
        Scheme scheme = request.scheme() == null
                ? Scheme.GRADED
                : Scheme.valueOf(request.scheme().name());
        double passMark = request.passMark() == null ? Tolerances.USUAL_PASS_MARK : request.passMark();
        double deductions = request.deductions() == null ? 0 : request.deductions();
        return ScoreAnswer.of(Score.of(translation.finish(readings), scheme, passMark, deductions));
    }

    private static void requireKnownKind(Translation translation, ScoreRequest.BendKind bend) {
        translation
                .required("bend/kind", bend.kind())
                .filter(kind -> !kind.equals("stub90"))
                .ifPresent(kind -> translation.fault(
                        FaultCode.UNKNOWN_VALUE,
                        "bend/kind",
                        "“" + brief(kind) + "” is not a kind of bend; try stub90"));
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
                                .flatMap(tau ->
                                        translation.built(at, () -> new Reading(id, t, r, tau, weight, critical)))));
    }

    private static Optional<FeatureId> feature(Translation translation, String input, String id) {
        Optional<FeatureId> known = FeatureId.withId(id);
        if (known.isEmpty()) {
            String ids = String.join(
                    ", ", Stream.of(FeatureId.values()).map(FeatureId::id).toList());
            translation.fault(
                    FaultCode.UNKNOWN_VALUE, input, "“" + brief(id) + "” is not a feature of this bend; it has " + ids);
        }
        return known;
    }

    /** Enough of a text to recognise it in a message. */
    private static String brief(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
