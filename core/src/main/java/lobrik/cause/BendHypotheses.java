package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import lobrik.bend.BackToBack90;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.QuantityKind;

/** What can go wrong while bending and while reading. */
final class BendHypotheses {

    private static final Hypothesis.Free ANGLE = new Hypothesis.Free(5, 0);
    private static final Hypothesis.Free BIAS = new Hypothesis.Free(4, 0);
    private static final Hypothesis.Free SLIP = new Hypothesis.Free(0.75, 0);
    private static final Hypothesis.Free TURN = new Hypothesis.Free(15, 0);
    private static final Hypothesis.Free READ_LENGTH = new Hypothesis.Free(1, 0);
    private static final Hypothesis.Free READ_ANGLE = new Hypothesis.Free(5, 0);
    private static final Hypothesis.Free READ_PERCENTAGE = new Hypothesis.Free(10, 0);
    private static final double TWIST = 6;
    private static final double FIRST_TWIST = 4;

    private final Layout layout;
    private final int bends;
    private final List<Hypothesis> all = new ArrayList<>();

    private BendHypotheses(Layout layout) {
        this.layout = layout;
        this.bends = layout.marks().size();
    }

    static List<Hypothesis> of(Layout layout, Set<FeatureId> read) {
        BendHypotheses hypotheses = new BendHypotheses(layout);
        hypotheses.angles();
        hypotheses.all.addAll(ToolHypotheses.of(layout));
        hypotheses.slips();
        hypotheses.planes();
        read.forEach(hypotheses::doubt);
        return List.copyOf(hypotheses.all);
    }

    private void angles() {
        DoubleUnaryOperator hands = ToolHypotheses.anglesByHand(layout);
        for (int i = 0; i < bends; i++) {
            int bend = i;
            all.add(Hypothesis.fitted(
                    CauseId.ANGLE_OFF,
                    i + 1,
                    "",
                    1,
                    ANGLE,
                    (making, amount) -> making.angles[bend] += hands.applyAsDouble(amount)));
        }
        // Of a piece with one bend, all bends are one.
        if (bends > 1) {
            all.add(Hypothesis.fitted(CauseId.ANGLE_BIAS, 0, "", 1, BIAS, (making, amount) -> {
                for (int i = 0; i < bends; i++) {
                    making.angles[i] += hands.applyAsDouble(amount);
                }
            }));
        }
    }

    private void slips() {
        for (int i = 0; i < bends; i++) {
            int bend = i;
            all.add(Hypothesis.fitted(
                    CauseId.MARK_SLIPPED, i + 1, "", 1, SLIP, (making, amount) -> making.places[bend] += amount));
            // Whoever measures to where the bend was made, not to the ring, reads a landing that slipped with it.
            all.add(Hypothesis.fitted(CauseId.MARK_SLIPPED, i + 1, "", 0.2, SLIP, (making, amount) -> {
                making.places[bend] += amount;
                making.landsWhereMade = true;
            }));
        }
    }

    private void planes() {
        if (bends > 1) {
            // The plane of the first bend is where the others are seen from, so with two bends only the second can be
            // off.
            for (int i = bends == 2 ? 1 : 0; i < bends; i++) {
                twist(i, FIRST_TWIST);
                twist(i, -FIRST_TWIST);
            }
        }
        switch (layout.job().bend()) {
            case RollingOffset rolling -> turns(rolling);
            case Run run -> wrongWay(run);
            case Stub90 _, BackToBack90 _, Offset _, BoxOffset _, Kick _, Saddle3 _, Saddle4 _, OverBent90 _ -> {
                // The plane of these is upright: what is turned is no mistake of theirs.
            }
        }
    }

    /** Bent to the other side of where it should go: by itself, or with everything beyond it. */
    private void wrongWay(Run run) {
        for (RunShape.Stretch stretch : run.shape().stretches()) {
            int first = stretch.firstBend() - 1;
            if (first > 0) {
                for (double by : new double[] {180, 90, -90}) {
                    double weight = by == 180 ? 1 : 0.3;
                    turned(stretch, first, bends, by, weight);
                    if (stretch.lastBend() < bends) {
                        // What comes after it is seldom turned back by chance.
                        turned(stretch, first, stretch.lastBend(), by, 0.4 * weight);
                    }
                }
            }
        }
    }

    private void turned(RunShape.Stretch stretch, int from, int to, double by, double weight) {
        all.add(Hypothesis.ofAmount(CauseId.WRONG_WAY, stretch.firstBend(), "", weight, by, (making, _) -> {
            for (int i = from; i < to; i++) {
                making.rolls[i] += by;
            }
        }));
    }

    private void turns(RollingOffset rolling) {
        all.add(Hypothesis.fitted(CauseId.WRONG_TURN, 0, "", 1, TURN, (making, amount) -> roll(making, amount)));
        double swapped = 90 - 2 * rolling.turn().degrees();
        if (Math.abs(swapped) > 1) {
            all.add(Hypothesis.ofAmount(
                    CauseId.WRONG_TURN,
                    0,
                    "rise and roll changed places",
                    0.5,
                    swapped,
                    (making, _) -> roll(making, swapped)));
        }
    }

    private void twist(int bend, double start) {
        all.add(Hypothesis.fitted(
                CauseId.DOG_LEG,
                bend + 1,
                "",
                1,
                new Hypothesis.Free(TWIST, start),
                (making, amount) -> making.rolls[bend] += amount));
        // Or the conduit is twisted there, and everything beyond with it.
        if (bend > 0 && bend < bends - 1) {
            all.add(Hypothesis.fitted(
                    CauseId.DOG_LEG, bend + 1, "", 1, new Hypothesis.Free(TWIST, start), (making, amount) -> {
                        for (int i = bend; i < bends; i++) {
                            making.rolls[i] += amount;
                        }
                    }));
        }
    }

    private void roll(Making making, double by) {
        for (int i = 0; i < bends; i++) {
            making.rolls[i] += by;
        }
    }

    private static Hypothesis.Free misread(QuantityKind measured) {
        return switch (measured) {
            case LENGTH -> READ_LENGTH;
            case ANGLE -> READ_ANGLE;
            case PERCENTAGE -> READ_PERCENTAGE;
        };
    }

    private void doubt(FeatureId feature) {
        // The angle of a single ninety shows in nothing else that is read: it is the piece itself.
        if (bends == 1 && layout.derivation().slopes().isEmpty() && feature.measured() == QuantityKind.ANGLE) {
            return;
        }
        all.add(Hypothesis.fitted(
                CauseId.READING_DOUBTFUL,
                0,
                feature.id(),
                1,
                misread(feature.measured()),
                (making, amount) -> making.misread(feature, amount)));
    }
}
