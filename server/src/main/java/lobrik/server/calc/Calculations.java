package lobrik.server.calc;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.fault.FaultCode;
import lobrik.layout.Layout;
import lobrik.layout.Review;
import lobrik.measure.Length;
import lobrik.server.platform.Numbers;
import lobrik.shape.BendMade;
import lobrik.shape.FeatureId;
import lobrik.shape.Features;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
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

    /** An exercise's definition as the core understands it, laid out. */
    public record Question(Layout layout, Optional<Obstacle> obstacle) {}

    /**
     * Translates a definition and lays it out.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible
     */
    public Question question(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        return new Question(Layout.of(question.job()), question.obstacle());
    }

    /** A question's answer as the interface writes it. */
    public LayoutAnswer plan(Question question) {
        return LayoutAnswer.of(Review.of(question.layout(), question.obstacle()));
    }

    /**
     * Lays a definition out and reviews it.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible, with what to change
     */
    public LayoutAnswer layout(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        return LayoutAnswer.of(Review.of(question.job(), question.obstacle()));
    }

    SimulateAnswer simulate(SimulateRequest request) {
        Translation translation = new Translation();
        Optional<Tooling> tooling = translation.tooling(request.conduit(), request.bender());
        Optional<Bend> bend = translation.bend(request.bend(), translation.firstMark(request.bender(), tooling));
        Optional<Length> length = translation.length("lengthIn", request.lengthIn());
        Optional<List<BendMade>> bends = translation.bendsMade(request.bends());
        if (request.bends() != null) {
            int given = request.bends().size();
            bend.ifPresent(asked -> requireNumberOfBends(translation, asked.kind(), given));
        }
        List<BendMade> made = translation.finish(bends);
        Piece piece = Piece.simulate(translation.finish(tooling), translation.finish(length), made);
        return SimulateAnswer.of(piece, Features.of(translation.finish(bend), piece));
    }

    private static void requireNumberOfBends(Translation translation, BendKind kind, int given) {
        if (given != kind.bends()) {
            translation.fault(
                    FaultCode.WRONG_NUMBER_OF_BENDS,
                    "bends",
                    "a piece of the kind " + kind.id() + " has " + kind.bends()
                            + (kind.bends() == 1 ? " bend" : " bends") + ", not " + given);
        }
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
                                .flatMap(tau ->
                                        translation.built(at, () -> new Reading(id, t, r, tau, weight, critical)))));
    }

    private static Optional<FeatureId> feature(Translation translation, String input, String id) {
        Optional<FeatureId> known = FeatureId.withId(id);
        if (known.isEmpty()) {
            String ids = String.join(
                    ", ", Stream.of(FeatureId.values()).map(FeatureId::id).toList());
            translation.fault(FaultCode.UNKNOWN_VALUE, input, "“" + brief(id) + "” is not a feature; there are " + ids);
        }
        return known;
    }

    /** Enough of a text to recognise it in a message. */
    private static String brief(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
