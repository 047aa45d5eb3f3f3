package lobrik.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

class NearLimitTest {

    private static final Length EIGHTH = Length.ofFraction(0, 1, 8);

    private static Optional<NearLimit> rise(Length deviation, ReadingSpread spread) {
        return NearLimit.of(FeatureId.RISE, deviation, EIGHTH, spread);
    }

    @Test
    void onTheLimit_isInside_andAsLikelyOutside() {
        NearLimit near = rise(EIGHTH, ReadingSpread.USUAL).orElseThrow();
        assertThat(near.isInside()).isTrue();
        assertThat(near.otherwise()).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void oneSpreadBeyondIt_isOutside_butOneInSixIsNot() {
        NearLimit near = rise(Length.ofFraction(0, -5, 32), ReadingSpread.USUAL).orElseThrow();
        assertThat(near.isInside()).isFalse();
        assertThat(near.apart()).isEqualTo(Length.ofFraction(0, 1, 32));
        assertThat(near.otherwise()).isCloseTo(0.158655, within(1e-6));
    }

    @Test
    void twoSpreadsFromIt_isSettled() {
        assertThat(rise(Length.ofFraction(0, 1, 16), ReadingSpread.USUAL)).isEmpty();
    }

    @Test
    void whatASchoolFoundOut_decides() {
        ReadingSpread wider = ReadingSpread.known(Map.of(FeatureId.RISE, Length.ofFraction(0, 1, 16)));
        assertThat(rise(Length.ofFraction(0, 1, 16), wider)).isPresent();
        assertThat(NearLimit.of(FeatureId.angle(1), Angle.ofDegrees(1.8), Angle.ofDegrees(2), wider))
                .as("of angles it found nothing out")
                .isPresent();
    }
}
