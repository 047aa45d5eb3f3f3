package lobrik.shop;

import java.util.Optional;
import lobrik.measure.Length;

/** Generic hand benders for EMT: starting values to be calibrated (handbook 3). */
public final class HandBenderTable {

    private HandBenderTable() {}

    /** The generic bender for a trade size of EMT; empty for sizes that are not bent by hand. */
    public static Optional<Shoe> forEmt(TradeSize size) {
        return switch (size) {
            case HALF -> generic(5, 4.25);
            case THREE_QUARTERS -> generic(6, 5.125);
            case ONE -> generic(8, 6.5);
            case ONE_AND_A_QUARTER -> generic(11, 8.75);
            case ONE_AND_A_HALF, TWO, TWO_AND_A_HALF, THREE, THREE_AND_A_HALF, FOUR -> Optional.empty();
        };
    }

    private static Optional<Shoe> generic(double takeUpInches, double radiusInches) {
        return Optional.of(Shoe.of(Length.ofInches(takeUpInches), Length.ofInches(radiusInches)));
    }
}
