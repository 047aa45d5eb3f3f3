package lobrik.server.demo;

import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;
import lobrik.shape.StubFeatures;
import lobrik.shop.Reference;
import lobrik.shop.Tooling;

/**
 * What a made-up person bends, and what an instructor then reads: the mark goes wrong by the person's habit, the piece is
 * simulated on the bender as it really is, and the readings are taken to the lines of a tape and to half a degree.
 */
record DemoBend(RandomGenerator random, DemoPerson person, double partOfTerm) {

    private static final double READING_SPREAD_IN = 0.035;
    private static final double SPREADS_AT_MOST = 2.5;

    Map<FeatureId, Quantity> readings(Layout layout, Tooling asItReallyIs) {
        Mark mark = layout.marks().getFirst();
        double left = person.left(partOfTerm);
        Length ringed = mark.position()
                .plus(Length.ofInches(left * (person.markBiasIn() + person.markSpreadIn() * gaussian())));
        if (random.nextDouble() < person.slips() * left && mark.reference() == Reference.ARROW) {
            ringed = ringed.plus(asItReallyIs.bender().takeUp());
        }
        ringed = ringed.nearest(TapeDivision.SIXTEENTH);
        double degrees = 90 + left * (person.angleBiasDeg() + person.angleSpreadDeg() * gaussian());
        BendMade made =
                new BendMade(ringed, mark.reference(), mark.hookTowards(), Angle.ofDegrees(degrees), mark.roll());
        Piece piece = Piece.simulate(asItReallyIs, layout.cutLength().orElseThrow(), List.of(made));
        return StubFeatures.of(piece, made).stream().collect(Collectors.toMap(Feature::id, this::read));
    }

    private Quantity read(Feature feature) {
        return switch (feature.value()) {
            case Length length when feature.id() == FeatureId.MARK_1 -> length;
            case Length length ->
                length.plus(Length.ofInches(READING_SPREAD_IN * gaussian())).nearest(TapeDivision.SIXTEENTH);
            case Angle angle -> Angle.ofDegrees(Math.round(angle.degrees() * 2) / 2.0);
        };
    }

    private double gaussian() {
        return Math.clamp(random.nextGaussian(), -SPREADS_AT_MOST, SPREADS_AT_MOST);
    }
}
