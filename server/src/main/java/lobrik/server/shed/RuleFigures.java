package lobrik.server.shed;

import lobrik.verdict.Workmanship;

/**
 * What a fault of workmanship costs, as it is sent and stored.
 *
 * @param deduction points off the score
 * @param critical whether the piece fails with it
 */
public record RuleFigures(double deduction, boolean critical) {

    static RuleFigures of(Workmanship.Rule rule) {
        return new RuleFigures(rule.deduction(), rule.critical());
    }

    Workmanship.Rule toCore() {
        return new Workmanship.Rule(deduction, critical);
    }
}
