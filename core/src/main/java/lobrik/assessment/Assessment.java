package lobrik.assessment;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import lobrik.assessment.Basis.Held;
import lobrik.assessment.Basis.HeldMark;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.verdict.AlongTheRun;
import lobrik.verdict.CarriedOn;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judged;
import lobrik.verdict.Marksheet;
import lobrik.verdict.Reading;
import lobrik.verdict.Score;
import lobrik.verdict.Tolerance;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Workmanship;

/**
 * What a piece comes to, as far as it was measured.
 *
 * @param readings those that count, by feature
 * @param features all that is read on this piece, in the order in which hands go
 * @param workmanship what the faults that were found cost
 * @param criticalFaults those of them that fail the piece
 * @param isComplete whether every feature has a reading or the word that it was not measured, and nothing is disputed
 * @param marksheet once it is complete, if anything was read
 * @param arithmetic the trainee's own figures for the marks, scored apart
 */
public record Assessment(
        Map<FeatureId, Quantity> readings,
        List<Assessed> features,
        Workmanship.Found workmanship,
        List<InspectionPoint> criticalFaults,
        boolean isComplete,
        Optional<Marksheet> marksheet,
        Optional<Score> arithmetic) {

    private static final Score NOTHING_READ = new Score(0, false, List.of());
    private static final Set<State> DONE = Set.of(State.READ, State.OMITTED);

    /** How far a feature is. */
    public enum State {
        OPEN,
        READ,
        OMITTED,
        DISPUTED
    }

    /**
     * A feature and, once it was read, how the reading was judged.
     *
     * @param asked by the exercise
     * @param target what it is judged against
     * @param carried why that is not its own right place
     * @param from earlier slips that it follows from, charged at their own place
     */
    public record Assessed(
            FeatureId id,
            Quantity asked,
            Quantity target,
            Tolerance tolerance,
            boolean critical,
            State state,
            Optional<CarriedOn.Reason> carried,
            List<FeatureId> from,
            Optional<Judged> judged) {

        /** Whether it was read, and is not within its tolerance. */
        public boolean isOutside() {
            return judged.filter(each -> each.band() == Judged.Band.OUTSIDE).isPresent();
        }

        /** Whether it is critical, and nobody measured it. */
        public boolean isCriticalOmitted() {
            return critical && state == State.OMITTED;
        }

        boolean fails() {
            return isCriticalOmitted() || (critical && isOutside());
        }
    }

    /**
     * Judges what counts of a piece by what it is judged by.
     *
     * @param laidOut its exercise, asked only where something of a run is off; empty where it can be laid out no more
     */
    public static Assessment of(
            Basis basis, Tolerances tolerances, Evidence evidence, Supplier<Optional<Layout>> laidOut) {
        CarriedOn marks = marks(basis);
        Map<FeatureId, CarriedOn.Target> rings = rings(basis, marks, evidence);
        Map<FeatureId, AlongTheRun.Followed> along = along(basis, evidence, laidOut);
        List<Assessed> features = new ArrayList<>();
        List<Reading> taken = new ArrayList<>();
        for (Held held : basis.features()) {
            FeatureId id = held.id();
            Optional<CarriedOn.Target> ring = Optional.ofNullable(rings.get(id));
            Optional<AlongTheRun.Followed> follows = Optional.ofNullable(along.get(id));
            Quantity target = follows.map(AlongTheRun.Followed::target)
                    .or(() -> ring.map(CarriedOn.Target::at))
                    .orElse(held.target());
            Optional<Reading> reading = Optional.ofNullable(evidence.values().get(id))
                    .filter(_ -> !evidence.found().contains(id))
                    .map(value -> new Reading(id, target, value, held.tolerance(), held.weight(), held.critical()));
            reading.ifPresent(taken::add);
            features.add(new Assessed(
                    id,
                    held.asked(),
                    target,
                    held.tolerance(),
                    held.critical(),
                    evidence.state(id),
                    follows.map(_ -> CarriedOn.Reason.EARLIER_PLACE).or(() -> ring.flatMap(CarriedOn.Target::reason)),
                    follows.map(AlongTheRun.Followed::from).orElse(List.of()),
                    reading.map(each -> each.judged(tolerances.judging().scheme()))));
        }
        List<Reading> figures = figures(basis, marks, evidence.ownFigures());
        boolean complete =
                features.stream().allMatch(feature -> DONE.contains(feature.state())) && !evidence.disputedFinding();
        return new Assessment(
                FeatureId.inOrder(evidence.values()),
                List.copyOf(features),
                tolerances.workmanship().found(evidence.faulty()),
                evidence.faulty().stream()
                        .filter(point ->
                                tolerances.workmanship().found(Set.of(point)).critical())
                        .toList(),
                complete,
                complete && !taken.isEmpty()
                        ? Optional.of(Marksheet.of(
                                taken,
                                figures,
                                tolerances,
                                evidence.lookedOver() ? Optional.of(evidence.faulty()) : Optional.empty(),
                                evidence.reworked()))
                        : Optional.empty(),
                figures.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Score.of(figures, tolerances.judging().scheme(), tolerances.passMark(), 0)));
    }

    private static List<Reading> figures(Basis basis, CarriedOn marks, Map<Integer, Length> own) {
        Map<Integer, CarriedOn.Target> carried = basis.slipsCountOnce() ? marks.figures(own) : Map.of();
        List<Reading> figures = new ArrayList<>();
        for (HeldMark mark : basis.marks()) {
            Length figure = own.get(mark.number());
            if (figure != null) {
                CarriedOn.Target target = carried.get(mark.number());
                figures.add(new Reading(
                        FeatureId.mark(mark.number()),
                        target == null ? mark.figure() : target.at(),
                        figure,
                        mark.tolerance(),
                        mark.weight(),
                        mark.critical()));
            }
        }
        return List.copyOf(figures);
    }

    private static CarriedOn marks(Basis basis) {
        Map<Integer, Length> right = new HashMap<>();
        basis.marks().forEach(mark -> right.put(mark.number(), mark.place()));
        return new CarriedOn(
                right, number -> basis.mark(number).map(HeldMark::tolerance).orElseThrow(), basis.followsAlong());
    }

    private static Map<FeatureId, AlongTheRun.Followed> along(
            Basis basis, Evidence evidence, Supplier<Optional<Layout>> laidOut) {
        List<AlongTheRun.Read> read = new ArrayList<>();
        boolean anyOff = false;
        for (Held held : basis.features()) {
            Quantity value = evidence.values().get(held.id());
            if (basis.followsAlong() && value != null && held.id().isOfFinishedPiece()) {
                read.add(new AlongTheRun.Read(held.id(), held.target(), value, held.tolerance()));
                anyOff |= !held.tolerance().holds(value.minus(held.target()));
            }
        }
        return anyOff
                ? laidOut.get().map(layout -> AlongTheRun.of(layout, read)).orElse(Map.of())
                : Map.of();
    }

    private static Map<FeatureId, CarriedOn.Target> rings(Basis basis, CarriedOn marks, Evidence evidence) {
        Map<Integer, Length> rings = new HashMap<>();
        for (HeldMark mark : basis.marks()) {
            FeatureId id = FeatureId.mark(mark.number());
            if (basis.slipsCountOnce()
                    && !evidence.found().contains(id)
                    && evidence.values().get(id) instanceof Length ring) {
                rings.put(mark.number(), ring);
            }
        }
        Map<FeatureId, CarriedOn.Target> held = new TreeMap<>();
        marks.rings(rings, evidence.ownFigures()).forEach((number, target) -> held.put(FeatureId.mark(number), target));
        return held;
    }

    /** The score once every feature is settled; not passed where something critical was not measured, nothing for nothing. */
    public Optional<Score> score() {
        if (isComplete && marksheet.isEmpty()) {
            return Optional.of(NOTHING_READ);
        }
        return marksheet
                .map(Marksheet::score)
                .map(score -> features.stream().anyMatch(Assessed::isCriticalOmitted) ? score.withoutPass() : score);
    }

    /** What fails the piece whatever its points, by id: critical features, then critical faults. */
    public List<String> failing() {
        return Stream.concat(
                        features.stream()
                                .filter(Assessed::fails)
                                .map(feature -> feature.id().id()),
                        criticalFaults.stream().map(InspectionPoint::id))
                .toList();
    }

    /** Critical features that nobody measured. */
    public List<FeatureId> criticalOmitted() {
        return features.stream()
                .filter(Assessed::isCriticalOmitted)
                .map(Assessed::id)
                .toList();
    }

    /** Whether everything that was read is within its tolerance. */
    public boolean isInside() {
        return features.stream().noneMatch(Assessed::isOutside);
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
}
