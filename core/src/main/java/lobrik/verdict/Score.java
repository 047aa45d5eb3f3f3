package lobrik.verdict;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;

/**
 * The score of a piece (handbook 7): 100 × the weighted mean of credits, less deductions for workmanship, never below 0.
 *
 * @param points 0 to 100
 * @param passed every critical reading within its tolerance and the points at the pass mark or above
 */
public record Score(double points, boolean passed, List<Judged> items) {

    /** Points are sums of fractions; they are rounded to a billionth, so that 70 is 70. */
    private static final double PARTS_OF_A_POINT = 1e9;

    /**
     * Scores readings, with workmanship as points only.
     *
     * @param deductions workmanship deductions in points, 0 to 100
     * @throws lobrik.fault.Refused for no readings, a feature twice, no weight at all, or figures outside their range
     */
    public static Score of(List<Reading> readings, Scheme scheme, double passMark, double deductions) {
        return of(readings, scheme, passMark, new Workmanship.Found(deductions, false));
    }

    /**
     * Scores readings.
     *
     * @param found faults of workmanship; a critical one fails the piece whatever its points
     * @throws lobrik.fault.Refused for no readings, a feature twice, no weight at all, or figures outside their range
     */
    public static Score of(List<Reading> readings, Scheme scheme, double passMark, Workmanship.Found found) {
        double deductions = found.deductions();
        requireScorable(readings, passMark, deductions);
        List<Judged> items =
                readings.stream().map(reading -> reading.judged(scheme)).toList();
        double weights = 0;
        double credits = 0;
        boolean criticalWithin = !found.critical();
        for (int i = 0; i < items.size(); i++) {
            weights += readings.get(i).weight();
            credits += readings.get(i).weight() * items.get(i).credit();
            criticalWithin &= !readings.get(i).critical() || items.get(i).band() != Judged.Band.OUTSIDE;
        }
        double exact = Math.max(0, 100 * credits / weights - deductions);
        double points = Math.round(exact * PARTS_OF_A_POINT) / PARTS_OF_A_POINT;
        return new Score(points, criticalWithin && points >= passMark, items);
    }

    /** The same points, but not passed: something critical was not measured, so nobody can say that it is within. */
    public Score withoutPass() {
        return new Score(points, false, items);
    }

    private static void requireScorable(List<Reading> readings, double passMark, double deductions) {
        Faults faults = new Faults();
        if (readings.stream().mapToDouble(Reading::weight).sum() <= 0) {
            faults.add(
                    FaultCode.MISSING, "items", "there is nothing to score: give at least one reading with a weight");
        }
        Set<FeatureId> seen = new TreeSet<>();
        for (int i = 0; i < readings.size(); i++) {
            if (!seen.add(readings.get(i).feature())) {
                String id = readings.get(i).feature().id();
                faults.add(FaultCode.DUPLICATE, "items/" + i + "/feature", "“" + id + "” is given twice; give it once");
            }
        }
        requirePercent(faults, "passMark", "the pass mark", passMark);
        requirePercent(faults, "deductions", "the deductions", deductions);
        faults.refuseIfAny();
    }

    private static void requirePercent(Faults faults, String input, String name, double value) {
        if (!(value >= 0 && value <= 100)) {
            faults.add(FaultCode.OUT_OF_RANGE, input, name + " is " + value + "; it must be from 0 to 100");
        }
    }
}
