package lobrik.server.progress;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lobrik.assessment.Assessment.Assessed;
import lobrik.bend.Run;
import lobrik.cause.Cause;
import lobrik.cause.CauseId;
import lobrik.feature.FeatureId;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.progress.Family;
import lobrik.progress.Outcome;
import lobrik.progress.RunParts;
import lobrik.progress.Slip;
import lobrik.progress.Strictness;
import lobrik.server.attempt.Measured;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.Score;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/**
 * What a finished piece came to; worked out anew whenever something is written down of it. Points are of the piece as it is, once it was
 * bent again and measured anew; how far its features were off, and why, is as it was first bent: that is what whoever bent it does.
 */
@Entity
@Table(name = "outcome")
class OutcomeRow {

    @Id
    private UUID attemptId;

    private UUID centreId;
    private UUID cohortId;
    private UUID traineeId;
    private String family;
    private Instant measuredAt;
    private String title;
    private String benderLabel;
    private @Nullable UUID benderRevisionId;
    private String conduitLabel;
    private String preset;
    private long lengthTolerancePm;
    private long angleToleranceNdeg;
    private long twistToleranceNdeg;
    private double passMark;
    private double points;
    private boolean passed;
    private @Nullable Double arithmetic;
    private int rebent;
    private @Nullable String cause;
    private @Nullable Integer causeBend;
    private long conduitPm;
    private long wastedPm;
    private @Nullable Integer minutes;

    @JdbcTypeCode(SqlTypes.ARRAY)
    @Column(columnDefinition = "text[]")
    private String[] features;

    /** Beside each feature of a run, what it stands for of a bend that is learnt by itself; empty text for what does not. */
    @JdbcTypeCode(SqlTypes.ARRAY)
    @Column(columnDefinition = "text[]")
    private String @Nullable [] standsFor;

    private long[] targets;
    private long[] deviations;
    private long[] planned;
    private long[] tolerances;

    private @Nullable Long anglesOff;
    private @Nullable Long legsOff;
    private @Nullable Long risesOff;
    private @Nullable Long placesOff;

    @SuppressWarnings("NullAway.Init")
    protected OutcomeRow() {}

    /**
     * The row of a finished piece.
     *
     * @param named the cause that the verdict names
     */
    OutcomeRow(Measured measured, UUID cohortId, Score score, Optional<Cause> named) {
        var attempt = measured.attempt();
        var exercise = measured.exercise();
        var layout = measured.question().layout();
        List<Assessed> read = measured.asFirstBent().features().stream()
                .filter(feature -> feature.judged().isPresent())
                .toList();
        Strictness limits = Strictness.of(
                attempt.tolerances().toCore(),
                layout.job().bend().kind(),
                read.stream().map(Assessed::id).toList());
        this.attemptId = attempt.id();
        this.centreId = exercise.centreId();
        this.cohortId = cohortId;
        this.traineeId = attempt.traineeId();
        this.family = new Family(
                        layout.job().bend().kind(),
                        layout.job().tooling().tool().kind())
                .id();
        this.measuredAt = measured.measuredAt().orElse(attempt.startedAt());
        this.title = exercise.title();
        this.benderLabel = exercise.benderLabel();
        this.benderRevisionId = attempt.benderRevisionId();
        this.conduitLabel = exercise.conduitLabel();
        this.preset = attempt.tolerances().preset();
        this.lengthTolerancePm = limits.length().count();
        this.angleToleranceNdeg = limits.angle().count();
        this.twistToleranceNdeg = limits.dogLeg().count();
        this.passMark = attempt.tolerances().passMark();
        this.points = score.points();
        this.passed = score.passed();
        this.arithmetic = measured.settled().arithmetic().map(Score::points).orElse(null);
        this.rebent = measured.rebent();
        this.cause = named.map(each -> each.id().id()).orElse(null);
        this.causeBend = named.filter(each -> each.bend().isPresent())
                .map(each -> each.bend().getAsInt())
                .orElse(null);
        this.conduitPm =
                layout.cutLength().orElseGet(() -> layout.predicted().length()).count();
        this.wastedPm = measured.wasted().count();
        this.minutes = measured.minutes().orElse(null);
        this.features = read.stream().map(feature -> feature.id().id()).toArray(String[]::new);
        this.standsFor =
                layout.job().bend().run().map(run -> standsFor(run, read)).orElse(null);
        this.targets =
                read.stream().mapToLong(feature -> feature.target().count()).toArray();
        this.deviations = read.stream()
                .mapToLong(feature -> feature.judged().orElseThrow().deviation().count())
                .toArray();
        this.planned = read.stream()
                .mapToLong(feature -> planned(layout.features(), feature))
                .toArray();
        this.tolerances = read.stream()
                .mapToLong(feature -> feature.tolerance()
                        .on(feature.judged().orElseThrow().deviation())
                        .count())
                .toArray();
        Outcome outcome = toCore(ZoneId.systemDefault());
        this.anglesOff = off(DeviationKind.ANGLES, outcome);
        this.legsOff = off(DeviationKind.LEGS, outcome);
        this.risesOff = off(DeviationKind.RISES, outcome);
        this.placesOff = off(DeviationKind.PLACES, outcome);
    }

