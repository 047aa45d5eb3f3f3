package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.layout.ExactOffset;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.MultiplierChart;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;

/**
 * Somebody who makes one mistake: rings, bends and length of what they made.
 *
 * @param bend that the mistake is at, from 1; 0 where it is about the whole piece
 */
record FaultyHands(List<Length> rings, List<BendMade> bends, Length length, int bend, Layout layout) {

    private static final double[] LINES = {10, 22.5, 30, 45, 60, 90};
    private static final double[] TAKE_UPS = {5, 6, 8, 11};

    FaultyHands asPlanned() {
        return PlantedPieces.faithful(layout);
    }

    /** Makes the mistake; empty where the piece gives no occasion for it. */
    static Optional<FaultyHands> at(Layout layout, CauseId cause, Random random) {
        FaultyHands faithful = PlantedPieces.faithful(layout);
        int count = layout.marks().size();
        int one = random.nextInt(count);
        return switch (cause) {
            case NONE -> Optional.of(faithful);
            case ANGLE_OFF -> Optional.of(faithful.angle(one, signed(random, 1.5, 9)));
            case ANGLE_BIAS -> count == 1 ? Optional.empty() : Optional.of(faithful.angles(signed(random, 1.5, 6)));
            case WRONG_ANGLE_LINE -> faithful.wrongLine(random, one);
            case HOOK_REVERSED -> Optional.of(faithful.hook(one));
            case WRONG_REFERENCE -> Optional.of(faithful.reference(one, random));
            case MARK_SLIPPED -> Optional.of(faithful.slipped(one, signed(random, 0.125, 1.5)));
            case MISREAD_FRACTION -> {
                Length by = Length.ofFraction(0, 1 + random.nextInt(8), random.nextBoolean() ? 16 : -16);
                yield Optional.of(faithful.ring(one, by).about(one));
            }
            case DOG_LEG -> count == 1 ? Optional.empty() : Optional.of(faithful.twisted(random));
            case BURNED_INCH -> Optional.of(faithful.all(Length.ofInches(random.nextBoolean() ? 1 : -1)));
            case INSERTION_OMITTED -> faithful.insertion(random);
            case TAKEUP_OMITTED -> faithful.takeUp(0, random);
            case TAKEUP_TWICE -> faithful.takeUp(2, random);
            case TAKEUP_WRONG_SIZE -> {
                double own = layout.job().tooling().shoe().takeUp().inches();
                double other = TAKE_UPS[random.nextInt(TAKE_UPS.length)];
                yield other == own ? Optional.empty() : faithful.takeUp(other / own, random);
            }
            case SHRINK_OMITTED -> faithful.shrink(-1, random);
            case SHRINK_TWICE -> faithful.shrink(1, random);
            case SHRINK_SUBTRACTED -> faithful.shrink(-2, random);
            case WRONG_MULTIPLIER -> faithful.multiplier(random);
            case MULTIPLIER_OMITTED -> faithful.spaced(rise(layout.job().bend()));
            case CLEARANCE_OMITTED -> faithful.withoutClearance(random);
            case EDGE_FOR_CENTRE -> faithful.edgeForCentre(random);
            default -> Optional.empty();
        };
    }

    private static double signed(Random random, double low, double high) {
        double size = low + (high - low) * random.nextDouble();
        return random.nextBoolean() ? size : -size;
    }

    private FaultyHands about(int index) {
        return new FaultyHands(rings, bends, length, index + 1, layout);
    }

    private FaultyHands bent(int index, UnaryOperator<BendMade> otherwise) {
        List<BendMade> changed = new ArrayList<>(bends);
        changed.set(index, otherwise.apply(bends.get(index)));
        return new FaultyHands(rings, changed, length, bend, layout);
    }

    private FaultyHands angle(int index, double by) {
        return bent(index, b -> angle(b, b.angle().plus(Angle.ofDegrees(by)))).about(index);
    }

    private static BendMade angle(BendMade b, Angle angle) {
        return new BendMade(b.position(), b.placing(), angle, b.roll());
    }

    private FaultyHands angles(double by) {
        FaultyHands made = this;
        for (int i = 0; i < bends.size(); i++) {
            made = made.angle(i, by);
        }
        return made.about(-1);
    }

