package lobrik.server.demo;

/**
 * A made-up trainee with the habits that the demo data shows.
 *
 * @param markBiasIn how far off the right place the trainee rings the mark on the whole
 * @param markSpreadIn how much that varies
 * @param angleBiasDeg how far over (+) or under (−) the bend comes out on the whole
 * @param angleSpreadDeg how much that varies
 * @param learning how much of all this is gone after eight weeks, 0 to 1
 * @param slips chance of forgetting the take-up at a piece
 * @param unheated which part of a curve is not warmed, where one should be
 */
record DemoPerson(
        String name,
        double markBiasIn,
        double markSpreadIn,
        double angleBiasDeg,
        double angleSpreadDeg,
        double learning,
        double slips,
        double unheated) {

    /** Whatever is warmed is warmed over all of its length. */
    DemoPerson(
            String name,
            double markBiasIn,
            double markSpreadIn,
            double angleBiasDeg,
            double angleSpreadDeg,
            double learning,
            double slips) {
        this(name, markBiasIn, markSpreadIn, angleBiasDeg, angleSpreadDeg, learning, slips, 0);
    }

    /** Steady, with an ordinary spread. */
    static DemoPerson steady(String name, double markSpreadIn, double angleSpreadDeg) {
        return new DemoPerson(name, 0, markSpreadIn, 0, angleSpreadDeg, 0.4, 0);
    }

    /** How much of bias and spread is left at this part of the eight weeks, 0 to 1. */
    double left(double partOfTerm) {
        return 1 - learning * partOfTerm;
    }
}
