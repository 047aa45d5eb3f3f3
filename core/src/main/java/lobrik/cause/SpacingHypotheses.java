package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import lobrik.derivation.Derivation;
import lobrik.derivation.Part;
import lobrik.fault.Refused;
import lobrik.layout.ExactOffset;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.MultiplierChart;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/** Marks set too close or too far apart: the multiplier of another angle, or none. */
final class SpacingHypotheses {

    private static final Angle SAME = Angle.ofDegrees(0.01);

    private final Layout layout;
    private final Misworked misworked;
    private final Derivation.Slope slope;
    private final Length shrink;
    private final List<Hypothesis> all = new ArrayList<>();

    private SpacingHypotheses(Layout layout, Misworked misworked, Derivation.Slope slope) {
        this.layout = layout;
        this.misworked = misworked;
        this.slope = slope;
        this.shrink = slope.shrink();
    }

    static List<Hypothesis> of(Layout layout, Misworked misworked) {
        List<Hypothesis> all = new ArrayList<>();
        for (Derivation.Slope slope : layout.derivation().slopes()) {
            SpacingHypotheses hypotheses = new SpacingHypotheses(layout, misworked, slope);
            hypotheses.find();
            all.addAll(hypotheses.all);
        }
        return List.copyOf(all);
    }

    private void find() {
        School school = layout.job().school();
        Length rise = slope.rise();
        for (MultiplierChart.Row row : school.chart().rows()) {
            Angle other = row.angle();
            double apart = Math.abs(other.minus(slope.angle()).degrees());
            if (apart > SAME.degrees()) {
                double weight = 1 / (1 + apart / 15);
                Length spacing = rise.times(row.multiplier());
                spaced(CauseId.WRONG_MULTIPLIER, other, weight, spacing, shrink);
                spaced(CauseId.WRONG_MULTIPLIER, other, 0.5 * weight, spacing, rise.times(row.shrinkPerInch()));
                if (school.method() == Method.EXACT) {
                    exactly(other, weight);
                }
            }
        }
        spaced(CauseId.MULTIPLIER_OMITTED, Angle.ZERO, 1, rise, shrink);
    }

    private void exactly(Angle other, double weight) {
        try {
            ExactOffset exact = ExactOffset.of(layout.job().tooling(), slope.rise(), other);
            Length spacing = exact.spacing().minus(slope.less());
            spaced(CauseId.WRONG_MULTIPLIER, other, weight, spacing, shrink);
            spaced(CauseId.WRONG_MULTIPLIER, other, 0.5 * weight, spacing, exact.shrink());
        } catch (Refused noSuchOffset) {
            // Nobody has worked that out.
        }
    }

    /**
     * Marks so far apart; with the shrink of that angle, too, where it was read off the same line of the card. The conduit is
     * cut by the right shrink, if it was not there already.
     */
    private void spaced(CauseId cause, Angle other, double weight, Length spacing, Length shrinkRead) {
        Derivation derivation = layout.derivation();
        double[] by = misworked.off(derivation.with((part, stretch, right) -> stretch != slope.stretch()
                ? right
                : switch (part) {
                    case SPACING -> spacing;
                    case SHRINK -> shrinkRead;
                    case FIGURE, PLACE, TAKE_UP, GAIN, LEG, INSERTION, PLAY -> right;
                }));
        double cutBy = misworked.cutOff(derivation.with(Part.SPACING, slope.stretch(), _ -> spacing));
        all.addAll(misworked.by(cause, other.degrees(), weight, by, cutBy));
    }
}
