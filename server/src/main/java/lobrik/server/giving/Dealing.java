package lobrik.server.giving;

import java.util.ArrayList;
import java.util.List;
import lobrik.exercise.ConduitPlan;
import lobrik.exercise.Hardness;
import lobrik.fault.Refused;
import lobrik.layout.Layout;
import lobrik.layout.RunLimits;
import lobrik.measure.Length;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Trainee;
import lobrik.verdict.Foresight;
import lobrik.verdict.MethodShare;
import lobrik.verdict.Tolerances;
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

    /** How much what the set method misses of a trainee's bend matters. */
    MethodShare.Grade worst(Dealt dealt, Tolerances tolerances) {
        return Foresight.worst(
                dealt.layout(), calculations.question(dealt.definition()).obstacle(), tolerances);
    }

    /**
     * Plans the sticks for what was dealt.
     *
     * @throws Refused if a piece is longer than a stick
     */
    static ConduitPlan conduit(List<Dealt> dealt, @Nullable Double stickIn) {
        Length stick = stickIn == null ? RunLimits.USUAL.stick() : Length.ofInches(stickIn);
        return ConduitPlan.of(dealt.stream().map(Dealt::conduit).toList(), stick, ConduitPlan.USUAL_KERF);
    }
}
