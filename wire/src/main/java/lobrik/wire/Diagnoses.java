package lobrik.wire;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.cause.Case;
import lobrik.cause.Diagnosis;
import lobrik.cause.Priors;
import lobrik.fault.FaultCode;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Surround;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.ReadingSpread;
import org.jspecify.annotations.Nullable;

/** Asks the core what went wrong with a piece. */
final class Diagnoses {

    private Diagnoses() {}

    /**
     * Finds the causes.
     *
     * @throws lobrik.fault.Refused if something of the request is bad, or the bend cannot be laid out
     */
    static DiagnoseAnswer diagnose(DiagnoseRequest request) {
        Layout layout = Question.of(request.layout()).layout();
        Translation translation = new Translation();
        Optional<Length> sigmaIn = translation.lengthOr("sigmaIn", request.sigmaIn(), ReadingSpread.USUAL.length());
        Optional<Angle> sigmaDeg = request.sigmaDeg() == null
                ? Optional.of(ReadingSpread.USUAL.angle())
                : translation.angle("sigmaDeg", request.sigmaDeg());
        Optional<Length> insertion =
                translation.lengthOr("insertionIn", request.insertionIn(), Surround.USUAL_INSERTION);
        Optional<Map<FeatureId, Quantity>> readings =
                translation.required("readings", request.readings()).map(given -> readings(translation, given, layout));
        Map<Integer, Length> own = own(translation, request.own(), layout);
        Set<InspectionPoint> faulty = faulty(translation, request.faulty());
        Optional<Case> seen = sigmaIn.flatMap(tape ->
                sigmaDeg.flatMap(level -> insertion.flatMap(in -> readings.flatMap(read -> translation.built(
                        "",
                        () -> new Case(layout, read, own, new ReadingSpread(tape, level), in, Priors.USUAL)
                                .lookedOver(faulty))))));
        return DiagnoseAnswer.of(Diagnosis.of(translation.finish(seen)), LengthUnit.INCH);
    }

    private static Set<InspectionPoint> faulty(Translation translation, @Nullable List<@Nullable String> given) {
        Set<InspectionPoint> faulty = EnumSet.noneOf(InspectionPoint.class);
        List<@Nullable String> ids = Objects.requireNonNullElse(given, List.of());
        for (int i = 0; i < ids.size(); i++) {
            String at = "faulty/" + i;
            translation
                    .required(at, ids.get(i))
                    .ifPresent(id -> InspectionPoint.withId(id)
                            .ifPresentOrElse(
                                    faulty::add,
                                    () -> translation.fault(
                                            FaultCode.UNKNOWN_VALUE,
                                            at,
                                            "nobody looks for that; there are "
                                                    + Stream.of(InspectionPoint.values())
                                                            .map(InspectionPoint::id)
                                                            .collect(Collectors.joining(", ")))));
        }
        return faulty;
    }

    private static Map<FeatureId, Quantity> readings(
            Translation translation, List<DiagnoseRequest.@Nullable FeatureReading> given, Layout layout) {
        List<FeatureId> known = Features.of(layout.job().bend(), layout.predicted()).stream()
                .map(Feature::id)
                .toList();
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        for (int i = 0; i < given.size(); i++) {
            String at = "readings/" + i;
            translation.required(at, given.get(i)).ifPresent(reading -> {
                Optional<FeatureId> feature = translation
                        .required(at + "/feature", reading.feature())
                        .flatMap(id -> Scoring.feature(translation, at + "/feature", id))
                        .filter(id -> isOf(translation, at, id, known));
                Optional<Double> value = translation.required(at + "/value", reading.value());
                feature.flatMap(id -> value.flatMap(
                                number -> translation.quantity(at + "/value", () -> Numbers.of(id, number))))
                        .ifPresent(read -> put(translation, at, feature.orElseThrow(), read, readings));
            });
        }
        return readings;
    }

    private static boolean isOf(Translation translation, String at, FeatureId id, List<FeatureId> known) {
        if (known.contains(id)) {
            return true;
        }
        String ids = String.join(", ", known.stream().map(FeatureId::id).toList());
        translation.fault(
                FaultCode.UNKNOWN_VALUE,
                at + "/feature",
                "“" + id.id() + "” is not read on this bend; there are " + ids);
        return false;
    }

    private static void put(
            Translation translation, String at, FeatureId id, Quantity read, Map<FeatureId, Quantity> readings) {
        if (readings.putIfAbsent(id, read) != null) {
            translation.fault(FaultCode.DUPLICATE, at + "/feature", "“" + id.id() + "” is given twice; give it once");
        }
    }

    private static Map<Integer, Length> own(
            Translation translation, @Nullable List<DiagnoseRequest.@Nullable OwnMark> given, Layout layout) {
        Map<Integer, Length> own = new HashMap<>();
        List<DiagnoseRequest.@Nullable OwnMark> marks = given == null ? List.of() : new ArrayList<>(given);
        for (int i = 0; i < marks.size(); i++) {
            String at = "own/" + i;
            translation.required(at, marks.get(i)).ifPresent(mark -> {
                Optional<Integer> number = translation.required(at + "/mark", mark.mark());
                Optional<Length> position = translation.length(at + "/positionIn", mark.positionIn());
                if (number.isPresent()
                        && (number.get() < 1 || number.get() > layout.marks().size())) {
                    translation.fault(
                            FaultCode.OUT_OF_RANGE,
                            at + "/mark",
                            "marks are numbered from 1 to " + layout.marks().size());
                } else if (number.isPresent() && position.isPresent()) {
                    own.put(number.get(), position.get());
                }
            });
        }
        return own;
    }
}
