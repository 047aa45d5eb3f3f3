package lobrik.shop;

import java.util.Optional;
import lobrik.measure.Length;

/** Radii for plastic that is bent with heat: starting values, the usual least of "other bends" (handbook 3), to be edited. */
public final class FormerTable {

    private FormerTable() {}

    /** For a trade size of plastic; empty for sizes that are hardly bent on a bench. */
    public static Optional<Former> forPvc(TradeSize size) {
        return switch (size) {
            case HALF -> of(4);
            case THREE_QUARTERS -> of(5);
            case ONE -> of(6);
            case ONE_AND_A_QUARTER -> of(8);
            case ONE_AND_A_HALF -> of(10);
            case TWO -> of(12);
            case TWO_AND_A_HALF, THREE, THREE_AND_A_HALF, FOUR -> Optional.empty();
        };
    }

    private static Optional<Former> of(double radiusInches) {
        return Optional.of(new Former(Length.ofInches(radiusInches), Tool.USUAL_MIN_SPACING, Former.Support.NONE));
    }
}
