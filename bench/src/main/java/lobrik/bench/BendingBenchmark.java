package lobrik.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.bend.Bend;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.bending.BendingOrder;
import lobrik.bending.Workplace;
import lobrik.cause.Case;
import lobrik.cause.Diagnosis;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.layout.Review;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.remedy.Advice;
import lobrik.shape.BendMade;
import lobrik.shape.Clearance;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
import lobrik.shop.Conduit;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import lobrik.verdict.AsMeasured;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Yardstick;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One bend, four bends and a run of eight through layout, simulation, features, clearance, review and the fit of what was measured. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class BendingBenchmark {

    @Param({"stub", "fourPointSaddle", "overBent", "run"})
    public String bend = "";

    private Job job;
    private Layout layout;
    private List<BendMade> bends;
    private Obstacle obstacle;
    private Map<FeatureId, Quantity> readings;
    private Map<FeatureId, Quantity> faulty;

    @Setup
    public void lay() {
        Tooling tooling =
                new Tooling(new Conduit(Length.ofInches(0.922)), Shoe.of(Length.ofInches(6), Length.ofInches(5.125)));
        Bend asked = switch (bend) {
            case "stub" -> stub();
            case "overBent" -> overBent();
            case "run" -> run();
            default -> saddle();
        };
        job = new Job(asked, tooling, School.of(Method.EXACT, TapeDivision.SIXTEENTH));
        layout = Layout.of(job);
        bends = layout.marks().stream().map(Mark::asMarked).toList();
        obstacle = new Obstacle.Rectangular(Length.ofInches(38), Length.ofInches(11.5), Length.ofInches(2.5));
        readings = layout.features().stream().collect(Collectors.toMap(PlannedFeature::id, this::misread));
        faulty = faulty();
    }

    private static Bend stub() {
        return new Stub90(Length.ofInches(17.625), Optional.of(Length.ofInches(22)), Placement.ARROW);
    }

    private static Bend overBent() {
        return new OverBent90(
                Length.ofInches(26), Length.ofInches(3.5), Angle.ofDegrees(22.5), Optional.of(Length.ofInches(30)));
    }

    /** Five legs round four corners, from box to box. */
    private static Bend run() {
        double[] lengths = {43.125, 25.5, 29.9375, 31.5, 38};
        Towards[] towards = {Towards.RIGHT, Towards.UP, Towards.OUT, Towards.RIGHT, Towards.DOWN};
        List<Leg> legs = new ArrayList<>();
        for (int i = 0; i < lengths.length; i++) {
            legs.add(new Leg(Length.ofInches(lengths[i]), towards[i], Length.ofInches(0.25)));
        }
        return new Run(
                legs,
                Length.ofInches(0.5),
                Length.ofInches(0.625),
                Optional.of(
                        new BoxEnd(Length.ofInches(0.75), Angle.ofDegrees(10), Length.ofInches(3.625), Towards.DOWN)),
                Optional.of(new BoxEnd(Length.ofInches(0.5), Angle.ofDegrees(10), Length.ofInches(3), Towards.IN)),
                List.of(),
                List.of());
    }

    private static Bend saddle() {
        return new Saddle4(
                Length.ofInches(2.5),
                Length.ofInches(0.75),
                Angle.ofDegrees(30),
                Length.ofInches(11.5),
                Length.ofInches(0.5),
                Saddle4.MeasuredTo.NEAR_EDGE,
                Length.ofInches(38),
                Placement.ARROW,
                Optional.of(Length.ofInches(96)));
    }

    /** What is read of a piece whose first and last bends are 3° over. */
    private Map<FeatureId, Quantity> faulty() {
        List<BendMade> made = new ArrayList<>(bends);
        for (int i : new int[] {0, bends.size() - 1}) {
            BendMade bend = bends.get(i);
            Angle over = bend.angle().plus(Angle.ofDegrees(3));
            made.set(i, new BendMade(bend.position(), bend.placing(), over, bend.roll()));
        }
        Piece piece = Piece.simulate(job.tooling(), layout.predicted().length(), made);
        return Features.of(job.bend(), piece).stream().collect(Collectors.toMap(Feature::id, Feature::value));
    }

    /** A little off in every reading, as pieces are. */
    private Quantity misread(PlannedFeature feature) {
        return switch (feature.predicted()) {
            case Length length -> length.plus(Length.ofFraction(0, 1, 16));
            case Angle angle -> angle.plus(Angle.ofDegrees(0.5));
            case Percentage part -> part;
        };
    }

    /** An order in which nothing stands in the way of floor, lever and grip. */
    @Benchmark
    public BendingOrder.Found order() {
        return BendingOrder.of(
                Workplace.USUAL, job.tooling(), layout.predicted().length(), bends);
    }

    /** Marks, rounded; their simulation; every feature asked for and predicted. */
    @Benchmark
    public Layout layoutSimulationAndFeatures() {
        return Layout.of(job);
    }

    @Benchmark
    public List<Feature> simulationAndFeatures() {
        Function<List<BendMade>, Piece> bent =
                made -> Piece.simulate(job.tooling(), layout.predicted().length(), made);
        return Features.of(job.bend(), bent.apply(bends));
    }

    /** The least gap to a duct. */
    @Benchmark
    public Clearance clearance() {
        return Clearance.of(layout.predicted(), obstacle);
    }

    /** Layout by both methods with all checks. */
    @Benchmark
    public Review review() {
        return Review.of(job, Optional.empty());
    }

    /** Every hypothesis, alone and in pairs, against a full set of readings of a piece with two bends over-bent. */
    @Benchmark
    public Diagnosis diagnosis() {
        return Diagnosis.of(Case.of(layout, faulty));
    }

    /** What to do with that piece: every choice of bends, ends and plane, solved and simulated. */
    @Benchmark
    public Optional<Advice> advice() {
        return Advice.of(new Advice.Piecework(
                layout, faulty, Yardstick.RIGHT_PIECE, TolerancePreset.SITE.tolerances(), Set.of(), 0));
    }

    /** The piece that a full set of readings describes. */
    @Benchmark
    public Optional<Piece> asMeasured() {
        return AsMeasured.of(layout, readings);
    }
}
