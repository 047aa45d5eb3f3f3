package lobrik.verdict;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;

/**
 * What faults of workmanship cost.
 *
 * @param rules for each point that is looked over; what is not here costs nothing
 */
public record Workmanship(Map<InspectionPoint, Rule> rules) {

    /**
     * What a fault costs.
     *
     * @param deduction points off the score, 0 to 100
     * @param critical whether the piece fails with it
     */
    public record Rule(double deduction, boolean critical) {}

    /** The faults that were found, added up. */
    public record Found(double deductions, boolean critical) {

        /** Nothing was found. */
        public static final Found NOTHING = new Found(0, false);

        /** The same and so many points more, never more than there are. */
        Found with(double more) {
            return new Found(Math.min(MOST, deductions + more), critical);
        }
    }

    private static final double MOST = 100;

    /** @throws lobrik.fault.Refused with every deduction that is outside its range */
    public Workmanship {
        Faults faults = new Faults();
        rules.forEach((point, rule) -> {
            if (!(rule.deduction() >= 0 && rule.deduction() <= MOST)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        "workmanship/" + point.id(),
                        "the deduction is " + rule.deduction() + "; it must be from 0 to 100");
            }
        });
        faults.refuseIfAny();
        rules = Map.copyOf(rules);
    }

    /** What these faults cost together; never more than all points. */
    public Found found(Set<InspectionPoint> faulty) {
        double deductions = 0;
        boolean critical = false;
        for (InspectionPoint point : faulty) {
            Rule rule = rules.getOrDefault(point, new Rule(0, false));
            deductions += rule.deduction();
            critical |= rule.critical();
        }
        return new Found(Math.min(MOST, deductions), critical);
    }

    /**
     * The usual rules. What makes a conduit unusable (a kink, a piece that enters no fitting or touches what it should
     * clear) is critical except while learning; burrs cut insulation, so ends are critical where a piece is assessed.
     */
    static Workmanship usual(boolean unusableFails, boolean endsFail) {
        Map<InspectionPoint, Rule> rules = new EnumMap<>(InspectionPoint.class);
        rules.put(InspectionPoint.LIES_FLAT, new Rule(5, false));
        rules.put(InspectionPoint.ENDS, new Rule(5, endsFail));
        rules.put(InspectionPoint.RIPPLE, new Rule(5, false));
        rules.put(InspectionPoint.KINK, new Rule(20, unusableFails));
        rules.put(InspectionPoint.FLATTENING, new Rule(10, endsFail));
        rules.put(InspectionPoint.SCORCH, new Rule(10, endsFail));
        rules.put(InspectionPoint.MARKS_LEFT, new Rule(2, false));
        rules.put(InspectionPoint.FITS, new Rule(10, unusableFails));
        rules.put(InspectionPoint.CLEARS, new Rule(15, unusableFails));
        return new Workmanship(rules);
    }
}
