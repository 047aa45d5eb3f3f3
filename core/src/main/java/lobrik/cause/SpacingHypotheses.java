package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.Refused;
import lobrik.layout.ExactOffset;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.MultiplierChart;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Reference;
import lobrik.shop.Tooling;

/** Marks set too close or too far apart: the multiplier of another angle, or none. */
final class SpacingHypotheses {

    private static final Angle SAME = Angle.ofDegrees(0.01);

    private final Layout layout;
    private final Bend bend;
    private final Length rise;
    private final Angle angle;
    private final List<Hypothesis> all = new ArrayList<>();

    private SpacingHypotheses(Layout layout, Length rise, Angle angle) {
        this.layout = layout;
        this.bend = layout.job().bend();
        this.rise = rise;
        this.angle = angle;
    }

    static List<Hypothesis> of(Layout layout) {
        Bend bend = layout.job().bend();
        Length rise = switch (bend) {
            case Offset offset -> offset.height();
            case BoxOffset box -> box.rise();
            case RollingOffset rolling -> rolling.trueOffset();
            case Kick kick -> kick.rise();
            case Saddle3 saddle -> saddle.raised();
            case Saddle4 saddle -> saddle.raised();
            case Stub90 _, BackToBack90 _ -> Length.ZERO;
        };
        if (!rise.isPositive()) {
            return List.of();
        }
        SpacingHypotheses hypotheses =
                new SpacingHypotheses(layout, rise, layout.marks().getFirst().angle());
        hypotheses.find();
        return List.copyOf(hypotheses.all);
    }

    private void find() {
        School school = layout.job().school();
        Tooling tooling = layout.job().tooling();
        for (MultiplierChart.Row row : school.chart().rows()) {
            Angle other = row.angle();
            double apart = Math.abs(other.minus(angle).degrees());
            if (apart > SAME.degrees()) {
                double weight = 1 / (1 + apart / 15);
                double spacing = rise.inches() * row.multiplier();
                spaced(CauseId.WRONG_MULTIPLIER, other, weight, spacing, 0);
                spaced(
                        CauseId.WRONG_MULTIPLIER,
                        other,
                        0.5 * weight,
                        spacing,
                        rise.inches() * row.shrinkPerInch() - layout.shrink().inches());
                if (school.method() == Method.EXACT) {
                    exactly(tooling, other, weight);
                }
            }
        }
        spaced(CauseId.MULTIPLIER_OMITTED, Angle.ZERO, 1, rise.inches(), 0);
    }

    private void exactly(Tooling tooling, Angle other, double weight) {
        try {
            ExactOffset exact = ExactOffset.of(tooling, rise, other);
            double lead = isFromTheNotch() ? tooling.arrowLead().inches() : 0;
            double spacing = exact.spacing().inches() - lead;
            double shrink = exact.shrink().minus(layout.shrink()).inches();
            spaced(CauseId.WRONG_MULTIPLIER, other, weight, spacing, 0);
            spaced(CauseId.WRONG_MULTIPLIER, other, 0.5 * weight, spacing, shrink);
        } catch (Refused noSuchOffset) {
            // Nobody has worked that out.
        }
    }

    /** Marks so far apart; with the shrink of that angle, too, where it was read off the same line of the card. */
    private void spaced(CauseId cause, Angle other, double weight, double spacing, double shrinkBy) {
        double[] worked = layout.worked().stream().mapToDouble(Length::inches).toArray();
        double[] by = new double[worked.length];
        double cutBy = 0;
        int last = worked.length - 1;
        double shift = MarkHypotheses.inMarks(bend) ? shrinkBy : 0;
        for (int i = 0; i <= last; i++) {
            by[i] = shift;
        }
        switch (bend) {
            case Kick kick -> {
                double beyond = layout.workedCut().orElseThrow().inches() - worked[0];
                if (kick.layout() == OffsetLayout.BEFORE_OBSTACLE) {
                    by[0] -= spacing - beyond;
                } else {
                    cutBy = spacing - beyond;
                }
            }
            case Saddle3 _, Saddle4 _ -> {
                by[0] -= spacing - (worked[1] - worked[0]);
                by[last] += spacing - (worked[last] - worked[last - 1]);
            }
            case Stub90 _, BackToBack90 _, Offset _, BoxOffset _, RollingOffset _ -> {
                double wider = spacing - (worked[1] - worked[0]);
                by[0] -= nearIsFixed() ? 0 : wider;
                by[1] += nearIsFixed() ? wider : 0;
            }
        }
        all.addAll(new Misworked(layout).by(cause, other.degrees(), weight, by, cutBy));
    }

    /** Whether the outer marks are spaced from the middle of an arc, not from its arrow. */
    private boolean isFromTheNotch() {
        return layout.marks().stream().anyMatch(mark -> mark.reference() == Reference.NOTCH);
    }

    private boolean nearIsFixed() {
        return switch (bend) {
            case Offset offset -> offset.layout() == OffsetLayout.FROM_EDGE;
            case RollingOffset rolling -> rolling.layout() == OffsetLayout.FROM_EDGE;
            case Stub90 _, BackToBack90 _, BoxOffset _, Kick _, Saddle3 _, Saddle4 _ -> true;
        };
    }
}
