package lobrik.shop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The reference figures, as handbook 3 prints them. */
class TablesTest {

    @ParameterizedTest
    @CsvSource({
        "EMT, .706 .922 1.163 1.510 1.740 2.197 2.875 3.500 4.000 4.500",
        "IMC, .815 1.029 1.290 1.638 1.883 2.360 2.857 3.476 3.971 4.466",
        "RIGID, .840 1.050 1.315 1.660 1.900 2.375 2.875 3.500 4.000 4.500",
        "PVC, .840 1.050 1.315 1.660 1.900 2.375 2.875 3.500 4.000 4.500",
    })
    void diameters_areThoseOfTheHandbook(ConduitMaterial material, String inches) {
        List<Length> printed = Arrays.stream(inches.split(" "))
                .map(Double::valueOf)
                .map(Length::ofInches)
                .toList();
        List<Length> tabulated = Arrays.stream(TradeSize.values())
                .map(size -> ConduitTable.conduit(material, size).outsideDiameter())
                .toList();
        assertThat(tabulated).isEqualTo(printed);
    }

    @ParameterizedTest
    @CsvSource({"HALF, 5, 4.25", "THREE_QUARTERS, 6, 5.125", "ONE, 8, 6.5", "ONE_AND_A_QUARTER, 11, 8.75"})
    void genericHandBenders_areThoseOfTheHandbook(TradeSize size, double takeUp, double radius) {
        Shoe bender = HandBenderTable.forEmt(size).orElseThrow();
        assertThat(bender.takeUp()).isEqualTo(Length.ofInches(takeUp));
        assertThat(bender.radius()).isEqualTo(Length.ofInches(radius));
    }

    @ParameterizedTest
    @EnumSource(TradeSize.class)
    void genericHandBenders_doNotContradictThemselves(TradeSize size) {
        Conduit conduit = ConduitTable.conduit(ConduitMaterial.EMT, size);
        Optional<Tooling> tooling = HandBenderTable.forEmt(size).map(bender -> new Tooling(conduit, bender));
        assertThat(tooling.stream()).allSatisfy(pair -> {
            assertThat(pair.shoe().orElseThrow().arrowLead()).isGreaterThanOrEqualTo(Length.ZERO);
            assertThat(pair.shoe().orElseThrow().starOffset()).isGreaterThan(Length.ZERO);
            assertThat(pair.shoe().orElseThrow().starOffset())
                    .isLessThan(pair.shoe().orElseThrow().takeUp());
        });
    }

    @Test
    void handBender_oneSizeUp_bendsRigidOfTheSizeBelow() {
        // handbook 3: the 3/4 shoe takes 1/2 rigid, which is thinner than 1 EMT but thicker than 1/2 EMT
        Shoe threeQuarters = HandBenderTable.forEmt(TradeSize.THREE_QUARTERS).orElseThrow();
        Conduit rigid = ConduitTable.conduit(ConduitMaterial.RIGID, TradeSize.HALF);
        assertThat(new Tooling(rigid, threeQuarters).shoe().orElseThrow().arrowLead())
                .isGreaterThan(Length.ZERO);
    }

    @Test
    void sizesTooLargeForHandBending_haveNoGenericBender() {
        assertThat(HandBenderTable.forEmt(TradeSize.TWO)).isEmpty();
        assertThat(HandBenderTable.forEmt(TradeSize.FOUR)).isEmpty();
    }
}
