package lobrik.verdict;

import lobrik.bend.BendKind;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;

/**
 * How far readings may be off, and the mark to pass. A set that a recorded attempt used is frozen with it.
 *
 * @param length for every length without limits of its own, to both sides, more than 0 and at most 12 in
 * @param angle for every angle without limits of its own, more than 0° and at most 45°
 * @param dogLeg for the angle between bend planes, like angle
 * @param passMark least score to pass, 0 to 100
 * @param workmanship what faults of workmanship cost
 * @param judging how credit falls, what counts more, and what fails a piece
 * @param rebending how much a piece may be bent again
 * @param limits of features that have their own, in the same ranges
 * @param entering when a run goes into both of its fittings
 */
public record Tolerances(
        Length length,
        Angle angle,
        Angle dogLeg,
        double passMark,
        Workmanship workmanship,
        Judging judging,
        Rebending rebending,
        PerFeature<Tolerance> limits,
        Entering entering) {

    public static final double USUAL_PASS_MARK = 70;

    /** How flat a bend may be (handbook 4.10), where a set does not say otherwise. */
    public static final Percentage USUAL_FLATTENING = Percentage.of(10);

    private static final Percentage SMALLEST_PERCENTAGE = Percentage.of(0.1);

    private static final Length LARGEST_LENGTH = Length.ofInches(12);
    private static final Angle SMALLEST_ANGLE = Angle.ofDegrees(0.01);
    private static final Angle LARGEST_ANGLE = Angle.ofDegrees(45);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Tolerances {
        Faults faults = new Faults();
        faults.requirePositive("lengthIn", "the length tolerance", length, LARGEST_LENGTH);
        faults.requireWithin("angleDeg", "the angle tolerance", angle, SMALLEST_ANGLE, LARGEST_ANGLE);
        faults.requireWithin("dogLegDeg", "the dog leg tolerance", dogLeg, SMALLEST_ANGLE, LARGEST_ANGLE);
        if (!(passMark >= 0 && passMark <= 100)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE, "passMark", "the pass mark is " + passMark + "; it must be from 0 to 100");
        }
        limits.ofKind().forEach((kind, own) -> requireLimits(faults, kind.id(), kind.measured(), own));
        limits.ofOne().forEach((feature, own) -> requireLimits(faults, feature.id(), feature.measured(), own));
        faults.refuseIfAny();
    }

    private static void requireLimits(Faults faults, String feature, QuantityKind measured, Tolerance own) {
        requireLimit(faults, feature, measured, "over", own.over());
        requireLimit(faults, feature, measured, "under", own.under());
    }

    private static void requireLimit(
            Faults faults, String feature, QuantityKind measured, String side, Quantity limit) {
        String input = "limits/" + feature + "/" + side;
        String name = "what a reading of " + feature + " may be " + side;
        switch (measured) {
            case LENGTH -> {
                if (limit instanceof Length length) {
                    faults.requirePositive(input, name, length, LARGEST_LENGTH);
                } else {
                    faults.add(FaultCode.OUT_OF_RANGE, input, name + " is " + limit + "; it must be a length");
                }
            }
            case ANGLE -> {
                if (limit instanceof Angle angle) {
                    faults.requireWithin(input, name, angle, SMALLEST_ANGLE, LARGEST_ANGLE);
                } else {
                    faults.add(FaultCode.OUT_OF_RANGE, input, name + " is " + limit + "; it must be an angle");
                }
            }
            case PERCENTAGE -> {
                if (limit instanceof Percentage part) {
                    faults.requireWithin(input, name, part, SMALLEST_PERCENTAGE, Percentage.ALL);
                } else {
                    faults.add(FaultCode.OUT_OF_RANGE, input, name + " is " + limit + "; it must be a percentage");
                }
            }
        }
    }

    /** Where runs go in as usual. */
    public Tolerances(
            Length length,
            Angle angle,
            Angle dogLeg,
            double passMark,
            Workmanship workmanship,
            Judging judging,
            Rebending rebending,
            PerFeature<Tolerance> limits) {
        this(length, angle, dogLeg, passMark, workmanship, judging, rebending, limits, Entering.USUAL);
    }

    /** With the same limits for every length and for every angle. */
    public Tolerances(
            Length length,
            Angle angle,
            Angle dogLeg,
            double passMark,
            Workmanship workmanship,
            Judging judging,
            Rebending rebending) {
        this(length, angle, dogLeg, passMark, workmanship, judging, rebending, PerFeature.none());
    }

    /** With the usual rules for workmanship on site. */
    public Tolerances(Length length, Angle angle, Angle dogLeg, double passMark) {
        this(length, angle, dogLeg, passMark, Workmanship.usual(true, false), Judging.USUAL, Rebending.USUAL);
    }

    /** The tolerance of one feature of a kind of bend; the small rise of a box offset has half of it (handbook 7). */
    public Tolerance of(BendKind bend, FeatureId feature) {
        return limits.of(feature).orElseGet(() -> Tolerance.even(usual(bend, feature)));
    }

    private Quantity usual(BendKind bend, FeatureId feature) {
        return switch (feature.measured()) {
            case LENGTH -> bend.isSmall() && FeatureId.RISE.equals(feature) ? length.times(0.5) : length;
            case ANGLE -> FeatureId.DOG_LEG.equals(feature) ? dogLeg : angle;
            case PERCENTAGE -> USUAL_FLATTENING;
        };
    }
}
