package lobrik.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;

class LeastWidthTest {

    private static final FeatureId FLATTENING = FeatureId.flattening(1);

    @Test
    void flattening_isWhatIsMissingOfTheDiameter() {
        assertThat(new LeastWidth(Length.ofInches(0.79), Length.ofInches(0.84))
                        .flattening()
                        .perCent())
                .isCloseTo(100 * 0.05 / 0.84, within(1e-6));
        assertThat(new LeastWidth(Length.ofInches(0.84), Length.ofInches(0.84)).flattening())
                .isEqualTo(Percentage.ZERO);
    }

    @Test
    void readingMayBeAPercentage_orWhatTheCaliperSays_inEitherUnit() {
        assertThat(ReadingText.read(FLATTENING, "6 %", LengthUnit.INCH)).isEqualTo(Percentage.of(6));
        assertThat(ReadingText.read(FLATTENING, "0.79 of 0.84", LengthUnit.INCH).number())
                .isCloseTo(5.952381, within(1e-6));
        assertThat(ReadingText.read(FLATTENING, "20 of 21.3", LengthUnit.MILLIMETRE)
                        .number())
                .isCloseTo(100 * 1.3 / 21.3, within(1e-6));
    }

    @Test
    void widthOverTheDiameter_isRefused_withBoth() {
        assertThatThrownBy(() -> ReadingText.read(FLATTENING, "0.9 of 0.84", LengthUnit.INCH))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("give the least width first");
        assertThatThrownBy(() -> ReadingText.read(FLATTENING, "0.9 of 0", LengthUnit.INCH))
                .isInstanceOf(Refused.class);
    }

    @Test
    void nudges_areHalvesOfAPerCent_andNeverLessThanRound() {
        assertThat(Nudge.text(FLATTENING, Percentage.of(4.2), TapeDivision.SIXTEENTH, 1, LengthUnit.INCH))
                .isEqualTo("4.5");
        assertThat(Nudge.text(FLATTENING, Percentage.of(0.5), TapeDivision.SIXTEENTH, -2, LengthUnit.INCH))
                .isEqualTo("0");
    }

    @Test
    void fingerThatSlipped_isAskedAbout() {
        assertThat(TypingSlip.in(FLATTENING, "45", LengthUnit.INCH, Percentage.ZERO, Percentage.of(10)))
                .hasValueSatisfying(slip -> assertThat(slip.off()).isEqualTo(Percentage.of(45)));
        assertThat(TypingSlip.in(FLATTENING, "12", LengthUnit.INCH, Percentage.ZERO, Percentage.of(10)))
                .isEmpty();
    }
}
