package lobrik.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TakeOffTest {

    /** Worked by hand: 71 1/4 − 40 5/8 = 30 5/8, less 1/8 of play is 30 1/2, with 5/8 in the fitting 31 1/8. */
    @ParameterizedTest
    @CsvSource({
        "71 1/4 − 40 5/8, 30 5/8",
        "71 1/4 - 40 5/8, 30 5/8",
        "71 1/4 − 40 5/8 − 1/8, 30 1/2",
        "71 1/4 − 40 5/8 − 1/8 + 5/8, 31 1/8",
        "71-1/4 − 40-5/8, 30 5/8",
        "30 + 5/8, 30 5/8",
        "5' 11 1/4\" − 40 5/8, 30 5/8",
        "30 1/2, 30 1/2"
    })
    void readings_giveTheDistance(String text, String inches) {
        assertThat(TakeOff.parse(text, LengthUnit.INCH).length()).isEqualTo(Length.parse(inches, LengthUnit.INCH));
    }

    @Test
    void parts_areKeptApart() {
        TakeOff takeOff = TakeOff.parse("1810 − 1032 − 3 + 16", LengthUnit.MILLIMETRE);
        assertThat(takeOff.near()).contains(Length.ofMillimetres(1032));
        assertThat(takeOff.play()).isEqualTo(Length.ofMillimetres(3));
        assertThat(takeOff.insertion()).isEqualTo(Length.ofMillimetres(16));
        assertThat(takeOff.length()).isEqualTo(Length.ofMillimetres(791));
        assertThat(takeOff.isTakenOff()).isTrue();
        assertThat(TakeOff.parse("14-3/8", LengthUnit.INCH).isTakenOff()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "40 5/8 − 71 1/4, swap them",
        "12 − 12, swap them",
        "12 − 11 15/16 − 1/8, leaves nothing",
        "12 − 1 − 1 − 1, two readings",
        "12 + 1 + 1, two readings",
        "12 − 3/0, 3/0",
        "12 − , ''"
    })
    void impossibleTakeOffs_areRefusedWithTheReason(String text, String reason) {
        assertThatThrownBy(() -> TakeOff.parse(text, LengthUnit.INCH))
                .isInstanceOf(RefusedText.class)
                .hasMessageContaining(reason);
    }

    @Test
    void secondReadingThatIsNoLength_isPointedAt() {
        assertThatThrownBy(() -> TakeOff.parse("71 1/4 − 4o", LengthUnit.INCH))
                .isInstanceOfSatisfying(
                        RefusedText.class,
                        refused -> assertThat(refused.position()).isGreaterThanOrEqualTo(8));
    }
}
