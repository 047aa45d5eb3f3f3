package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.bend.BendKind;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.reading.ReadingList;
import lobrik.server.calc.Calculations.Question;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;
import lobrik.verdict.AsMeasured;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Workmanship;

/**
 * What the core says of an attempt as far as it was measured.
 *
 * @param features all that is read on this piece, in the order in which hands go
 * @param workmanship what the faults that were found cost
 * @param score once every feature has a reading or the word that it was not measured, and nothing is disputed
 * @param arithmetic the trainee's own figures for the marks, scored apart
 */
public record Verdict(
        Question question,
        Map<FeatureId, Quantity> readings,
        List<MeasuredFeature> features,
        Workmanship.Found workmanship,
        Optional<Score> score,
        Optional<Score> arithmetic) {

    /** How far a feature is. */
    public enum State {
        OPEN,
        READ,
        OMITTED,
        DISPUTED
    }

    /** A feature with its target and tolerance and, once it was read, how the reading was judged. */
    public record MeasuredFeature(
            FeatureId id,
            Quantity target,
            Quantity tolerance,
            boolean critical,
            State state,
            Optional<Judged> judged) {}

    static Verdict of(Question question, Tolerances tolerances, ReadingList list, Ledger.Said said) {
        BendKind kind = question.layout().job().bend().kind();
        List<PlannedFeature> planned = question.layout().features();
        List<FeatureId> asked =
                list.of(kind, planned.stream().map(PlannedFeature::id).toList());
        List<MeasuredFeature> features = new ArrayList<>();
        List<Reading> taken = new ArrayList<>();
        for (PlannedFeature plan : planned) {
            FeatureId id = plan.id();
            if (!asked.contains(id)) {
                continue;
            }
            Optional<Reading> reading = Optional.ofNullable(said.values().get(id))
                    .map(value -> Reading.of(kind, id, plan.target(), value, tolerances));
            reading.ifPresent(taken::add);
            features.add(new MeasuredFeature(
                    id,
                    plan.target(),
                    tolerances.of(kind, id),
                    tolerances.judging().isCritical(id),
                    state(id, said),
                    reading.map(r -> r.judged(tolerances.judging().scheme()))));
        }
        Workmanship.Found found = tolerances.workmanship().found(said.faulty());
        return new Verdict(
                question,
                Map.copyOf(said.values()),
                List.copyOf(features),
                found,
                score(features, taken, tolerances, found, said.disputedFinding()),
                arithmetic(question, tolerances, said.ownFigures()));
    }

    private static State state(FeatureId id, Ledger.Said said) {
        if (said.disputed().contains(id)) {
            return State.DISPUTED;
        }
        if (said.values().containsKey(id)) {
            return State.READ;
        }
        return said.omitted().contains(id) ? State.OMITTED : State.OPEN;
    }

    private static Optional<Score> score(
            List<MeasuredFeature> features,
            List<Reading> taken,
            Tolerances tolerances,
            Workmanship.Found found,
            boolean disputedFinding) {
        Set<State> done = Set.of(State.READ, State.OMITTED);
        boolean complete = features.stream().allMatch(feature -> done.contains(feature.state()));
        if (!complete || taken.isEmpty() || disputedFinding) {
            return Optional.empty();
        }
        Score score = Score.of(taken, tolerances.judging().scheme(), tolerances.passMark(), found);
        boolean criticalOmitted =
                features.stream().anyMatch(feature -> feature.critical() && feature.state() == State.OMITTED);
        return Optional.of(criticalOmitted ? score.withoutPass() : score);
    }

    private static Optional<Score> arithmetic(Question question, Tolerances tolerances, Map<Integer, Length> own) {
        BendKind kind = question.layout().job().bend().kind();
        List<Reading> figures = new ArrayList<>();
        for (Mark mark : question.layout().marks()) {
            Length figure = own.get(mark.number());
            if (figure != null) {
                figures.add(Reading.of(kind, FeatureId.mark(mark.number()), mark.position(), figure, tolerances));
            }
        }
        return figures.isEmpty()
                ? Optional.empty()
                : Optional.of(Score.of(figures, tolerances.judging().scheme(), tolerances.passMark(), 0));
    }

    public boolean isComplete() {
        return score.isPresent();
    }

    /** Whether two people read a feature differently, and nobody has decided yet. */
    public boolean isDisputed() {
        return features.stream().anyMatch(feature -> feature.state() == State.DISPUTED);
    }

    /** How many features are read, or known not to have been. */
    public long measured() {
        return features.stream()
                .filter(feature -> feature.state() != State.OPEN)
                .count();
    }

    /** The piece that the readings describe; what was not read yet is drawn as planned, so that the piece grows. */
    public Optional<Piece> made() {
        return AsMeasured.of(question.layout(), readings);
    }
}
