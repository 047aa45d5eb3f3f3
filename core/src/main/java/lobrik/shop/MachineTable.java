package lobrik.shop;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * Generic machine shoes for EMT: starting values, to be made by test bends (handbook 4.11 for 3 in; the others are drawn up alike: the
 * deduct is the radius and a diameter, and the least stub leaves as much past the shoe as keeps the end round).
 */
public final class MachineTable {

    /** Springback of the generic profile: 1½° at 30°, 3½° at 90°. */
    private static final Springback SPRINGBACK = new Springback(List.of(
            new Springback.Row(Angle.ofDegrees(30), Angle.ofDegrees(1.5)),
            new Springback.Row(Angle.RIGHT, Angle.ofDegrees(3.5))));

    private static final Length MIN_SPACING = Length.ofInches(6);

    private MachineTable() {}

    /** The generic shoe for a trade size of EMT; empty for sizes that are bent by hand. */
    public static Optional<Machine> forEmt(TradeSize size) {
        return switch (size) {
            case TWO_AND_A_HALF -> generic(14.375, 11.5, 3, RamTravel.NONE);
            case THREE -> generic(17.5, 14, 3.5, travelOfThree());
            case THREE_AND_A_HALF -> generic(20, 16, 4, RamTravel.NONE);
            case FOUR -> generic(22.5, 18, 4.5, RamTravel.NONE);
            case HALF, THREE_QUARTERS, ONE, ONE_AND_A_QUARTER, ONE_AND_A_HALF, TWO -> Optional.empty();
        };
    }

    private static Optional<Machine> generic(
            double deductInches, double radiusInches, double pastShoeInches, RamTravel travel) {
        return Optional.of(new Machine(
                Length.ofInches(deductInches),
                Length.ofInches(radiusInches),
                MIN_SPACING,
                Length.ofInches(deductInches + pastShoeInches),
                Length.ofInches(pastShoeInches),
                SPRINGBACK,
                travel));
    }

    private static RamTravel travelOfThree() {
        return new RamTravel(List.of(
                row(30, Length.ofFraction(2, 5, 8)),
                row(45, Length.ofFraction(4, 1, 8)),
                row(60, Length.ofFraction(5, 3, 4)),
                row(90, Length.ofFraction(8, 7, 8))));
    }

    private static RamTravel.Row row(double degrees, Length travel) {
        return new RamTravel.Row(Angle.ofDegrees(degrees), travel);
    }
}
