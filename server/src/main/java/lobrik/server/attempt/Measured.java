package lobrik.server.attempt;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.assessment.Assessment;
import lobrik.assessment.Assessment.Assessed;
import lobrik.assessment.Basis;
import lobrik.assessment.Evidence;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.MarkDatum;
import lobrik.layout.TakenMark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.reading.FloorReading;
import lobrik.server.exercise.Exercise;
import lobrik.shape.Piece;
import lobrik.verdict.AsMeasured;
import lobrik.verdict.Difference;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.ReadingSpread;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Yardstick;
import lobrik.wire.Question;

/**
 * An attempt with its exercise, all that was written down of it, and what the core says of that.
 *
 * @param basis what it is judged by
 * @param laidOut its exercise laid out, for whoever draws or explains; what it comes to needs none of it
 */
public record Measured(
        Attempt attempt,
        Exercise exercise,
        Ledger ledger,
        Basis basis,
        Assessment assessment,
        Supplier<Question> laidOut) {

    /** As the core judges what was written down of it. */
    static Measured of(Attempt attempt, Exercise exercise, Basis basis, Supplier<Question> laidOut, Ledger ledger) {
        Assessment assessment = assessed(attempt.tolerances().toCore(), basis, ledger.evidence(), laidOut);
        return new Measured(attempt, exercise, ledger, basis, assessment, laidOut);
    }

    /** The same with something more written down of it. */
    Measured with(FactRow fact) {
        return of(attempt, exercise, basis, laidOut, ledger.with(fact));
    }

    /** How often it was measured: once as first bent, and once more after each time that it was bent on or eased. */
    public int stages() {
        return ledger.stages();
    }

    /** What it came to in a stage, from 1. */
    public Assessment inStage(int stage) {
        return stage == stages()
                ? assessment
                : assessed(attempt.tolerances().toCore(), basis, ledger.evidence(stage), laidOut);
    }

    private static Assessment assessed(
            Tolerances tolerances, Basis basis, Evidence evidence, Supplier<Question> laidOut) {
        return Assessment.of(basis, tolerances, evidence, () -> {
            try {
                return Optional.of(laidOut.get().layout());
            } catch (Refused laidOutNoMore) {
                return Optional.empty();
            }
        });
    }

    /** What it came to as it was first bent: what it says of whoever bent it. */
    public Assessment asFirstBent() {
        return inStage(ReadingRow.FIRST_STAGE);
    }

    /** What it last came to; while it is measured again, as it stood before. */
    public Assessment settled() {
        for (int stage = stages(); stage > ReadingRow.FIRST_STAGE; stage--) {
            Assessment then = inStage(stage);
            if (then.isComplete()) {
                return then;
            }
        }
        return asFirstBent();
    }

    /** How far readings of what was read lie apart, as it was known when the piece was begun. */
    public ReadingSpread spread() {
        Set<FeatureId> read = new TreeSet<>(assessment.readings().keySet());
        read.addAll(asFirstBent().readings().keySet());
        return attempt.readsTo()
                .toCore(
                        read,
                        feature -> ledger.standing(feature).stream()
                                .anyMatch(row -> row.taken().with().isByGauge()));
    }

    /** The points that were found faulty before it was ever bent again. */
    public Set<InspectionPoint> faultyAsFirstBent() {
        return ledger.evidence(ReadingRow.FIRST_STAGE).faulty();
    }

    /** The shape that its readings describe as it was first bent; empty where it was not bent again since. */
    public Optional<Piece> madeFirst() {
        return stages() == ReadingRow.FIRST_STAGE
                ? Optional.empty()
                : AsMeasured.of(question().layout(), asFirstBent().readings(), spread());
    }

    /** Whether a mark may be found on the part-bent piece instead of being worked out: the last of some bends. */
    boolean mayBeFound(FeatureId feature) {
        return kind().findsLastMark()
                && basis.marks().stream().mapToInt(Basis.HeldMark::number).max().stream()
                        .anyMatch(last -> FeatureId.mark(last).equals(feature));
    }

    /** An angle as the level read it, and the floor that is taken off. */
    public record ByLevel(Angle read, FloorReading floor) {}

    /** How an angle that counts was read by level over a floor; empty for any other. */
    public Optional<ByLevel> byLevel(FeatureId feature) {
        return ledger.standing(feature).stream()
                .findFirst()
                .flatMap(row -> ledger.floorUnder(row)
                        .flatMap(floor -> row.value() instanceof Angle read
                                ? Optional.of(new ByLevel(read, floor))
                                : Optional.empty()));
    }

    /** What it would have been under other tolerances. */
    public Assessment under(Tolerances other) {
        return assessed(other, basis.under(other, kind()), ledger.evidence(), laidOut);
    }

    private BendKind kind() {
        return BendKind.withId(exercise.kind()).orElseThrow();
    }

    /**
     * Its exercise laid out.
     *
     * @throws lobrik.fault.Refused where it can be laid out no more
     */
    public Question question() {
        return laidOut.get();
    }

    /** The piece that the readings describe; what was not read yet is drawn as planned, so that the piece grows. */
    public Optional<Piece> made() {
        return AsMeasured.of(question().layout(), assessment.readings(), spread());
    }

    /**
     * How many times as large the difference between what was asked and what was made is best drawn.
     *
     * @param made as {@link #made()} found it, which takes its time
     */
    public int drawnTimes(Optional<Piece> made) {
        return Difference.drawnTimes(question().layout(), made);
    }

    /** The trainee's own figures for the marks, by number; empty where they are not known. */
    public Map<Integer, Length> own() {
        return ledger.evidence().ownFigures();
    }

    /**
     * The marks that were measured from the back of an earlier bend. Where nobody said, as they are taught; what was begun
     * before that was asked was measured from the end.
     */
    public Set<Integer> fromBack() {
        Map<FeatureId, MarkDatum> said = ledger.takenFrom();
        MarkDatum usual = attempt.yardstick() == Yardstick.AS_ASKED ? MarkDatum.END : MarkDatum.BACK;
        return question().layout().marks().stream()
                .filter(mark -> mark.back().isPresent())
                .map(Mark::number)
                .filter(number -> said.getOrDefault(FeatureId.mark(number), usual) == MarkDatum.BACK)
                .collect(Collectors.toSet());
    }

    /** A mark that was measured from the back of an earlier bend; empty for any other, and for what is no mark. */
    public Optional<Mark> markFromBack(FeatureId feature) {
        Set<Integer> fromBack = fromBack();
        return question().layout().marks().stream()
                .filter(mark -> FeatureId.mark(mark.number()).equals(feature) && fromBack.contains(mark.number()))
                .findFirst();
    }

    /** What a feature is held to, as the tape reads it: a mark from where it was measured. */
    public Quantity targetAsTaken(Assessed feature) {
        return markFromBack(feature.id())
                .<Quantity>map(mark -> mark.onBack((Length) feature.target()))
                .orElse(feature.target());
    }

    /** A figure of a mark that may be measured from either end; empty for any other. */
    Optional<TakenMark> takenFromEitherEnd(FeatureId feature, Length figure, Optional<MarkDatum> said) {
        Layout layout = question().layout();
        BendKind kind = layout.job().bend().kind();
        Length near = (Length) attempt.tolerances().toCore().of(kind, feature).widest();
        return layout.marks().stream()
                .filter(mark -> FeatureId.mark(mark.number()).equals(feature)
                        && mark.back().isPresent())
                .findFirst()
                .map(mark -> TakenMark.of(mark, figure, said, mark.position(), near));
    }

    /** The points that were found faulty. */
    public Set<InspectionPoint> faulty() {
        return ledger.evidence().faulty();
    }

    /** How often it was bent again: while it was bent, and between two measurings. */
    public int rebent() {
        return ledger.rework().size() + stages() - ReadingRow.FIRST_STAGE;
    }

    /** Whether it is verified and locked. */
    public boolean isSealed() {
        return ledger.isSealed();
    }

    /** What the trainee last said to be doing. */
    public Optional<StepRow> lastStep() {
        return ledger.lastStep();
    }

    /** The trainee's own figures for the marks, once they are in. */
    public Optional<List<BenchNotes.OwnFigureView>> ownFigures() {
        return BenchNotes.ownFigures(this);
    }

    /** What the trainee would cut the conduit to, once that is in. */
    public Optional<BenchNotes.OwnCutView> ownCut() {
        return BenchNotes.ownCut(this);
    }

    /** What is looked over on this piece, and whether the trainee found it good; of what was not looked at, nothing. */
    public Map<InspectionPoint, Optional<Boolean>> ownLook() {
        Map<InspectionPoint, Boolean> found = ledger.ownLook();
        Map<InspectionPoint, Optional<Boolean>> look = new LinkedHashMap<>();
        BenchNotes.lookedOver(this).forEach(point -> look.put(point, Optional.ofNullable(found.get(point))));
        return look;
    }

    /** What became of the conduit that was spoilt for it; nothing where nobody wrote that down. */
    public Length wasted() {
        return ledger.newest("waste")
                .map(row -> ((Fact.Waste) row.said()).lengthIn())
                .map(Length::ofInches)
                .orElse(Length.ZERO);
    }

    /** How long it took in minutes, where that is known. */
    public Optional<Integer> minutes() {
        return Optional.ofNullable(BenchNotes.minutes(this));
    }

    /** When it was measured: its first reading, so that a later correction does not move it. */
    public Optional<Instant> measuredAt() {
        return ledger.readings().stream().map(ReadingRow::takenAt).min(Comparator.naturalOrder());
    }

    /** When something was last done about it, by whoever it was; never before it was begun. */
    public Instant workedAt() {
        return Stream.of(
                        ledger.readings().stream().map(ReadingRow::receivedAt),
                        ledger.facts().stream().map(FactRow::receivedAt),
                        ledger.steps().stream().map(StepRow::setAt))
                .flatMap(Function.identity())
                .reduce(attempt.startedAt(), (one, other) -> one.isAfter(other) ? one : other);
    }

    /** Whether something was read on it since this step. */
    public boolean isReadSince(StepRow step) {
        return ledger.readings().stream().anyMatch(row -> row.isAfter(Optional.ofNullable(step.entryNo())));
    }

    /** When something was last read on it. */
    public Optional<Instant> lastReadAt() {
        return ledger.readings().stream().map(ReadingRow::receivedAt).max(Comparator.naturalOrder());
    }
}