    private Optional<FaultyHands> wrongLine(Random random, int one) {
        double line = LINES[random.nextInt(LINES.length)];
        double asked = bends.get(0).angle().degrees();
        if (bends.size() > 1 && random.nextBoolean()) {
            FaultyHands made = this;
            for (int i = 0; i < bends.size(); i++) {
                double factor = bends.get(i).angle().degrees() / asked;
                made = made.angle(i, line * factor - bends.get(i).angle().degrees());
            }
            return line == asked ? Optional.empty() : Optional.of(made.about(-1));
        }
        double by = line - bends.get(one).angle().degrees();
        return by == 0 ? Optional.empty() : Optional.of(angle(one, by));
    }

    private FaultyHands hook(int index) {
        return bent(index, b -> new BendMade(b.position(), shoe(b).turned(), b.angle(), b.roll()))
                .about(index);
    }

    private static ShoePlacing shoe(BendMade bend) {
        return (ShoePlacing) bend.placing();
    }

    private FaultyHands reference(int index, Random random) {
        List<Reference> others = new ArrayList<>(List.of(Reference.values()));
        others.remove(shoe(bends.get(index)).reference());
        Reference other = others.get(random.nextInt(others.size()));
        return bent(index, b -> new BendMade(b.position(), shoe(b).by(other), b.angle(), b.roll()))
                .about(index);
    }

    private FaultyHands slipped(int index, double by) {
        return bent(index, b -> moved(b, Length.ofInches(by))).about(index);
    }

    private static BendMade moved(BendMade b, Length by) {
        return new BendMade(b.position().plus(by), b.placing(), b.angle(), b.roll());
    }

    private FaultyHands ring(int index, Length by) {
        List<Length> moved = new ArrayList<>(rings);
        moved.set(index, rings.get(index).plus(by));
        FaultyHands bent = bent(index, b -> moved(b, by));
        return new FaultyHands(moved, bent.bends, length, bend, layout);
    }

    private FaultyHands all(Length by) {
        FaultyHands made = this;
        for (int i = 0; i < rings.size(); i++) {
            made = made.ring(i, by);
        }
        return made;
    }

    private FaultyHands cut(Length by) {
        return new FaultyHands(rings, bends, length.plus(by), bend, layout);
    }

    private FaultyHands twisted(Random random) {
        int index = 1 + random.nextInt(bends.size() - 1);
        Angle by = Angle.ofDegrees(signed(random, 2, 12));
        return bent(
                        index,
                        b -> new BendMade(
                                b.position(), b.placing(), b.angle(), b.roll().plus(by)))
                .about(index);
    }

    private Optional<FaultyHands> insertion(Random random) {
        Length by = Length.ofFraction(0, -5, 8);
        if (layout.cutLength().isEmpty()) {
            return Optional.of(all(by));
        }
        return Optional.of(
                switch (random.nextInt(3)) {
                    case 0 -> all(by);
                    case 1 -> all(by).cut(by);
                    default -> cut(by);
                });
    }

    /** With this many times the take-up deducted. */
    private Optional<FaultyHands> takeUp(double times, Random random) {
        Bend asked = layout.job().bend();
        boolean arrow =
                asked instanceof BackToBack90 || (asked instanceof Stub90 stub && stub.placement() == Placement.ARROW);
        if (!arrow) {
            return Optional.empty();
        }
        Length by = layout.job().tooling().shoe().takeUp().times(1 - times);
        boolean secondFollows = bends.size() > 1 && random.nextInt(4) == 0;
        return Optional.of(secondFollows ? all(by) : ring(0, by));
    }

    private Length rounded(Length length) {
        return length.nearest(TapeDivision.SIXTEENTH);
    }

    private Optional<FaultyHands> shrink(int times, Random random) {
        boolean inMarks = switch (layout.job().bend()) {
            case Offset offset -> offset.layout() == OffsetLayout.BEFORE_OBSTACLE;
            case RollingOffset rolling -> rolling.layout() == OffsetLayout.BEFORE_OBSTACLE;
            case Saddle3 _ -> true;
            case Saddle4 saddle -> saddle.measuredTo() == Saddle4.MeasuredTo.NEAR_EDGE;
            default -> false;
        };
        if (!inMarks) {
            return Optional.empty();
        }
        Length by = rounded(layout.shrink().times(times));
        boolean cutToo = layout.cutLength().isPresent() && random.nextBoolean();
        FaultyHands marked = all(by);
        return Optional.of(
                cutToo ? marked.cut(rounded(layout.shrink().times(times * (bends.size() > 2 ? 2 : 1)))) : marked);
    }

