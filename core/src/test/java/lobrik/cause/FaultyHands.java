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
import lobrik.bend.Run;
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
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.MachineTable;
import lobrik.shop.RamTravel;
import lobrik.shop.Reference;
import lobrik.shop.Shoe;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tool;
import lobrik.shop.TradeSize;
import lobrik.shop.WarmPlacing;

/**
 * Somebody who makes one mistake: rings, bends and length of what they made.
 *
 * @param bend that the mistake is at, from 1; 0 where it is about the whole piece
 */
record FaultyHands(List<Length> rings, List<BendMade> bends, Length length, int bend, Layout layout) {

    private static final double[] LINES = {10, 22.5, 30, 45, 60, 90};
    private static final double[] TAKE_UPS = {5, 6, 8, 11};
    private static final double[] DEDUCTS = {14.375, 17.5, 20, 22.5};

    FaultyHands asPlanned() {
        return PlantedPieces.faithful(layout);
    }

    /** Makes the mistake; empty where the piece gives no occasion for it. */
    static Optional<FaultyHands> at(Layout layout, CauseId cause, Random random) {
        if (layout.job().bend() instanceof Run run) {
            return FaultyRuns.at(run, layout, cause, random);
        }
        FaultyHands faithful = PlantedPieces.faithful(layout);
        int count = layout.marks().size();
        int one = random.nextInt(count);
        Tool tool = layout.job().tooling().tool();
        return switch (cause) {
            case NONE -> Optional.of(faithful);
            case ANGLE_OFF -> Optional.of(faithful.angle(one, ofHands(tool, signed(random, 1.5, 9))));
            case ANGLE_BIAS ->
                count == 1 ? Optional.empty() : Optional.of(faithful.angles(ofHands(tool, signed(random, 1.5, 6))));
            case WRONG_ANGLE_LINE -> tool instanceof Shoe ? faithful.wrongLine(random, one) : Optional.empty();
            case HOOK_REVERSED -> tool instanceof Former ? Optional.empty() : Optional.of(faithful.hook(one));
            case WRONG_REFERENCE ->
                tool instanceof Former ? Optional.empty() : Optional.of(faithful.reference(one, random));
            case SPRINGBACK_OMITTED, TRAVEL_OF_ANOTHER_ROW, WRONG_SHOE ->
                tool instanceof Machine machine ? faithful.atTheMachine(machine, cause, random) : Optional.empty();
            case HEATED_SHORT, LET_GO_WARM, MIDDLE_AS_ARROW ->
                tool instanceof Former former ? faithful.withHeat(former, cause, random) : Optional.empty();
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
                double own = layout.job().tooling().takenOff().inches();
                double[] others = tool instanceof Machine ? DEDUCTS : TAKE_UPS;
                double other = others[random.nextInt(others.length)];
                yield other == own || tool instanceof Former ? Optional.empty() : faithful.takeUp(other / own, random);
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

    /** What is bent with heat opens when it is let go too soon; hands alone only bend it too far. */
    private static double ofHands(Tool tool, double angle) {
        return tool instanceof Former ? Math.abs(angle) : angle;
    }

    private Optional<FaultyHands> atTheMachine(Machine machine, CauseId cause, Random random) {
        int one = random.nextInt(bends.size());
        boolean everywhere = bends.size() > 1 && random.nextInt(3) > 0;
        return switch (cause) {
            case SPRINGBACK_OMITTED ->
                Optional.of(everyOrOne(everywhere, one, b -> angle(b, stays(machine, b.angle()))));
            case TRAVEL_OF_ANOTHER_ROW -> {
                List<RamTravel.Row> rows = machine.ramTravel().rows();
                Angle row = rows.get(random.nextInt(rows.size())).underLoad();
                boolean same = bends.stream().map(BendMade::angle).distinct().count() == 1;
                boolean right = bends.stream()
                        .anyMatch(b -> Math.abs(b.angle().minus(row).degrees()) < 4);
                yield right
                        ? Optional.empty()
                        : Optional.of(everyOrOne(everywhere && same, one, b -> angle(b, stays(machine, row))));
            }
            default -> {
                TradeSize size = List.of(TradeSize.TWO_AND_A_HALF, TradeSize.THREE, TradeSize.THREE_AND_A_HALF)
                        .get(random.nextInt(3));
                Machine other = MachineTable.forEmt(size).orElseThrow();
                yield other.radius().equals(machine.radius())
                        ? Optional.empty()
                        : Optional.of(everyOrOne(
                                true,
                                one,
                                b -> new BendMade(b.position(), b.placing(), b.angle(), b.roll(), Optional.of(other))));
            }
        };
    }

    private FaultyHands everyOrOne(boolean everywhere, int one, UnaryOperator<BendMade> otherwise) {
        if (!everywhere) {
            return bent(one, otherwise).about(one);
        }
        FaultyHands made = this;
        for (int i = 0; i < bends.size(); i++) {
            made = made.bent(i, otherwise);
        }
        return made.about(-1);
    }

    /** What stays of a pull to this angle: found by trying, in hundredths of a degree. */
    private static Angle stays(Machine machine, Angle pulled) {
        double rest = pulled.degrees();
        while (rest + machine.springback(Angle.ofDegrees(rest)).degrees() > pulled.degrees()) {
            rest -= 0.01;
        }
        return Angle.ofDegrees(rest);
    }

    private Optional<FaultyHands> withHeat(Former former, CauseId cause, Random random) {
        int one = random.nextInt(bends.size());
        boolean everywhere = bends.size() > 1 && random.nextInt(3) == 0;
        return switch (cause) {
            case LET_GO_WARM -> {
                double opened = -Math.abs(signed(random, 1.5, 9));
                yield Optional.of(everyOrOne(
                        everywhere, one, b -> angle(b, b.angle().plus(Angle.ofDegrees(opened)))));
            }
            case MIDDLE_AS_ARROW ->
                Optional.of(everyOrOne(
                        everywhere,
                        one,
                        b -> new BendMade(b.position(), new WarmPlacing(WarmPlacing.On.START), b.angle(), b.roll())));
            default -> {
                double missing = 1 + 2 * random.nextDouble();
                double radius = former.radius().inches()
                        - missing / bends.get(one).angle().radians();
                yield radius < 1.5
                        ? Optional.empty()
                        : Optional.of(everyOrOne(
                                false,
                                one,
                                b -> new BendMade(
                                        b.position(),
                                        b.placing(),
                                        b.angle(),
                                        b.roll(),
                                        Optional.of(former.withRadius(Length.ofInches(radius))))));
            }
        };
    }

    private static double signed(Random random, double low, double high) {
        double size = low + (high - low) * random.nextDouble();
        return random.nextBoolean() ? size : -size;
    }

    FaultyHands about(int index) {
        return new FaultyHands(rings, bends, length, index + 1, layout);
    }

    FaultyHands bent(int index, UnaryOperator<BendMade> otherwise) {
        List<BendMade> changed = new ArrayList<>(bends);
        changed.set(index, otherwise.apply(bends.get(index)));
        return new FaultyHands(rings, changed, length, bend, layout);
    }

    FaultyHands angle(int index, double by) {
        return bent(index, b -> angle(b, b.angle().plus(Angle.ofDegrees(by)))).about(index);
    }

    private static BendMade angle(BendMade b, Angle angle) {
        return new BendMade(b.position(), b.placing(), angle, b.roll(), b.other());
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

    FaultyHands ring(int index, Length by) {
        List<Length> moved = new ArrayList<>(rings);
        moved.set(index, rings.get(index).plus(by));
        FaultyHands bent = bent(index, b -> moved(b, by));
        return new FaultyHands(moved, bent.bends, length, bend, layout);
    }

    FaultyHands all(Length by) {
        FaultyHands made = this;
        for (int i = 0; i < rings.size(); i++) {
            made = made.ring(i, by);
        }
        return made;
    }

    FaultyHands cut(Length by) {
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
        Length by = layout.job().tooling().takenOff().times(1 - times);
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
                    asked instanceof Saddle3 saddle ? layout.job().tooling().lead(saddle.outerAngle()) : Length.ZERO;
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
