package lobrik.cause;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.Surround;
import lobrik.verdict.BenderShare;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.ReadingSpread;

/**
 * A piece of which somebody wants to know what went wrong.
 *
 * @param readings of any of the bend's features
 * @param own the trainee's own figures for the marks, by number from 1; may be empty
 * @param spread how far readings of the same thing lie apart
 * @param insertion how far an end goes into its fitting
 * @param fromBack numbers of the marks that were measured from the back of the bend before: they followed it wherever it went
 * @param bender what the bender adds by itself
 * @param faulty what was found wrong when it was looked over
 */
public record Case(
        Layout layout,
        Map<FeatureId, Quantity> readings,
        Map<Integer, Length> own,
        ReadingSpread spread,
        Length insertion,
        Priors priors,
        Set<Integer> fromBack,
        BenderShare bender,
        Set<InspectionPoint> faulty) {

    private static final Length LARGEST_INSERTION = Length.ofInches(12);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Case {
        Faults faults = new Faults();
        faults.requireWithin(
                "sigmaIn", "the tape's spread", spread.length(), Length.ofInches(0.0001), Length.ofInches(2));
        faults.requireWithin(
                "sigmaDeg", "the level's spread", spread.angle(), Angle.ofDegrees(0.001), Angle.ofDegrees(30));
        faults.requireWithin("insertionIn", "the insertion", insertion, Length.ZERO, LARGEST_INSERTION);
        if (readings.isEmpty()) {
            faults.add(FaultCode.MISSING, "readings", "there is nothing to go by: give at least one reading");
        }
        faults.refuseIfAny();
        readings = FeatureId.inOrder(compared(layout, readings));
        own = Map.copyOf(own);
        fromBack = Set.copyOf(fromBack);
        faulty = Set.copyOf(faulty);
    }

    private static Map<FeatureId, Quantity> compared(Layout layout, Map<FeatureId, Quantity> readings) {
        Map<FeatureId, Quantity> compared = new TreeMap<>(readings);
        for (PlannedFeature feature : layout.features()) {
            compared.computeIfPresent(feature.id(), (id, read) -> id.compared(read, feature.predicted()));
        }
        return compared;
    }

    /** With every mark measured from the end of the straight conduit, on a bender that adds nothing; nobody looked it over. */
    public Case(
            Layout layout,
            Map<FeatureId, Quantity> readings,
            Map<Integer, Length> own,
            ReadingSpread spread,
            Length insertion,
            Priors priors) {
        this(layout, readings, own, spread, insertion, priors, Set.of(), BenderShare.NONE, Set.of());
    }

    /** The same piece, on which this was found wrong. */
    public Case lookedOver(Set<InspectionPoint> found) {
        return new Case(layout, readings, own, spread, insertion, priors, fromBack, bender, found);
    }

    /** Standard deviation of a reading of a feature, in inches or degrees. */
    double sigma(FeatureId feature) {
        return spread.of(feature).number();
    }

    /** What a reading of a feature is uncertain by besides: how surely it is known what the bender adds. */
    double sigmaWithBender(FeatureId feature) {
        return Math.hypot(sigma(feature), bender.error(feature));
    }

    /** A case with the usual instruments and priors. */
    public static Case of(Layout layout, Map<FeatureId, Quantity> readings) {
        return new Case(layout, readings, Map.of(), ReadingSpread.USUAL, Surround.USUAL_INSERTION, Priors.USUAL);
    }
}
