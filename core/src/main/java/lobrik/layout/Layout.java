package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.derivation.Derivation;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.Tooling;

/**
 * A bend laid out on a straight conduit.
 *
 * @param marks rounded to the tape's division, from the datum end
 * @param shrink one-sided; zero for bends that lose none
 * @param cutLength rounded to the tape's division; empty where the exercise leaves the far end open
 * @param features with what the exercise asks for, and what the right piece has
 * @param predicted the simulation of the rounded marks; with an open far end the conduit is as long as its drawing needs
 * @param derivation how marks and cut length are worked out, before they are rounded
 */
public record Layout(
        Job job,
        List<Mark> marks,
        Length shrink,
        Optional<Length> cutLength,
        List<PlannedFeature> features,
        Piece predicted,
        Derivation derivation) {

    /**
     * Lays a bend out.
     *
     * @throws Refused as impossible where no marks can give what is asked; its faults name inputs of the bend
     */
    public static Layout of(Job job) {
        try {
            return rounded(job, plan(job));
        } catch (Refused refused) {
            throw refused.with(fault -> InputsConcerned.name(job.bend(), fault));
        }
    }

    static Plan plan(Job job) {
        return switch (job.bend()) {
            case Stub90 stub -> NinetyPlans.of(stub, job.tooling());
            case BackToBack90 u -> NinetyPlans.of(u, job.tooling());
            case Offset offset -> OffsetPlans.of(offset, job);
            case BoxOffset box -> OffsetPlans.of(box.asOffset(), job);
            case RollingOffset rolling -> OffsetPlans.of(rolling, job);
            case Kick kick -> KickPlans.of(kick, job);
            case Saddle3 saddle -> SaddlePlans.of(saddle, job);
            case Saddle4 saddle -> SaddlePlans.of(saddle, job);
            case OverBent90 overBent -> OverBentPlans.of(overBent, job.tooling());
            case Run run -> RunPlans.of(run, job);
        };
    }

    private static Layout rounded(Job job, Plan plan) {
        List<Mark> marks = new ArrayList<>(plan.marks().size());
        List<BendMade> bends = new ArrayList<>(plan.marks().size());
        for (Mark mark : plan.marks()) {
            Mark rounded = mark.rounded(job.school().division());
            marks.add(rounded);
            bends.add(rounded.asMarked());
        }
        Optional<Length> cutLength =
                plan.cutLength().map(length -> length.nearest(job.school().division()));
        Length length = cutLength.orElseGet(() -> drawnLength(job.tooling(), marks));
        requireBendable(job, length);
        Piece predicted = Piece.simulate(job.tooling(), length, bends);
        return new Layout(
                job,
                List.copyOf(marks),
                plan.shrink(),
                cutLength,
                planned(job, plan, predicted),
                predicted,
                plan.derivation());
    }

    private static void requireBendable(Job job, Length length) {
        if (!length.isPositive() || length.isMoreThan(Piece.LONGEST_PIECE)) {
            throw Refused.impossible(new Fault(
                    FaultCode.OUT_OF_RANGE,
                    InputsConcerned.size(job.bend()),
                    "the piece would take " + length.inWords() + " of conduit; it must be more than 0 and at most "
                            + Piece.LONGEST_PIECE.inWords(),
                    new Figure("length", length),
                    new Figure("longest", Piece.LONGEST_PIECE)));
        }
    }

    private static List<PlannedFeature> planned(Job job, Plan plan, Piece predicted) {
        List<PlannedFeature> planned = new ArrayList<>(16);
        for (Feature feature : Features.of(job.bend(), predicted)) {
            Quantity target = plan.targets().get(feature.id());
            // What the exercise leaves open, such as the far end, is not asked for.
            if (target != null) {
                planned.add(PlannedFeature.of(target, feature, job.school().division()));
            }
        }
        return List.copyOf(planned);
    }

    /** With an open far end: enough conduit past the last bend for the tool. */
    private static Length drawnLength(Tooling tooling, List<Mark> marks) {
        Length furthest = Length.ZERO;
        for (Mark mark : marks) {
            Length arcEnd = tooling.arcStart(mark.position(), mark.placing(), mark.angle())
                    .plus(tooling.arcLength(mark.angle()));
            furthest = furthest.max(arcEnd).max(mark.position());
        }
        return furthest.plus(tooling.tool().roomBeyond());
    }

    /**
     * The piece that the exercise asks for: bent exactly, with nothing rounded. Its points correspond to those of the
     * predicted piece.
     *
     * @return empty where no exact layout exists
     */
    public Optional<Piece> wanted() {
        Bend asked = switch (job.bend()) {
            case Saddle4 saddle -> saddle.placedBy(Placement.ARROW);
            case Stub90 _,
                    BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    OverBent90 _,
                    Run _ -> job.bend();
        };
        try {
            Plan plan = plan(job.with(asked).by(Method.EXACT));
            List<BendMade> bends = plan.marks().stream().map(Mark::asMarked).toList();
            return Optional.of(Piece.simulate(job.tooling(), plan.cutLength().orElse(predicted.length()), bends));
        } catch (Refused onlyByTheChart) {
            return Optional.empty();
        }
    }

    /** Where the method puts the marks, and what it cuts the conduit to, before they are rounded to the tape's division. */
    public Derivation.Outcome worked() {
        return derivation.asItStands();
    }

    /** How the piece is bent, step by step. */
    public List<BendingStep> steps() {
        return BendingStep.of(marks, job.tooling());
    }

    /** Sum of all bends: what the pull of wire grows with. */
    public Angle totalBend() {
        Angle total = Angle.ZERO;
        for (Mark mark : marks) {
            total = total.plus(mark.angle());
        }
        return total;
    }

    /**
     * How many times as hard wire is to pull as through a straight: {@code e^(µφ)}, φ all bends in radians. Formula {@code capstan},
     * handbook 4, choosing the angle.
     *
     * @param friction {@code µ} of wire in conduit
     */
    public double pullFactor(double friction) {
        return Math.exp(friction * totalBend().radians());
    }
}
