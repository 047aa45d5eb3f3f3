package lobrik.shop;

import java.util.Map;
import lobrik.measure.Length;

/** Generic hand benders for EMT: starting values to be calibrated (handbook 3). */
public final class HandBenderTable {

    private static final Map<TradeSize, Bender> EMT = Map.of(
            TradeSize.HALF, generic(5, 4.25),
            TradeSize.THREE_QUARTERS, generic(6, 5.125),
            TradeSize.ONE, generic(8, 6.5),
            TradeSize.ONE_AND_A_QUARTER, generic(11, 8.75));

    private HandBenderTable() {}

    /** Generic benders by the trade size of EMT that they bend. */
    public static Map<TradeSize, Bender> forEmt() {
        return EMT;
    }

    private static Bender generic(double takeUpInches, double radiusInches) {
        return Bender.of(Length.ofInches(takeUpInches), Length.ofInches(radiusInches));
    }
}
