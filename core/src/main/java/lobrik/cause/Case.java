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
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.shape.Surround;
import lobrik.verdict.BenderShare;
import lobrik.verdict.InspectionPoint;

/**
 * A piece of which somebody wants to know what went wrong.
 *
 * @param readings of any of the bend's features
 * @param own the trainee's own figures for the marks, by number from 1; may be empty
 * @param sigmaLength standard deviation of a reading of a length, more than 0
 * @param sigmaAngle the same of an angle
 * @param insertion how far an end goes into its fitting
 * @param fromBack numbers of the marks that were measured from the back of the bend before: they followed it wherever it went
 * @param bender what the bender adds by itself
 * @param faulty what was found wrong when it was looked over
 */
public record Case(
        Layout layout,
        Map<FeatureId, Quantity> readings,
        Map<Integer, Length> own,
        Length sigmaLength,
        Angle sigmaAngle,
        Length insertion,
        Priors priors,
        Set<Integer> fromBack,
        BenderShare bender,
        Set<InspectionPoint> faulty) {

    /** What a tape reads to (handbook 7). */
    public static final Length USUAL_SIGMA_LENGTH = Length.ofFraction(0, 1, 32);

    /** What a level reads to (handbook 7). */
    public static final Angle USUAL_SIGMA_ANGLE = Angle.ofDegrees(0.5);

    /** How round a bend stays that nothing went wrong with, besides what a caliper reads to. */
    public static final Percentage USUAL_SIGMA_FLATTENING = Percentage.of(2.5);

    private static final Length LARGEST_INSERTION = Length.ofInches(12);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Case {
        Faults faults = new Faults();
        faults.requireWithin("sigmaIn", "the tape's spread", sigmaLength, Length.ofInches(0.0001), Length.ofInches(2));
        faults.requireWithin("sigmaDeg", "the level's spread", sigmaAngle, Angle.ofDegrees(0.001), Angle.ofDegrees(30));
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
            Length sigmaLength,
            Angle sigmaAngle,
            Length insertion,
            Priors priors) {
        this(layout, readings, own, sigmaLength, sigmaAngle, insertion, priors, Set.of(), BenderShare.NONE, Set.of());
    }

    /** The same piece, on which this was found wrong. */
    public Case lookedOver(Set<InspectionPoint> found) {
        return new Case(layout, readings, own, sigmaLength, sigmaAngle, insertion, priors, fromBack, bender, found);
    }

    /** Standard deviation of a reading of a feature, in inches or degrees. */
    double sigma(FeatureId feature) {
        return switch (feature.measured()) {
            case LENGTH -> sigmaLength.inches();
            case ANGLE -> sigmaAngle.degrees();
            case PERCENTAGE -> USUAL_SIGMA_FLATTENING.perCent();
        };
    }

    /** What a reading of a feature is uncertain by besides: how surely it is known what the bender adds. */
    double sigmaWithBender(FeatureId feature) {
        return Math.hypot(sigma(feature), bender.error(feature));
    }

    /** A case with the usual instruments and priors. */
    public static Case of(Layout layout, Map<FeatureId, Quantity> readings) {
        return new Case(
                layout,
                readings,
                Map.of(),
                USUAL_SIGMA_LENGTH,
                USUAL_SIGMA_ANGLE,
                Surround.USUAL_INSERTION,
                Priors.USUAL);
    }
}
