package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Quantity;
import lobrik.server.calc.Calculations.Question;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;
import lobrik.verdict.AsMeasured;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Scheme;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerances;

/**
 * What the core says of an attempt as far as it was measured.
 *
 * @param features all that is measured on this kind of piece, in the order in which hands go
 * @param score once every feature has a reading
 */
public record Verdict(
        Question question, Map<FeatureId, Quantity> readings, List<MeasuredFeature> features, Optional<Score> score) {

    /** A feature with its target and tolerance and, once it was read, how the reading was judged. */
    public record MeasuredFeature(
            FeatureId id, Quantity target, Quantity tolerance, boolean critical, Optional<Judged> judged) {}

    static Verdict of(Question question, Tolerances tolerances, Map<FeatureId, Quantity> readings) {
        List<MeasuredFeature> features = new ArrayList<>();
        List<Reading> taken = new ArrayList<>();
        BendKind kind = question.layout().job().bend().kind();
        for (PlannedFeature planned : question.layout().features()) {
            FeatureId id = planned.id();
            Optional<Reading> reading = Optional.ofNullable(readings.get(id))
                    .map(value -> Reading.of(kind, id, planned.target(), value, tolerances));
            reading.ifPresent(taken::add);
            features.add(new MeasuredFeature(
                    id,
                    planned.target(),
                    tolerances.of(kind, id),
                    id.isOfFinishedPiece(),
                    reading.map(r -> r.judged(Scheme.GRADED))));
        }
        Optional<Score> score = taken.size() == features.size()
                ? Optional.of(Score.of(taken, Scheme.GRADED, tolerances.passMark(), 0))
                : Optional.empty();
        return new Verdict(question, Map.copyOf(readings), List.copyOf(features), score);
    }

    public boolean isComplete() {
        return score.isPresent();
    }

    public long measured() {
        return features.stream().filter(feature -> feature.judged().isPresent()).count();
    }

    /** The piece that the readings describe; what was not read yet is drawn as planned, so that the piece grows. */
    public Optional<Piece> made() {
        return AsMeasured.of(question.layout(), readings);
    }
}
