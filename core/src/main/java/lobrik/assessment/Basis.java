package lobrik.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.reading.ReadingList;
import lobrik.verdict.Judging;
import lobrik.verdict.Tolerance;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Yardstick;

/**
 * What a piece is judged by, figure by figure. It is worked out once, when its measuring begins, and kept with the piece: no later change
 * of a rule, of a chart or of a bender moves what was measured, or keeps it from being judged.
 *
 * @param features all that is read on the piece and judged, in the order in which hands go
 * @param marks what the trainee's own figures for the marks are held to; none where the method is the trainee's own, as nobody knows what
 *     the figures should be
 * @param cut what the trainee's own cut length is held to; empty where the far end stays open
 * @param slipsCountOnce whether a mark may follow an earlier slip, or the trainee's own figure
 * @param followsAlong whether what lies further along a run may follow an earlier slip; pieces that were begun before that was the rule
 *     are held to what they were held to
 */
public record Basis(
        List<Held> features,
        List<HeldMark> marks,
        Optional<HeldLength> cut,
        boolean slipsCountOnce,
        boolean followsAlong) {

    /**
     * A feature with what a reading of it is held to.
     *
     * @param asked by the exercise
     * @param target what it is judged against
     * @param weight in the score
     * @param critical whether the piece fails when it is outside
     */
    public record Held(
            FeatureId id, Quantity asked, Quantity target, Tolerance tolerance, double weight, boolean critical) {}

    /**
     * A mark with what is held to it.
     *
     * @param place where its ring belongs, from the end of the straight conduit
     * @param figure what the trainee should find for it
     */
    public record HeldMark(
            int number, Length place, Length figure, Tolerance tolerance, double weight, boolean critical) {}

    /** A length that costs no points. */
    public record HeldLength(Length right, Tolerance tolerance) {}

    /**
     * What a piece that is begun now is judged by.
     *
     * @param target what a reading of a feature is held to
     */
    public static Basis of(
            Layout layout,
            Yardstick yardstick,
            Function<PlannedFeature, Quantity> target,
            Tolerances tolerances,
            ReadingList list) {
        BendKind kind = layout.job().bend().kind();
        List<PlannedFeature> judged = layout.features().stream()
                .filter(plan -> yardstick.judges(plan.id()))
                .toList();
        List<FeatureId> read =
                list.of(kind, judged.stream().map(PlannedFeature::id).toList());
        boolean slipsCountOnce = yardstick == Yardstick.RIGHT_PIECE;
        List<HeldMark> marks = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            FeatureId id = FeatureId.mark(mark.number());
            judged.stream().filter(plan -> plan.id().equals(id)).findFirst().ifPresent(plan -> {
                Length place = (Length) target.apply(plan);
                marks.add(mark(mark.number(), place, slipsCountOnce ? place : mark.position(), kind, tolerances));
            });
        }
        return new Basis(
                judged.stream()
                        .filter(plan -> read.contains(plan.id()))
                        .map(plan -> held(plan.id(), plan.asked(), target.apply(plan), kind, tolerances))
                        .toList(),
                List.copyOf(marks),
                layout.cutLength().map(cut -> length(cut, kind, tolerances)),
                slipsCountOnce,
                yardstick != Yardstick.AS_ASKED && layout.job().bend().run().isPresent());
    }

    /**
     * What a piece is judged by of which only that is known what its readings were held to: its exercise is laid out no more.
     *
     * @param targets by feature
     */
    public static Basis of(
            Map<FeatureId, Quantity> targets,
            BendKind kind,
            Yardstick yardstick,
            Tolerances tolerances,
            ReadingList list) {
        List<FeatureId> judged = FeatureId.inOrder(targets).keySet().stream()
                .filter(yardstick::judges)
                .toList();
        List<HeldMark> marks = new ArrayList<>();
        for (FeatureId id : judged) {
            if (id.kind() == FeatureKind.MARK && targets.get(id) instanceof Length place) {
                marks.add(mark(id.number(), place, place, kind, tolerances));
            }
        }
        return new Basis(
                list.of(kind, judged).stream()
                        .map(id -> {
                            Quantity target = targets.get(id);
                            return held(id, target, target, kind, tolerances);
                        })
                        .toList(),
                List.copyOf(marks),
                Optional.empty(),
                yardstick == Yardstick.RIGHT_PIECE,
                false);
    }

    private static Held held(FeatureId id, Quantity asked, Quantity target, BendKind kind, Tolerances tolerances) {
        Judging judging = tolerances.judging();
        return new Held(id, asked, target, tolerances.of(kind, id), judging.weight(id), judging.isCritical(id));
    }

    private static HeldMark mark(int number, Length place, Length figure, BendKind kind, Tolerances tolerances) {
        FeatureId id = FeatureId.mark(number);
        Judging judging = tolerances.judging();
        return new HeldMark(number, place, figure, tolerances.of(kind, id), judging.weight(id), judging.isCritical(id));
    }

    private static HeldLength length(Length right, BendKind kind, Tolerances tolerances) {
        return new HeldLength(right, tolerances.of(kind, FeatureId.OVERALL));
    }

    /** The same figures held to other tolerances: to see what a piece would have been under them. */
    public Basis under(Tolerances other, BendKind kind) {
        return new Basis(
                features.stream()
                        .map(held -> held(held.id(), held.asked(), held.target(), kind, other))
                        .toList(),
                marks.stream()
                        .map(mark -> mark(mark.number(), mark.place(), mark.figure(), kind, other))
                        .toList(),
                cut.map(held -> length(held.right(), kind, other)),
                slipsCountOnce,
                followsAlong);
    }

    /** Whether a feature is read on this piece, and judged. */
    public boolean holds(FeatureId feature) {
        return features.stream().anyMatch(held -> held.id().equals(feature));
    }

    Optional<HeldMark> mark(int number) {
        return marks.stream().filter(mark -> mark.number() == number).findFirst();
    }
}
