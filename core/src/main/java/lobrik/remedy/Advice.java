package lobrik.remedy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.measure.Quantity;
import lobrik.shape.Piece;
import lobrik.verdict.AsMeasured;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judged;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Yardstick;

/**
 * What to do with a piece. Every step was tried in the simulation of the piece as it was measured; what it comes to is what
 * was read, changed by what the simulation changes.
 *
 * @param steps in the order in which they are done; empty where the piece is best left alone
 * @param outcome what following it leads to
 * @param predicted the finished dimensions that were read, now and afterwards
 * @param reason why it is scrap; empty unless it is
 */
public record Advice(Outcome outcome, List<RemedyStep> steps, List<Predicted> predicted, Optional<Scrap> reason) {

    /** What a piece comes to. */
    public enum Outcome {
        /** Everything is within its tolerance already. */
        LEAVE,
        /** Following the steps brings everything into tolerance. */
        REWORK,
        /** Something that fails nobody stays outside, whatever is done. */
        ACCEPT,
        /** It cannot be saved. */
        SCRAP
    }

    /** Why a piece is scrap. */
    public enum Scrap {
        /** A kink is not bent out again. */
        KINKED,
        /** Scorched plastic is brittle. */
        SCORCHED,
        /** Warm plastic that was pressed flat does not get round again. */
        FLATTENED,
        /** It was bent again as often as the school allows. */
        REBENT_TOO_OFTEN,
        /** A dimension that has to be right cannot be reached by bending, turning or cutting. */
        OUT_OF_REACH
    }

    /** A dimension as it is and as it will be. */
    public record Predicted(FeatureId feature, Quantity target, Judged now, Judged then, Quantity after) {}

    /**
     * A piece that wants advice.
     *
     * @param yardstick what its readings are judged against
     * @param faulty what was found when it was looked over
     * @param rebent how often it was bent again already
     */
    public record Piecework(
            Layout layout,
            Map<FeatureId, Quantity> readings,
            Yardstick yardstick,
            Tolerances tolerances,
            Set<InspectionPoint> faulty,
            int rebent) {

        public Piecework {
            readings = FeatureId.inOrder(readings);
            faulty = Set.copyOf(faulty);
        }
    }

    /** Finds what to do; empty where too little was read, or where no conduit can look like what was read. */
    public static Optional<Advice> of(Piecework work) {
        Optional<Piece> made = AsMeasured.of(work.layout(), work.readings());
        return made.map(piece -> found(work, new Workbench(work, piece)));
    }

    private static Advice found(Piecework work, Workbench bench) {
        Attempted asIs = bench.asIs();
        if (work.faulty().contains(InspectionPoint.KINK)) {
            return scrap(asIs, Scrap.KINKED);
        }
        if (work.faulty().contains(InspectionPoint.SCORCH)) {
            return scrap(asIs, Scrap.SCORCHED);
        }
        if (asIs.outside() == 0) {
            return new Advice(Outcome.LEAVE, List.of(), asIs.predicted(), Optional.empty());
        }
        Attempted best = bench.best();
        boolean bends = best.steps().stream().anyMatch(RemedyStep.Rebend.class::isInstance);
        if (best.criticalOutside() > 0) {
            return scrap(best, isFlat(best) ? Scrap.FLATTENED : Scrap.OUT_OF_REACH);
        }
        if (bends && work.rebent() >= work.tolerances().rebending().mostTimes()) {
            return scrap(asIs, Scrap.REBENT_TOO_OFTEN);
        }
        Outcome outcome = best.outside() == 0 ? Outcome.REWORK : Outcome.ACCEPT;
        return new Advice(outcome, best.steps(), best.predicted(), Optional.empty());
    }

    private static boolean isFlat(Attempted best) {
        return best.predicted().stream()
                .anyMatch(each -> each.feature().kind() == FeatureKind.FLATTENING
                        && each.then().band() == Judged.Band.OUTSIDE);
    }

    private static Advice scrap(Attempted best, Scrap reason) {
        return new Advice(Outcome.SCRAP, List.of(), best.predicted(), Optional.of(reason));
    }

    /** The dimensions that stay outside their tolerance. */
    public List<FeatureId> outside() {
        List<FeatureId> outside = new ArrayList<>();
        for (Predicted each : predicted) {
            if (each.then().band() == Judged.Band.OUTSIDE) {
                outside.add(each.feature());
            }
        }
        return List.copyOf(outside);
    }
}
