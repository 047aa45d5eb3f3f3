package lobrik.server.demo;

import java.util.ArrayList;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.server.shed.ConduitSize;
import lobrik.server.shed.Rack;
import lobrik.shop.Conduit;
import lobrik.shop.FormerTable;
import lobrik.shop.HandBenderTable;
import lobrik.shop.Machine;
import lobrik.shop.MachineTable;
import lobrik.shop.RamTravel;
import lobrik.shop.Shoe;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;
import lobrik.shop.TradeSize;

/**
 * The benders that the made-up school works with. One is worn: it takes up a quarter of an inch more than its profile
 * says, so that everybody's legs come out long on it.
 */
record DemoRack(Racked half, Racked threeQuarters, Racked worn) {

    private static final int LAST_WITH_THE_WORN_ONE = 9;
    private static final Length WEAR = Length.ofFraction(0, 1, 4);

    /** A bender on the rack: as it is known, and its figures as they really are. */
    record Racked(Rack.Racked known, Tool asItReallyIs) {

        /** One that is as it is known. */
        static Racked good(Rack.Racked known) {
            return new Racked(known, known.revision().tool());
        }

        String label() {
            return known.bender().label();
        }

        ConduitSize conduit() {
            return known.conduit();
        }

        Tooling inTruth() {
            return new Tooling(new Conduit(conduit().outsideDiameter()), asItReallyIs);
        }
    }

    static DemoRack fill(GenericShed shed) {
        shed.bender(
                "Bender 9",
                shed.emt(TradeSize.ONE),
                HandBenderTable.forEmt(TradeSize.ONE).orElseThrow());
        return of(shed, shed.emt(TradeSize.HALF), shed.emt(TradeSize.THREE_QUARTERS), "Bender ");
    }

    /** What is not bent by hand: a machine whose rows were made by test bends, and a bench with heat guns. */
    record Elsewhere(Racked machine, Racked heat) {

        /** @param shed with ids of its own, so that those of everything else stay what they are */
        static Elsewhere fill(GenericShed shed) {
            return new Elsewhere(
                    Racked.good(shed.bender("Machine 1", shed.emt(TradeSize.THREE), tested())),
                    Racked.good(shed.bender(
                            "Heat 1",
                            shed.pvc(TradeSize.THREE_QUARTERS),
                            FormerTable.forPvc(TradeSize.THREE_QUARTERS).orElseThrow())));
        }

        /** The generic shoe with a row more: a test bend of 90° at rest. */
        private static Machine tested() {
            Machine generic = MachineTable.forEmt(TradeSize.THREE).orElseThrow();
            List<RamTravel.Row> rows = new ArrayList<>(generic.ramTravel().rows());
            rows.add(new RamTravel.Row(Angle.ofDegrees(94), Length.ofFraction(9, 1, 4)));
            return new Machine(
                    generic.takeUp(),
                    generic.radius(),
                    generic.minSpacing(),
                    generic.minStub(),
                    generic.minPastShoe(),
                    generic.springback(),
                    new RamTravel(rows));
        }
    }

    /** The same benders for another purpose, under names of their own, for conduit that the shed has already. */
    static DemoRack like(GenericShed shed, String name) {
        return of(shed, shed.known(TradeSize.HALF), shed.known(TradeSize.THREE_QUARTERS), name + ", bender ");
    }

    private static DemoRack of(GenericShed shed, ConduitSize halfInch, ConduitSize threeQuarterInch, String name) {
        Shoe half = HandBenderTable.forEmt(TradeSize.HALF).orElseThrow();
        Shoe threeQuarters = HandBenderTable.forEmt(TradeSize.THREE_QUARTERS).orElseThrow();
        Shoe worn = Shoe.of(threeQuarters.takeUp().plus(WEAR), threeQuarters.radius());
        return new DemoRack(
                new Racked(shed.bender(name + "2", halfInch, half), half),
                new Racked(shed.bender(name + "4", threeQuarterInch, threeQuarters), threeQuarters),
                new Racked(shed.bender(name + "7", threeQuarterInch, threeQuarters), worn));
    }

    /** Which bender a session uses: the two good ones by turns, and in the first half of the term the worn one every third time. */
    Racked forSession(int session) {
        if (session % 3 == 2 && session < LAST_WITH_THE_WORN_ONE) {
            return worn;
        }
        return session % 2 == 0 ? threeQuarters : half;
    }
}
