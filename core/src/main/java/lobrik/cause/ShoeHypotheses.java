package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import lobrik.derivation.Derivation;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.shop.AngleLines;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;
import lobrik.shop.WarmPlacing;

/** What goes wrong with a shoe: its lines, its hook, its marks. */
final class ShoeHypotheses {

    /** No shoe bends further. */
    private static final double MOST = 180;

    private final Layout layout;
    private final int bends;
    private final List<Hypothesis> all = new ArrayList<>();

    private ShoeHypotheses(Layout layout) {
        this.layout = layout;
        this.bends = layout.marks().size();
    }

    /** On a lever: bent to a line of the shoe. */
    static List<Hypothesis> byHand(Layout layout) {
        ShoeHypotheses hypotheses = new ShoeHypotheses(layout);
        hypotheses.lines();
        hypotheses.hooksAndReferences();
        return hypotheses.all;
    }

    /** How the shoe stands on a ring, whatever pushes it. */
    static List<Hypothesis> standing(Layout layout) {
        ShoeHypotheses hypotheses = new ShoeHypotheses(layout);
        hypotheses.hooksAndReferences();
        return hypotheses.all;
    }

    private void hooksAndReferences() {
        all.addAll(ToolHypotheses.eachAndAll(
                CauseId.HOOK_REVERSED, layout, 1, bend -> (making, _) -> making.turnHook(bend)));
        references();
    }

    private void lines() {
        double first = angle(0);
        long derived = layout.derivation().angles().stream()
                .filter(angle -> !angle.isAsAsked())
                .count();
        for (Angle angleLine : AngleLines.all()) {
            double line = angleLine.degrees();
            for (int i = 0; i < bends; i++) {
                int bend = i;
                if (line != angle(i)) {
                    all.add(Hypothesis.ofAmount(
                            CauseId.WRONG_ANGLE_LINE,
                            i + 1,
                            "",
                            ToolHypotheses.nearness(line, angle(i)),
                            line,
                            (making, _) -> making.angles[bend] = line));
                }
            }
            if (bends > 1 && derived < bends && line != first) {
                double weight = bends * ToolHypotheses.nearness(line, first);
                allTo(line, weight, angle -> angle.whereBentTo(line));
                if (derived > 0 && bends - derived > 1) {
                    // Or what follows from the others is bent right, or to the same line as they are.
                    allTo(line, 0.3 * weight, angle -> angle.whereBentTo(first));
                    allTo(line, 0.2 * weight, _ -> line);
                }
            }
        }
    }

    /** All bends to a line; those whose angle follows from that of the others to what somebody makes of it. */
    private void allTo(double line, double weight, ToDoubleFunction<Derivation.BendAngle> following) {
        double[] to = layout.derivation().angles().stream()
                .mapToDouble(angle -> angle.isAsAsked() ? line : following.applyAsDouble(angle))
                .toArray();
        if (Arrays.stream(to).anyMatch(angle -> angle > MOST)) {
            return;
        }
        all.add(Hypothesis.ofAmount(
                CauseId.WRONG_ANGLE_LINE,
                0,
                "",
                weight,
                line,
                (making, _) -> System.arraycopy(to, 0, making.angles, 0, to.length)));
    }

    private void references() {
        List<Reference> references =
                layout.marks().stream().map(ShoeHypotheses::reference).toList();
        for (Reference reference : Reference.values()) {
            String detail = "the " + reference.words() + " on the ring";
            for (int i = 0; i < bends; i++) {
                int bend = i;
                if (references.get(i) != reference) {
                    all.add(Hypothesis.of(
                            CauseId.WRONG_REFERENCE, i + 1, detail, 1, (making, _) -> making.setBy(bend, reference)));
                }
            }
            boolean same = references.stream().allMatch(references.getFirst()::equals);
            if (bends > 1 && same && references.getFirst() != reference) {
                all.add(Hypothesis.of(CauseId.WRONG_REFERENCE, 0, detail, 1, (making, _) -> {
                    for (int i = 0; i < bends; i++) {
                        making.setBy(i, reference);
                    }
                }));
            }
        }
    }

    /**
     * The mark of the shoe that belongs on a ring.
     *
     * @throws IllegalArgumentException for a ring that no shoe stands on
     */
    static Reference reference(Mark mark) {
        return switch (mark.placing()) {
            case ShoePlacing shoe -> shoe.reference();
            case WarmPlacing _ -> throw new IllegalArgumentException("no shoe stands on ring " + mark.number());
        };
    }

    private double angle(int bend) {
        return layout.marks().get(bend).angle().degrees();
    }
}
