package lobrik.server.calc;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.exercise.InputRange;
import lobrik.exercise.Variants;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.layout.Review;
import lobrik.layout.Why;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.platform.Numbers;
import lobrik.shape.BendMade;
import lobrik.shape.Features;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
import lobrik.shape.Surround;
import lobrik.shop.Tooling;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Reading;
import lobrik.verdict.Scheme;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerance;
import lobrik.verdict.Tolerances;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Asks the core what a request asks, and writes its answer. */
@Component
public final class Calculations {

    /** A variant: the bend that replaces the exercise's own, laid out, and how hard it is. */
    public record DealtVariant(BendInput bend, Layout layout, double hardness) {}

    /** An exercise's definition as the core understands it, laid out. */
    public record Question(Layout layout, Optional<Obstacle> obstacle, List<Surround> around) {

        /** The unit of the exercise's tape: what everything on its sheet is in. */
        public LengthUnit unit() {
            return layout.job().school().division().equals(TapeDivision.MILLIMETRE)
                    ? LengthUnit.MILLIMETRE
                    : LengthUnit.INCH;
        }

        /** What is looked over on a piece of it besides its sizes: no hand shoe heats anything. */
        public List<InspectionPoint> lookedOver() {
            boolean entersFitting = layout.job().bend().kind().entersFitting()
                    || around.stream().anyMatch(each -> each.kind() == Surround.Kind.BOX);
            return InspectionPoint.on(
                    false, entersFitting, Review.cleared(layout, obstacle).isPresent());
        }
    }

    /** A class measures the same few exercises all morning. */
    private static final long MOST_REMEMBERED = 500;

    private final Cache<LayoutRequest, Question> questions =
            Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).build();

    /** By the very question that was remembered. */
    private final Cache<Question, LayoutAnswer> plans =
            Caffeine.newBuilder().weakKeys().build();

    /**
     * Translates a definition and lays it out.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible
     */
    public Question question(LayoutRequest request) {
        return questions.get(request, Calculations::laidOut);
    }

    private static Question laidOut(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        Layout layout = Layout.of(question.job());
        return new Question(layout, question.obstacle(), question.around().apply(layout.predicted()));
    }

    /**
     * A definition with everything said that it leaves to what is usual, as whoever opens it wants to see it. One that is bad
     * or impossible stays as it is.
     */
    public LayoutRequest completed(LayoutRequest request) {
        try {
            Bend bend = question(request).layout().job().bend();
            return request.with(BendInput.of(bend)).with(placed(request.place()));
        } catch (Refused notLikeThat) {
            return request;
        }
    }

    private static LayoutRequest.@Nullable PlaceInput placed(LayoutRequest.@Nullable PlaceInput place) {
        return place == null || place.insertionIn() != null || place.namesFittings()
                ? place
                : new LayoutRequest.PlaceInput(place.situation(), Surround.USUAL_INSERTION.inches());
    }

    /** A question's answer as the interface writes it. */
    public LayoutAnswer plan(Question question) {
        return plans.get(question, Calculations::reviewed);
    }

    private static LayoutAnswer reviewed(Question question) {
        return LayoutAnswer.of(Review.of(question.layout(), question.obstacle()), question.around());
    }

    /**
     * Lays a definition out and reviews it.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible, with what to change
     */
    public LayoutAnswer layout(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        Review review = Review.of(question.job(), question.obstacle());
        return LayoutAnswer.of(review, question.around().apply(review.layout().predicted()));
    }

    /**
     * Explains the numbers of a layout.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible
     */
    List<ExplanationAnswer> why(LayoutRequest request) {
        return why(question(request));
    }

    /** The same of what is laid out already. */
    public List<ExplanationAnswer> why(Question question) {
        return Why.of(question.layout()).stream().map(ExplanationAnswer::of).toList();
    }

    /**
     * Deals variants of a definition, bench after bench.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible, or if there are too few variants
     */
    public List<DealtVariant> variants(LayoutRequest request, VariationInput variation, int count) {
        Translation translation = new Translation();
        Translation.LayoutQuestion question = translation.layoutQuestion(request);
        List<InputRange> ranges = VariationTranslation.ranges(translation, variation);
        BendInput base = Objects.requireNonNull(request.bend());
        return Variants.deal(question.job(), question.obstacleOf(), ranges, variation.seed(), count).stream()
                .map(variant -> new DealtVariant(
                        VariationTranslation.varied(base, variant, ranges),
                        variant.layout(),
                        variant.hardness().points()))
                .toList();
    }

    /**
     * Checks that a variation has variants for a small class.
     *
     * @throws lobrik.fault.Refused if its ranges are bad or hold too little
     */
    public void requireVariation(LayoutRequest request, VariationInput variation) {
        variants(request, variation, Variants.NEIGHBOURS + 1);
    }

    SimulateAnswer simulate(SimulateRequest request) {
        Translation translation = new Translation();
        Optional<Tooling> tooling = translation.tooling(request.conduit(), request.bender());
        Optional<Bend> bend = translation.bend(request.bend(), translation.leastGrip(request.bender(), tooling));
        Optional<Length> length = translation.length("lengthIn", request.lengthIn());
        Optional<List<BendMade>> bends = translation.bendsMade(request.bends());
        if (request.bends() != null) {
            int given = request.bends().size();
            bend.ifPresent(asked -> requireNumberOfBends(translation, asked, given));
        }
        List<BendMade> made = translation.finish(bends);
        Piece piece = Piece.simulate(translation.finish(tooling), translation.finish(length), made);
        return SimulateAnswer.of(piece, Features.of(translation.finish(bend), piece));
    }

    private static void requireNumberOfBends(Translation translation, Bend bend, int given) {
        if (given != bend.bends()) {
            translation.fault(
                    FaultCode.WRONG_NUMBER_OF_BENDS,
                    "bends",
                    "a piece of the kind " + bend.kind().id() + " has " + bend.bends()
                            + (bend.bends() == 1 ? " bend" : " bends") + ", not " + given);
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