    static Length rise(Bend bend) {
        return switch (bend) {
            case Offset offset -> offset.height();
            case BoxOffset box -> box.rise();
            case RollingOffset rolling -> rolling.trueOffset();
            case Kick kick -> kick.rise();
            case Saddle3 saddle -> saddle.raised();
            case Saddle4 saddle -> saddle.raised();
            default -> Length.ZERO;
        };
    }

    private Optional<FaultyHands> multiplier(Random random) {
        List<MultiplierChart.Row> rows = MultiplierChart.USUAL.rows();
        MultiplierChart.Row row = rows.get(random.nextInt(rows.size()));
        Bend asked = layout.job().bend();
        if (row.angle().equals(bends.getFirst().angle()) || !rise(asked).isPositive()) {
            return Optional.empty();
        }
        if (layout.job().school().method() == Method.EXACT && random.nextBoolean()) {
            Length lead =
                    asked instanceof Saddle3 ? layout.job().tooling().shoe().arrowLead() : Length.ZERO;
            return spaced(ExactOffset.of(layout.job().tooling(), rise(asked), row.angle())
                    .spacing()
                    .minus(lead));
        }
        return spaced(rise(asked).times(row.multiplier()));
    }

    private Length between(int first) {
        return rings.get(first + 1).minus(rings.get(first));
    }

    /** With the marks so far apart; the one that the distance runs to stays. */
    private Optional<FaultyHands> spaced(Length spacing) {
        int last = rings.size() - 1;
        return switch (layout.job().bend()) {
            case Stub90 _, BackToBack90 _ -> Optional.empty();
            case Kick kick -> {
                Length by = rounded(spacing.minus(length.minus(rings.getFirst())));
                yield Optional.of(kick.layout() == OffsetLayout.FROM_EDGE ? cut(by) : ring(0, by.times(-1)));
            }
            case Saddle3 _, Saddle4 _ ->
                Optional.of(ring(0, rounded(between(0).minus(spacing)))
                        .ring(last, rounded(spacing.minus(between(last - 1)))));
            case Offset offset
            when offset.layout() == OffsetLayout.BEFORE_OBSTACLE ->
                Optional.of(ring(0, rounded(between(0).minus(spacing))));
            case RollingOffset rolling
            when rolling.layout() == OffsetLayout.BEFORE_OBSTACLE ->
                Optional.of(ring(0, rounded(between(0).minus(spacing))));
            default -> Optional.of(ring(1, rounded(spacing.minus(between(0)))));
        };
    }

    private Optional<FaultyHands> withoutClearance(Random random) {
        Optional<Bend> without = switch (layout.job().bend()) {
            case Offset o
            when o.clearance().isPositive() ->
                Optional.of(new Offset(o.rise(), Length.ZERO, o.angle(), o.distance(), o.layout(), o.overall()));
            case Saddle3 s
            when s.clearance().isPositive() ->
                Optional.of(new Saddle3(
                        s.height(), Length.ZERO, s.outerAngle(), s.centre(), s.spacing(), s.order(), s.overall()));
            case Saddle4 s
            when s.clearance().isPositive() ->
                Optional.of(new Saddle4(
                        s.height(),
                        Length.ZERO,
                        s.angle(),
                        s.width(),
                        s.edgeClearance(),
                        s.measuredTo(),
                        s.distance(),
                        s.placement(),
                        s.overall()));
            default -> Optional.empty();
        };
        return without.map(bend -> {
            Layout other = Layout.of(layout.job().with(bend));
            FaultyHands made = this;
            for (int i = 0; i < rings.size(); i++) {
                Mark mark = other.marks().get(i);
                made = made.ring(i, mark.position().minus(rings.get(i)));
            }
            boolean cutToo = layout.cutLength().isPresent() && random.nextBoolean();
            return cutToo ? made.cut(other.cutLength().orElseThrow().minus(length)) : made;
        });
    }

    private Optional<FaultyHands> edgeForCentre(Random random) {
        return switch (layout.job().bend()) {
            case Saddle3 saddle -> Optional.of(all(rounded(saddle.height().times(random.nextBoolean() ? 0.5 : -0.5))));
            case Saddle4 saddle -> {
                Length half = saddle.width().times(0.5);
                boolean toEdge = saddle.measuredTo() == Saddle4.MeasuredTo.NEAR_EDGE;
                yield Optional.of(all(rounded(toEdge ? half : half.times(-1))));
            }
            default -> Optional.empty();
        };
    }
}