    private static String[] standsFor(Run run, List<Assessed> read) {
        Map<FeatureId, RunParts.ShownBy> shown = RunParts.of(run);
        return read.stream()
                .map(feature -> Optional.ofNullable(shown.get(feature.id()))
                        .map(RunParts.ShownBy::id)
                        .orElse(""))
                .toArray(String[]::new);
    }

    private List<Outcome.Part> parts(List<Outcome.Missed> missed) {
        if (standsFor == null) {
            return List.of();
        }
        Map<FeatureId, RunParts.ShownBy> shown = new TreeMap<>();
        for (int i = 0; i < features.length; i++) {
            FeatureId feature = FeatureId.withId(features[i]).orElseThrow();
            RunParts.ShownBy.withId(standsFor[i]).ifPresent(as -> shown.put(feature, as));
        }
        return RunParts.parts(shown, family().tool(), missed);
    }

    /** What the piece is off that is made just as planned. */
    private static long planned(List<PlannedFeature> features, Assessed judged) {
        return features.stream()
                .filter(plan -> plan.id().equals(judged.id()))
                .findFirst()
                .map(plan -> plan.predicted().minus(judged.target()).count())
                .orElse(0L);
    }

    private static @Nullable Long off(DeviationKind kind, Outcome outcome) {
        return outcome.off(kind).map(Quantity::count).orElse(null);
    }

    /** As the core knows it. */
    Outcome toCore(ZoneId zone) {
        List<Outcome.Missed> missed = new ArrayList<>();
        for (int i = 0; i < features.length; i++) {
            FeatureId feature = FeatureId.withId(features[i]).orElseThrow();
            missed.add(new Outcome.Missed(
                    feature,
                    feature.measured().ofCount(deviations[i]),
                    feature.measured().ofCount(planned[i]),
                    feature.measured().ofCount(tolerances[i])));
        }
        return new Outcome(
                attemptId.toString(),
                measuredAt.atZone(zone).toLocalDate().toEpochDay(),
                family(),
                bender(),
                points,
                passed,
                new Strictness(
                        new Length(lengthTolerancePm), new Angle(angleToleranceNdeg), new Angle(twistToleranceNdeg)),
                rebent,
                slip(),
                missed,
                parts(missed));
    }

    Optional<Slip> slip() {
        return Optional.ofNullable(cause)
                .flatMap(CauseId::withId)
                .map(id -> new Slip(id, causeBend == null ? OptionalInt.empty() : OptionalInt.of(causeBend)));
    }

    UUID attemptId() {
        return attemptId;
    }

    UUID traineeId() {
        return traineeId;
    }

    Family family() {
        return Family.withId(family).orElseThrow();
    }

    Instant measuredAt() {
        return measuredAt;
    }

    String title() {
        return title;
    }

    /** What it was bent on, as the core tells benders apart: nothing where it is of another school. */
    String bender() {
        return benderRevisionId == null ? "" : benderRevisionId.toString();
    }

    String benderLabel() {
        return benderLabel;
    }

    String conduitLabel() {
        return conduitLabel;
    }

    String preset() {
        return preset;
    }

    double passMark() {
        return passMark;
    }

    double points() {
        return points;
    }

    boolean passed() {
        return passed;
    }

    int rebent() {
        return rebent;
    }

    @Nullable
    Integer minutes() {
        return minutes;
    }

    /** The deviation of a feature, where it was read. */
    Optional<Outcome.Missed> missed(FeatureId feature) {
        return IntStream.range(0, features.length)
                .filter(i -> features[i].equals(feature.id()))
                .mapToObj(i -> new Outcome.Missed(
                        feature,
                        feature.measured().ofCount(deviations[i]),
                        feature.measured().ofCount(planned[i]),
                        feature.measured().ofCount(tolerances[i])))
                .findFirst();
    }

    /** What was read, in the order in which it is read. */
    List<FeatureId> features() {
        return Stream.of(features).map(id -> FeatureId.withId(id).orElseThrow()).toList();
    }
}
