package lobrik.server.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.Placing;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;
import lobrik.shop.WarmPlacing;

/**
 * What a made-up person bends, and what an instructor then reads: the marks go wrong by the person's habit, the piece is
 * simulated on the bender as it really is, and the readings are taken to the lines of a tape and to half a degree.
 */
record DemoBend(RandomGenerator random, DemoPerson person, double partOfTerm) {

    private static final double READING_SPREAD_IN = 0.035;
    private static final double TWIST_SPREAD_DEG = 0.7;
    private static final double PARALLEL_SPREAD_DEG = 0.12;
    /** How flat a curve gets that is warmed over none of its length, in per cent. */
    private static final double FLAT_BY_MISSING = 42;

    private static final double SPREADS_AT_MOST = 2.5;

    /** Readings of every feature that was asked for, in the order in which they are taken. */
    Map<FeatureId, Quantity> readings(Layout layout, Tooling asItReallyIs) {
        double left = person.left(partOfTerm);
        // Whoever rings one mark off does it with all of them; each varies a little besides.
        Length off = Length.ofInches(left * (person.markBiasIn() + person.markSpreadIn() * gaussian()))
                .plus(slip(layout, left));
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            double missed = left * (person.angleBiasDeg() + person.angleSpreadDeg() * gaussian());
            BendMade bend = bend(mark, mark.angle().plus(Angle.ofDegrees(missed)), off, left);
            bends.add(new BendMade(
                    bend.position(), bend.placing(), bend.angle(), bend.roll(), tighter(mark, asItReallyIs)));
        }
        if (endsParallel(layout)) {
            bends.add(untilParallel(bends.removeLast(), bends));
        }
        Piece piece = Piece.simulate(asItReallyIs, layout.cutLength().orElseThrow(), bends);
        Map<FeatureId, Quantity> readings = new LinkedHashMap<>();
        for (Feature feature : Features.of(layout.job().bend(), piece)) {
            if (layout.features().stream().anyMatch(planned -> planned.id().equals(feature.id()))) {
                readings.put(feature.id(), read(feature));
            }
        }
        return readings;
    }

    /** Warmed over too little, the same angle makes a tighter curve. */
    private Optional<Tool> tighter(Mark mark, Tooling tooling) {
        boolean warmed = mark.placing().onShoe().isEmpty() && person.unheated() > 0;
        double left = 1 - person.left(partOfTerm) * person.unheated();
        return warmed
                ? Optional.of(tooling.tool().withRadius(tooling.tool().radius().times(left)))
                : Optional.empty();
    }

    private BendMade bend(Mark mark, Angle angle, Length off, double left) {
        double twist = mark.number() == 1 ? 0 : left * TWIST_SPREAD_DEG * gaussian();
        Length ringed = mark.number() == 1 ? off : off.plus(Length.ofInches(left * READING_SPREAD_IN * gaussian()));
        return new BendMade(
                mark.position().plus(ringed).nearest(TapeDivision.SIXTEENTH),
                mark.placing(),
                angle,
                mark.roll().plus(Angle.ofDegrees(twist)));
    }

    /** Offsets and saddles leave as they came: bends one way and the other add up to nothing. */
    private static boolean endsParallel(Layout layout) {
        // The legs of a run go where they have to.
        if (layout.job().bend().run().isPresent()) {
            return false;
        }
        Angle sum = Angle.ZERO;
        for (Mark mark : layout.marks()) {
            sum = turnsBack(mark.roll()) ? sum.minus(mark.angle()) : sum.plus(mark.angle());
        }
        return sum.equals(Angle.ZERO);
    }

    /** The last bend is pulled by eye until the legs are parallel (handbook 5), whatever the others came to. */
    private BendMade untilParallel(BendMade last, List<BendMade> others) {
        Angle missing = Angle.ofDegrees(PARALLEL_SPREAD_DEG * gaussian());
        for (BendMade other : others) {
            boolean sameWay = turnsBack(other.roll()) == turnsBack(last.roll());
            missing = sameWay ? missing.minus(other.angle()) : missing.plus(other.angle());
        }
        return new BendMade(last.position(), last.placing(), missing, last.roll(), last.other());
    }

    private static boolean turnsBack(Angle roll) {
        return Math.abs(roll.withinHalfTurn().degrees()) > 90;
    }

    /** The take-up of a stub by the arrow, or the shrink of a bend that has one, is forgotten now and then. */
    private Length slip(Layout layout, double left) {
        if (random.nextDouble() >= person.slips() * left) {
            return Length.ZERO;
        }
        boolean byTheArrow = layout.marks().size() == 1
                && isByTheArrow(layout.marks().getFirst().placing())
                && layout.shrink().equals(Length.ZERO);
        return byTheArrow ? layout.job().tooling().takenOff() : layout.shrink().times(-1);
    }

    private static boolean isByTheArrow(Placing placing) {
        return switch (placing) {
            case ShoePlacing shoe -> shoe.reference() == Reference.ARROW;
            case WarmPlacing _ -> true;
        };
    }

    private Quantity read(Feature feature) {
        return switch (feature.value()) {
            case Length length when !feature.id().isOfFinishedPiece() -> length;
            case Length length -> {
                Length read = length.plus(Length.ofInches(READING_SPREAD_IN * gaussian()))
                        .nearest(TapeDivision.SIXTEENTH);
                yield feature.id().isSigned() ? read : read.max(Length.ZERO);
            }
            case Angle angle -> Angle.ofDegrees(Math.round(angle.degrees() * 2) / 2.0);
            // Even a good bend is a little flat; one that was warmed over too little much more.
            case Percentage part -> {
                double kinked = FLAT_BY_MISSING * person.left(partOfTerm) * person.unheated();
                yield Percentage.of(Math.round(2 * Math.max(0, part.perCent() + kinked + 2 + gaussian())) / 2.0);
            }
        };
    }

    private double gaussian() {
        return Math.clamp(random.nextGaussian(), -SPREADS_AT_MOST, SPREADS_AT_MOST);
    }
}
