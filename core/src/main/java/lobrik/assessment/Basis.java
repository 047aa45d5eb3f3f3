package lobrik.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
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
 */
public record Basis(List<Held> features, List<HeldMark> marks, Optional<HeldLength> cut, boolean slipsCountOnce) {

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
        List<FeatureId> asked =
                list.of(kind, layout.features().stream().map(PlannedFeature::id).toList());
        List<Held> features = layout.features().stream()
                .filter(plan -> asked.contains(plan.id()) && yardstick.judges(plan.id()))
                .map(plan -> held(plan, target.apply(plan), kind, tolerances))
                .toList();
        boolean slipsCountOnce = yardstick == Yardstick.RIGHT_PIECE;
        List<HeldMark> marks = new ArrayList<>();
        for (PlannedFeature plan : layout.features()) {
            for (Mark mark : layout.marks()) {
                if (FeatureId.mark(mark.number()).equals(plan.id()) && yardstick.judges(plan.id())) {
                    Held held = held(plan, target.apply(plan), kind, tolerances);
                    Length place = (Length) held.target();
                    marks.add(new HeldMark(
                            mark.number(),
                            place,
                            slipsCountOnce ? place : mark.position(),
                            held.tolerance(),
                            held.weight(),
                            held.critical()));
                }
            }
        }
        return new Basis(
                features,
                List.copyOf(marks),
                layout.cutLength().map(cut -> new HeldLength(cut, tolerances.of(kind, FeatureId.OVERALL))),
                slipsCountOnce);
    }

    private static Held held(PlannedFeature plan, Quantity target, BendKind kind, Tolerances tolerances) {
        Judging judging = tolerances.judging();
        return new Held(
                plan.id(),
                plan.asked(),
                target,
                tolerances.of(kind, plan.id()),
                judging.weight(plan.id()),
                judging.isCritical(plan.id()));
    }

    /** The same figures held to other tolerances: to see what a piece would have been under them. */
    public Basis under(Tolerances other, BendKind kind) {
        Judging judging = other.judging();
        return new Basis(
                features.stream()
                        .map(held -> new Held(
                                held.id(),
                                held.asked(),
                                held.target(),
                                other.of(kind, held.id()),
                                judging.weight(held.id()),
                                judging.isCritical(held.id())))
                        .toList(),
                marks.stream()
                        .map(mark -> {
                            FeatureId id = FeatureId.mark(mark.number());
                            return new HeldMark(
                                    mark.number(),
                                    mark.place(),
                                    mark.figure(),
                                    other.of(kind, id),
                                    judging.weight(id),
                                    judging.isCritical(id));
                        })
                        .toList(),
                cut.map(length -> new HeldLength(length.right(), other.of(kind, FeatureId.OVERALL))),
                slipsCountOnce);
    }

    /** Whether a feature is read on this piece, and judged. */
    public boolean holds(FeatureId feature) {
        return features.stream().anyMatch(held -> held.id().equals(feature));
    }

    Optional<HeldMark> mark(int number) {
        return marks.stream().filter(mark -> mark.number() == number).findFirst();
    }
}
