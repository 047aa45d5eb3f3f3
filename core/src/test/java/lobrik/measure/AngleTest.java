package lobrik.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import lobrik.measure.RefusedText.Reason;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AngleTest {

    @ParameterizedTest
    @CsvSource({"22.5, 22.5", "22 1/2, 22.5", "22½, 22.5", "90°, 90", "90 deg, 90", "88.25 degrees, 88.25", "0, 0"})
    void angle_writtenAsPeopleDo_isRead(String text, double degrees) {
        assertThat(Angle.parse(text)).isEqualTo(Angle.ofDegrees(degrees));
    }

    @ParameterizedTest
    @CsvSource({
        "-2, NEGATIVE, 0",
        "361, TOO_LARGE, 0",
        "ninety, NOT_A_NUMBER, 0",
        "90mm, NOT_A_NUMBER, 2",
        "22 1/0, ZERO_DENOMINATOR, 5",
    })
    void angle_thatIsNone_isRefusedWithPlaceAndReason(String text, Reason reason, int position) {
        RefusedText refused = catchThrowableOfType(RefusedText.class, () -> Angle.parse(text));
        assertThat(refused.reason()).isEqualTo(reason);
        assertThat(refused.position()).isEqualTo(position);
    }

    @Test
    void refusal_isGoodEnglish() {
        assertThat(catchThrowableOfType(RefusedText.class, () -> Angle.parse("-2")))
                .hasMessageContaining("an angle cannot be negative here");
    }

    @Test
    void angle_isShownToATenthOfADegree() {
        assertThat(Angle.ofDegrees(22.5).text()).isEqualTo("22.5°");
        assertThat(Angle.ofDegrees(90).text()).isEqualTo("90°");
        assertThat(Angle.ofDegrees(-0.04).text()).isEqualTo("0°");
        assertThat(Angle.ofDegrees(1.25).signedText()).isEqualTo("+1.3°");
        assertThat(Angle.ofDegrees(-2).signedText()).isEqualTo("−2°");
        assertThat(Angle.ZERO.signedText()).isEqualTo("0°");
    }

    @Test
    void radians_goThereAndBack() {
        assertThat(Angle.ofRadians(Math.PI / 2)).isEqualTo(Angle.RIGHT);
        assertThat(Angle.RIGHT.radians()).isEqualTo(Math.PI / 2);
    }

    @Test
    void aTurnNearAnother_isTheSameDirection_andLessThanHalfATurnOff() {
        assertThat(Angle.ofDegrees(358).near(Angle.ZERO)).isEqualTo(Angle.ofDegrees(-2));
        assertThat(Angle.ofDegrees(-2).near(Angle.ofDegrees(270))).isEqualTo(Angle.ofDegrees(358));
        assertThat(Angle.ofDegrees(2).near(Angle.ofDegrees(270))).isEqualTo(Angle.ofDegrees(362));
        assertThat(Angle.ofDegrees(90).near(Angle.ofDegrees(270))).isEqualTo(Angle.ofDegrees(90));
        assertThat(Angle.ofDegrees(-90).withinTurn()).isEqualTo(Angle.ofDegrees(270));
    }
}
