package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import lobrik.cause.Pieces;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Quantity;
import org.junit.jupiter.api.Test;

class DifferenceTest {

    private static int drawnTimes(double movedInches) {
        Layout offset = Pieces.offset();
        Map<FeatureId, Quantity> readings = Pieces.readings(
                offset, new double[] {movedInches, movedInches}, new double[] {0, 0}, new double[] {0, 0});
        return Difference.drawnTimes(offset, AsMeasured.of(offset, readings));
    }

    @Test
    void whatTheEyeWouldNotSee_isDrawnLarger_andWhatIsPlainToSeeIsNot() {
        assertThat(drawnTimes(0)).isEqualTo(Difference.LARGER);
        assertThat(drawnTimes(0.25)).isEqualTo(Difference.LARGER);
        assertThat(drawnTimes(-4)).isEqualTo(1);
    }

    @Test
    void pieceThatIsNotMeasuredYet_hasTheUsualFactor() {
        assertThat(Difference.drawnTimes(Pieces.saddle(), Optional.empty())).isEqualTo(Difference.LARGER);
    }
}
