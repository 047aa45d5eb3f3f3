package lobrik.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PercentageTest {

    @ParameterizedTest
    @CsvSource({
        "4, 4",
        "4.5, 4.5",
        "4 1/2, 4.5",
        "4½, 4.5",
        "4 %, 4",
        "4%, 4",
        "12.25 per cent, 12.25",
        "100, 100",
        "0, 0"
    })
    void textsAreReadExactly(String text, double perCent) {
        assertThat(Percentage.parse(text)).isEqualTo(Percentage.of(perCent));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "-2", "flat", "4 %%", "4 in", "4,5"})
    void whatIsNoPercentage_isRefused(String text) {
        assertThatThrownBy(() -> Percentage.parse(text)).isInstanceOf(RefusedText.class);
    }

    @Test
    void moreThanAll_isRefused_withValueLimitAndWhatToDo() {
        assertThatThrownBy(() -> Percentage.parse("140"))
                .isInstanceOf(RefusedText.class)
                .hasMessageContaining("140 % is more than there is")
                .hasMessageContaining("from 0 to 100")
                .hasMessageContaining("caliper again");
    }

    @Test
    void isWrittenToATenth_withASignWhereItIsADeviation() {
        assertThat(Percentage.of(4.46).text()).isEqualTo("4.5 %");
        assertThat(Percentage.of(4).text()).isEqualTo("4 %");
        assertThat(Percentage.of(4).signedText()).isEqualTo("+4 %");
        assertThat(Percentage.of(-4).signedText()).isEqualTo("−4 %");
        assertThat(Percentage.ZERO.signedText()).isEqualTo("0 %");
    }

    @Test
    void twoKindsOfQuantity_areNotCompared() {
        assertThatThrownBy(() -> Percentage.of(4).minus(Angle.RIGHT)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Percentage.of(4).minus(Percentage.of(1))).isEqualTo(Percentage.of(3));
    }
}
