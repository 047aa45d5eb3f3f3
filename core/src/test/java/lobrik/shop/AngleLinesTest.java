package lobrik.shop;

import static org.assertj.core.api.Assertions.assertThat;

import lobrik.measure.Angle;
import org.junit.jupiter.api.Test;

class AngleLinesTest {

    @Test
    void nearestLine_comesFirst() {
        assertThat(AngleLines.nearestTo(Angle.ofDegrees(25)).getFirst()).isEqualTo(Angle.ofDegrees(22.5));
        assertThat(AngleLines.nearestTo(Angle.ofDegrees(80)).getFirst()).isEqualTo(Angle.RIGHT);
        assertThat(AngleLines.nearestTo(Angle.ofDegrees(25))).hasSameElementsAs(AngleLines.all());
        assertThat(AngleLines.has(Angle.ofDegrees(45))).isTrue();
        assertThat(AngleLines.has(Angle.ofDegrees(15))).isFalse();
    }
}
