package lobrik.shop;

import lobrik.measure.Length;

/** True outside diameters by material and trade size (handbook 3). */
public final class ConduitTable {

    /** One trade size, inches. */
    private record Row(double emt, double imc, double rigid) {}

    private ConduitTable() {}

    public static Conduit conduit(ConduitMaterial material, TradeSize size) {
        Row row = row(size);
        double inches = switch (material) {
            case EMT -> row.emt();
            case IMC -> row.imc();
            case RIGID, PVC -> row.rigid();
        };
        return new Conduit(Length.ofInches(inches));
    }

    private static Row row(TradeSize size) {
        return switch (size) {
            case HALF -> new Row(.706, .815, .840);
            case THREE_QUARTERS -> new Row(.922, 1.029, 1.050);
            case ONE -> new Row(1.163, 1.290, 1.315);
            case ONE_AND_A_QUARTER -> new Row(1.510, 1.638, 1.660);
            case ONE_AND_A_HALF -> new Row(1.740, 1.883, 1.900);
            case TWO -> new Row(2.197, 2.360, 2.375);
            case TWO_AND_A_HALF -> new Row(2.875, 2.857, 2.875);
            case THREE -> new Row(3.500, 3.476, 3.500);
            case THREE_AND_A_HALF -> new Row(4.000, 3.971, 4.000);
            case FOUR -> new Row(4.500, 4.466, 4.500);
        };
    }
}
