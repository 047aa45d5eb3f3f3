package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.server.calc.Calculations.Question;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;
import lobrik.shape.StubFeatures;
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
 * @param made the piece that the readings describe, once they describe one
 */
public record Verdict(Question question, List<MeasuredFeature> features, Optional<Score> score, Optional<Piece> made) {

    /** A feature with its target and tolerance and, once it was read, how the reading was judged. */
    public record MeasuredFeature(
            FeatureId id, Quantity target, Quantity tolerance, boolean critical, Optional<Judged> judged) {}

    static Verdict of(Question question, Tolerances tolerances, Map<FeatureId, Quantity> readings) {
        List<MeasuredFeature> features = new ArrayList<>();
        List<Reading> taken = new ArrayList<>();
        for (PlannedFeature planned : question.layout().features()) {
            FeatureId id = planned.id();
            Optional<Reading> reading = Optional.ofNullable(readings.get(id))
                    .map(value -> Reading.of(id, planned.target(), value, tolerances));
            reading.ifPresent(taken::add);
            features.add(new MeasuredFeature(
                    id,
                    planned.target(),
                    tolerances.of(id),
                    id.isOfFinishedPiece(),
                    reading.map(r -> r.judged(Scheme.GRADED))));
        }
        Optional<Score> score = taken.size() == features.size()
                ? Optional.of(Score.of(taken, Scheme.GRADED, tolerances.passMark(), 0))
                : Optional.empty();
        return new Verdict(question, List.copyOf(features), score, made(question, features, readings));
    }

    public boolean isComplete() {
        return score.isPresent();
    }

    public long measured() {
        return features.stream().filter(feature -> feature.judged().isPresent()).count();
    }

    /** What was not read yet is drawn as predicted, so that the piece grows into what was made. */
    private static Optional<Piece> made(
            Question question, List<MeasuredFeature> features, Map<FeatureId, Quantity> readings) {
        if (!readings.containsKey(FeatureId.LEG) && !readings.containsKey(FeatureId.ANGLE_1)) {
            return Optional.empty();
        }
        Piece predicted = question.layout().predicted();
        Length otherLegDrawn =
                predicted.straights().getLast().length().plus(question.tooling().backOfBend());
        Quantity leg = readings.getOrDefault(FeatureId.LEG, target(features, FeatureId.LEG));
        Quantity angle = readings.getOrDefault(FeatureId.ANGLE_1, Angle.RIGHT);
        Quantity otherLeg = readings.getOrDefault(FeatureId.OTHER_LEG, otherLegDrawn);
        return StubFeatures.pieceWith(question.tooling(), (Length) leg, (Angle) angle, (Length) otherLeg);
    }

    private static Quantity target(List<MeasuredFeature> features, FeatureId id) {
        return features.stream()
                .filter(feature -> feature.id() == id)
                .findFirst()
                .orElseThrow()
                .target();
    }
}
