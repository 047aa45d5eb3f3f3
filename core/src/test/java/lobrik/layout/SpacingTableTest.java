package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

class SpacingTableTest {

    private final Tooling tooling = Jobs.threeQuarters();

    @Test
    void offsets_areTheMultiplierByTheCard_andTheTriangleWithItsCurves_exactly() {
        SpacingTable table = SpacingTable.offsets(tooling, MultiplierChart.USUAL, LengthUnit.INCH);
        assertThat(table.rows()).hasSize(8);
        SpacingTable.Row six = table.rows().get(5);
        assertThat(six.height()).isEqualTo(Length.ofInches(6));
        SpacingTable.Spacing thirty = six.spacings().get(1);
        assertThat(thirty.byCard().orElseThrow()).isEqualTo(Length.ofInches(12));
        // Between the tangents' corners the slope is rise / sin; each corner stands off its curve by R tan(half), and
        // the
        // conduit is as long as the curve.
        double radius = tooling.tool().radius().inches();
        double angle = Math.toRadians(30);
        double exactly = 6 / Math.sin(angle) - 2 * radius * Math.tan(angle / 2) + radius * angle;
        assertThat(thirty.exactly().orElseThrow().inches()).isCloseTo(exactly, within(1e-6));
    }

    @Test
    void saddles_areTwoAndAHalfTimesTheHeightByTheCard() {
        SpacingTable table = SpacingTable.saddles(tooling, MultiplierChart.USUAL, LengthUnit.INCH);
        SpacingTable.Row two = table.rows().get(2);
        assertThat(two.height()).isEqualTo(Length.ofInches(2));
        assertThat(two.spacings().getFirst().byCard().orElseThrow()).isEqualTo(Length.ofInches(5));
        assertThat(two.spacings().getFirst().exactly()).isPresent();
    }

    @Test
    void inMillimetres_theHeightsAreMetric() {
        SpacingTable offsets = SpacingTable.offsets(tooling, MultiplierChart.USUAL, LengthUnit.MILLIMETRE);
        assertThat(offsets.rows()).hasSize(8);
        SpacingTable.Row fifty = offsets.rows().get(1);
        assertThat(fifty.height()).isEqualTo(Length.ofMillimetres(50));
        assertThat(fifty.spacings().get(1).byCard().orElseThrow()).isEqualTo(Length.ofMillimetres(100));
        SpacingTable saddles = SpacingTable.saddles(tooling, MultiplierChart.USUAL, LengthUnit.MILLIMETRE);
        assertThat(saddles.rows().getLast().height()).isEqualTo(Length.ofMillimetres(90));
        assertThat(saddles.rows().getLast().spacings().getFirst().byCard().orElseThrow())
                .isEqualTo(Length.ofMillimetres(225));
    }

    @Test
    void whatABenderCannotDo_isLeftOpen() {
        assertThat(SpacingTable.offsets(tooling, MultiplierChart.USUAL, LengthUnit.INCH)
                        .rows()
                        .getFirst()
                        .spacings()
                        .getLast()
                        .byCard())
                .as("1 in at 45° has its bends within one another")
                .isEmpty();
    }
}
