package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.reading.ReadingList;
import lobrik.server.calc.Calculations.Question;
import lobrik.shape.Piece;
import lobrik.verdict.AsMeasured;
import lobrik.verdict.CarriedOn;
import lobrik.verdict.Difference;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judged;
import lobrik.verdict.Marksheet;
import lobrik.verdict.Reading;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerance;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Workmanship;
import lobrik.verdict.Yardstick;

/**
 * What the core says of an attempt as far as it was measured.
 *
 * @param features all that is read on this piece, in the order in which hands go
 * @param workmanship what the faults that were found cost
 * @param criticalFaults those of them that fail the piece
 * @param ended whether every feature has a reading or the word that it was not measured, and nothing is disputed
 * @param marksheet once it has ended, if anything was read
 * @param arithmetic the trainee's own figures for the marks, scored apart
 */
public record Verdict(
        Question question,
        Map<FeatureId, Quantity> readings,
        List<MeasuredFeature> features,
        Workmanship.Found workmanship,
        List<InspectionPoint> criticalFaults,
        boolean ended,
        Optional<Marksheet> marksheet,
        Optional<Score> arithmetic) {

    private static final Score NOTHING_READ = new Score(0, false, List.of());

    /** How far a feature is. */
    public enum State {
        OPEN,
        READ,
        OMITTED,
        DISPUTED
    }

    /**
     * What a piece is judged by.
     *
     * @param target what a reading of a feature is held to
     */
    record Rules(
            Yardstick yardstick, Function<PlannedFeature, Quantity> target, Tolerances tolerances, ReadingList list) {}

    /**
     * A feature with its tolerance and, once it was read, how the reading was judged.
     *
     * @param asked by the exercise
     * @param target what it is judged against, by the yardstick
     * @param carried why that is not a mark's own right place
     */
    public record MeasuredFeature(
            FeatureId id,
            Quantity asked,
            Quantity target,
            Tolerance tolerance,
            boolean critical,
            State state,
            Optional<CarriedOn.Reason> carried,
            Optional<Judged> judged) {

        /** Whether it was read, and is not within its tolerance. */
        public boolean isOutside() {
            return judged.filter(each -> each.band() == Judged.Band.OUTSIDE).isPresent();
        }
    }

    /** The features that are read on a piece and judged, in their order. */
    static List<PlannedFeature> measured(Rules rules, Question question) {
        Layout layout = question.layout();
        List<FeatureId> asked = rules.list()
                .of(
                        layout.job().bend().kind(),
                        layout.features().stream().map(PlannedFeature::id).toList());
        return layout.features().stream()
                .filter(plan -> asked.contains(plan.id()) && rules.yardstick().judges(plan.id()))
                .toList();
    }

    static Verdict of(Rules rules, Question question, Ledger.Said said) {
        Tolerances tolerances = rules.tolerances();
        BendKind kind = question.layout().job().bend().kind();
        CarriedOn marks = marks(rules, question.layout());
        Map<FeatureId, CarriedOn.Target> rings = rings(rules, marks, question.layout(), said);
        List<MeasuredFeature> features = new ArrayList<>();
        List<Reading> taken = new ArrayList<>();
        for (PlannedFeature plan : measured(rules, question)) {
            FeatureId id = plan.id();
            Optional<CarriedOn.Target> ring = Optional.ofNullable(rings.get(id));
            Quantity target = ring.<Quantity>map(CarriedOn.Target::at)
                    .orElseGet(() -> rules.target().apply(plan));
            Optional<Reading> reading = Optional.ofNullable(said.values().get(id))
                    .map(value -> Reading.of(kind, id, target, value, tolerances));
            reading.ifPresent(taken::add);
            features.add(new MeasuredFeature(
                    id,
                    plan.asked(),
                    target,
                    tolerances.of(kind, id),
                    tolerances.judging().isCritical(id),
                    state(id, said),
                    ring.flatMap(CarriedOn.Target::reason),
                    reading.map(r -> r.judged(tolerances.judging().scheme()))));
        }
        Workmanship.Found found = tolerances.workmanship().found(said.faulty());
        List<Reading> figures = figures(rules, marks, question, said.ownFigures());
        boolean ended = isComplete(features, said);
        Optional<Marksheet> marksheet = ended && !taken.isEmpty()
                ? Optional.of(Marksheet.of(
                        taken, figures, tolerances, said.lookedOver() ? Optional.of(said.faulty()) : Optional.empty()))
                : Optional.empty();
        return new Verdict(
                question,
                FeatureId.inOrder(said.values()),
                List.copyOf(features),
                found,
                said.faulty().stream()
                        .filter(point ->
                                tolerances.workmanship().found(Set.of(point)).critical())
                        .toList(),
                ended,
                marksheet,
                figures.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Score.of(figures, tolerances.judging().scheme(), tolerances.passMark(), 0)));
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

    private static boolean isComplete(List<MeasuredFeature> features, Ledger.Said said) {
        Set<State> done = Set.of(State.READ, State.OMITTED);
        return features.stream().allMatch(feature -> done.contains(feature.state())) && !said.disputedFinding();
    }

    /** Where the method is the trainee's own, nobody knows what their figures should be. */
    private static List<Reading> figures(Rules rules, CarriedOn marks, Question question, Map<Integer, Length> own) {
        BendKind kind = question.layout().job().bend().kind();
        Map<Integer, CarriedOn.Target> held = countsOnce(rules) ? marks.figures(own) : Map.of();
        List<Reading> figures = new ArrayList<>();
        for (Mark mark : question.layout().marks()) {
            Length figure = own.get(mark.number());
            FeatureId feature = FeatureId.mark(mark.number());
            if (figure != null && rules.yardstick().judges(feature)) {
                CarriedOn.Target target = held.get(mark.number());
                figures.add(Reading.of(
                        kind, feature, target == null ? mark.position() : target.at(), figure, rules.tolerances()));
            }
        }
        return List.copyOf(figures);
    }

    /** Whether one slip counts once: so it is since the right piece is the yardstick. */
    private static boolean countsOnce(Rules rules) {
        return rules.yardstick() == Yardstick.RIGHT_PIECE;
    }

    private static CarriedOn marks(Rules rules, Layout layout) {
        Map<Integer, Length> right = new HashMap<>();
        for (Mark mark : layout.marks()) {
            layout.features().stream()
                    .filter(feature -> FeatureId.mark(mark.number()).equals(feature.id()))
                    .forEach(feature ->
                            right.put(mark.number(), (Length) rules.target().apply(feature)));
        }
        BendKind kind = layout.job().bend().kind();
        return new CarriedOn(right, number -> rules.tolerances().of(kind, FeatureId.mark(number)));
    }

    private static Map<FeatureId, CarriedOn.Target> rings(
            Rules rules, CarriedOn marks, Layout layout, Ledger.Said said) {
        Map<Integer, Length> rings = new HashMap<>();
        for (Mark mark : layout.marks()) {
            if (countsOnce(rules) && said.values().get(FeatureId.mark(mark.number())) instanceof Length ring) {
                rings.put(mark.number(), ring);
            }
        }
        Map<FeatureId, CarriedOn.Target> held = new TreeMap<>();
        marks.rings(rings, said.ownFigures()).forEach((number, target) -> held.put(FeatureId.mark(number), target));
        return held;
    }

    /** The score once every feature is settled; not passed where something critical was not measured, nothing for nothing. */
    public Optional<Score> score() {
        if (ended && marksheet.isEmpty()) {
            return Optional.of(NOTHING_READ);
        }
        boolean criticalOmitted =
                features.stream().anyMatch(feature -> feature.critical() && feature.state() == State.OMITTED);
        return marksheet.map(Marksheet::score).map(score -> criticalOmitted ? score.withoutPass() : score);
    }

    /** What fails the piece whatever its points, by id: critical features, then critical faults. */
    public List<String> failing() {
        Stream<String> outside = features.stream()
                .filter(feature -> feature.critical() && (feature.isOutside() || feature.state() == State.OMITTED))
                .map(feature -> feature.id().id());
        return Stream.concat(outside, criticalFaults.stream().map(InspectionPoint::id))
                .toList();
    }

    /** Whether everything that was read is within its tolerance. */
    public boolean isInside() {
        return features.stream().noneMatch(MeasuredFeature::isOutside);
    }

    public boolean isComplete() {
        return ended;
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

    /**
     * How many times as large the difference between what was asked and what was made is best drawn.
     *
     * @param made as {@link #made()} found it, which takes its time
     */
    public int drawnTimes(Optional<Piece> made) {
        return Difference.drawnTimes(question.layout(), made);
    }

    /** The piece that the readings describe; what was not read yet is drawn as planned, so that the piece grows. */
    public Optional<Piece> made() {
        return AsMeasured.of(question.layout(), readings);
    }
}
