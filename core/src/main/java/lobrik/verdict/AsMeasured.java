package lobrik.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Form;
import lobrik.bend.InputId;
import lobrik.bend.RunShape;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.fit.LeastSquares;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;

/**
 * The piece that the readings describe: bends moved, opened and closed until the simulation shows what was read, by least
 * squares. What was not read stays as it was ringed or planned.
 */
public final class AsMeasured {

    /** How firmly bends stay on their rings, and the conduit as long as it was cut: hardly, against a reading. */
    private static final double LOOSE_IN = 2;

    /** The same for angles that were not read. */
    private static final double LOOSE_DEG = 20;

    private static final double STEP = 1e-5;

    private final Layout layout;
    private final Map<FeatureId, Quantity> readings;
    private final ReadingSpread spread;
    private final int bends;
    private final boolean rolls;

    /** How far each bend was turned to another side than asked for, by the turns that were read. */
    private final Angle[] turned;

    private AsMeasured(Layout layout, Map<FeatureId, Quantity> readings, ReadingSpread spread) {
        this.layout = layout;
        this.spread = spread;
        this.readings = FeatureId.inOrder(readings);
        this.bends = layout.marks().size();
        this.rolls = Form.of(layout.job().bend().kind()).has(InputId.ROLL);
        this.turned = turned();
    }

    /**
     * Finds the piece.
     *
     * @param readings of any of the layout's features
     * @param spread how far readings of the same thing lie apart: what is read closely counts for more
     * @return empty until something of the finished piece was read, and where no conduit can look like that
     */
    public static Optional<Piece> of(Layout layout, Map<FeatureId, Quantity> readings, ReadingSpread spread) {
        boolean begun = readings.keySet().stream().anyMatch(FeatureId::isOfFinishedPiece);
        return begun ? new AsMeasured(layout, readings, spread).piece() : Optional.empty();
    }

    /** The same with the usual instruments. */
    public static Optional<Piece> of(Layout layout, Map<FeatureId, Quantity> readings) {
        return of(layout, readings, ReadingSpread.USUAL);
    }

    private Optional<Piece> piece() {
        double[] steps = new double[2 * bends + 1 + (rolls ? 1 : 0)];
        Arrays.fill(steps, STEP);
        return new LeastSquares(
                        parameters -> simulated(parameters).flatMap(piece -> residuals(piece, parameters)), steps)
                .from(start())
                .flatMap(this::simulated);
    }

    /** Parameters: positions of the bends, their angles, the length, and for a rolling offset its turn. */
    private double[] start() {
        double[] start = new double[2 * bends + 1 + (rolls ? 1 : 0)];
        for (int i = 0; i < bends; i++) {
            Mark mark = layout.marks().get(i);
            start[i] = ((Length) readings.getOrDefault(FeatureId.mark(i + 1), mark.position())).inches();
            start[bends + i] = ((Angle) readings.getOrDefault(FeatureId.angle(i + 1), mark.angle())).degrees();
        }
        start[2 * bends] = layout.predicted().length().inches();
        return start;
    }

    private Optional<Piece> simulated(double[] parameters) {
        List<BendMade> made = new ArrayList<>();
        Angle turn = rolls ? Angle.ofDegrees(parameters[2 * bends + 1]) : Angle.ZERO;
        try {
            for (int i = 0; i < bends; i++) {
                Mark mark = layout.marks().get(i);
                Angle roll = mark.roll().plus(turn).plus(turned[i]).plus(i == bends - 1 ? twist() : Angle.ZERO);
                made.add(new BendMade(
                        Length.ofInches(parameters[i]), mark.placing(), Angle.ofDegrees(parameters[bends + i]), roll));
            }
            Length length = Length.ofInches(parameters[2 * bends]);
            return Optional.of(Piece.simulate(layout.job().tooling(), length, made));
        } catch (Refused | IllegalArgumentException nothingLooksLikeThat) {
            return Optional.empty();
        }
    }

    private Angle[] turned() {
        Angle[] off = new Angle[bends];
        Arrays.fill(off, Angle.ZERO);
        layout.job().bend().run().ifPresent(run -> {
            List<RunShape.Stretch> ninetys = run.shape().ninetys();
            for (int turn = 1; turn < ninetys.size(); turn++) {
                if (readings.get(FeatureId.turn(turn)) instanceof Angle read) {
                    Angle asked =
                            ninetys.get(turn).roll().minus(ninetys.get(turn - 1).roll());
                    // What lies beyond a wrong turn goes with it.
                    for (int bend = ninetys.get(turn).firstBend() - 1; bend < bends; bend++) {
                        off[bend] = off[bend].plus(read.minus(asked).withinHalfTurn());
                    }
                }
            }
        });
        return off;
    }

    /** A dog leg is read without its side; it is drawn at the last bend, unless turns say where it is. */
    private Angle twist() {
        boolean bySide = Arrays.stream(turned).anyMatch(angle -> angle.count() != 0);
        return !bySide && readings.get(FeatureId.DOG_LEG) instanceof Angle read ? read : Angle.ZERO;
    }

    private Optional<double[]> residuals(Piece piece, double[] parameters) {
        List<Double> residuals = new ArrayList<>();
        try {
            for (Feature feature : Features.of(layout.job().bend(), piece)) {
                Quantity read = readings.get(feature.id());
                if (read != null && feature.id().isOfFinishedPiece()) {
                    residuals.add(residual(feature.id(), feature.value().minus(read)));
                }
            }
        } catch (Refused notANinety) {
            return Optional.empty();
        }
        double[] start = start();
        for (int i = 0; i < bends; i++) {
            residuals.add((parameters[i] - start[i]) / LOOSE_IN);
            residuals.add((parameters[bends + i] - start[bends + i]) / LOOSE_DEG);
        }
        residuals.add((parameters[2 * bends] - start[2 * bends]) / LOOSE_IN);
        return Optional.of(residuals.stream().mapToDouble(Double::doubleValue).toArray());
    }

    private double residual(FeatureId feature, Quantity difference) {
        return switch (difference) {
            case Length length -> length.inches() / spread.of(feature).number();
            case Angle angle -> angle.degrees() / spread.of(feature).number();
            // How flat it is says nothing of where it goes.
            case Percentage _ -> 0;
        };
    }
}
