package lobrik.server.giving;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.exercise.ConduitPlan;
import lobrik.exercise.Hardness;
import lobrik.fault.Refused;
import lobrik.layout.Layout;
import lobrik.layout.RunLimits;
import lobrik.measure.Length;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.shed.Rack;
import lobrik.server.stock.Stockroom;
import lobrik.verdict.Foresight;
import lobrik.verdict.MethodShare;
import lobrik.verdict.Tolerances;
import lobrik.wire.BenderInput;
import lobrik.wire.DealtVariant;
import lobrik.wire.LayoutRequest;
import lobrik.wire.VariationInput;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Deals an exercise to trainees: the same to all, or a variant to each, in the order of their benches. */
@Component
class Dealing {

    /** What one trainee gets. */
    record Dealt(Trainee trainee, LayoutRequest definition, Layout layout, double hardness) {

        /** What is cut for it: as asked for, or as long as it takes to bend it. */
        Length conduit() {
            return layout.cutLength().orElseGet(() -> layout.predicted().length());
        }
    }

    private final Calculations calculations;

    Dealing(Calculations calculations) {
        this.calculations = calculations;
    }

    /**
     * Deals.
     *
     * @param variation how variants differ; the same for all if null
     * @throws Refused if it cannot be laid out or varied
     */
    List<Dealt> deal(LayoutRequest definition, @Nullable VariationInput variation, List<Trainee> trainees) {
        if (variation == null) {
            Layout layout = calculations.question(definition).layout();
            double hardness = Hardness.of(layout).points();
            return trainees.stream()
                    .map(trainee -> new Dealt(trainee, definition, layout, hardness))
                    .toList();
        }
        List<DealtVariant> variants = DealtVariant.deal(definition, variation, trainees.size());
        List<Dealt> dealt = new ArrayList<>();
        for (int i = 0; i < trainees.size(); i++) {
            DealtVariant variant = variants.get(i);
            dealt.add(
                    new Dealt(trainees.get(i), definition.with(variant.bend()), variant.layout(), variant.hardness()));
        }
        return List.copyOf(dealt);
    }

    /**
     * The same on a bender that somebody has in place of the one that the exercise is for: laid out for its figures. Nothing where
     * that is the same one, bends other conduit, or cannot bend it.
     */
    Optional<Dealt> on(Dealt dealt, Exercise exercise, Rack.Racked bender) {
        boolean other = !bender.bender().label().equals(exercise.benderLabel());
        if (!other || !bender.conduit().label().equals(exercise.conduitLabel())) {
            return Optional.empty();
        }
        try {
            LayoutRequest definition =
                    dealt.definition().on(BenderInput.of(bender.revision().tool()));
            Layout layout = calculations.question(definition).layout();
            return Optional.of(new Dealt(dealt.trainee(), definition, layout, dealt.hardness()));
        } catch (Refused cannot) {
            return Optional.empty();
        }
    }

    /** How much what the set method misses of a trainee's bend matters. */
    MethodShare.Grade worst(Dealt dealt, Tolerances tolerances) {
        return Foresight.worst(
                dealt.layout(), calculations.question(dealt.definition()).obstacle(), tolerances);
    }

    /**
     * Plans the sticks for what was dealt: from what is on the rack, its left-overs first, unless another stick is asked for.
     *
     * @param rack null where nothing is kept of this conduit
     * @throws Refused if a piece is longer than a stick
     */
    static ConduitPlan conduit(List<Dealt> dealt, @Nullable Double stickIn, Stockroom.@Nullable OnRack rack) {
        List<Length> pieces = dealt.stream().map(Dealt::conduit).toList();
        if (rack != null && stickIn == null) {
            return Stockroom.plan(rack, pieces);
        }
        Length stick = stickIn == null ? RunLimits.USUAL.stick() : Length.ofInches(stickIn);
        return ConduitPlan.of(pieces, stick, ConduitPlan.USUAL_KERF);
    }
}
