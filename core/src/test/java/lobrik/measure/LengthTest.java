package lobrik.measure;

import static lobrik.measure.LengthUnit.INCH;
import static lobrik.measure.LengthUnit.MILLIMETRE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.Random;
import java.util.stream.Stream;
import lobrik.measure.RefusedText.Reason;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {

    /** The forms that handbook 8 accepts, with the inches worked by hand. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "14 3/8     | 14.375",
                "14-3/8     | 14.375",
                "14.375     | 14.375",
                "3/8        | 0.375",
                "1' 2 3/8\"  | 14.375",
                "1ft 2      | 14",
                "1 ft 2 in  | 14",
                "1'-2\"      | 14",
                "1′ 2⅜″     | 14.375",
                "2 feet     | 24",
                "1.5 ft     | 18",
                "14½        | 14.5",
                "14 ¾       | 14.75",
                "⅛          | 0.125",
                "14 3⁄8     | 14.375",
                "14 3 / 8   | 14.375",
                "14 3/8 in  | 14.375",
                "14''       | 14",
                ".5         | 0.5",
                "14.        | 14",
                "0          | 0",
                "40'        | 480",
                "480        | 480",
                "63/64      | 0.984375",
                "254mm      | 10",
                "25.4 CM    | 10",
                "0.254 m    | 10",
            })
    void length_writtenAsPeopleDo_isRead(String text, double inches) {
        assertThat(Length.parse(text, INCH)).isEqualTo(Length.ofInches(inches));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "14 3/0       | ZERO_DENOMINATOR    | 5",
                "9/0          | ZERO_DENOMINATOR    | 2",
                "14 9/8       | IMPROPER_FRACTION   | 3",
                "8/8          | IMPROPER_FRACTION   | 0",
                "14 3/7       | UNUSUAL_DENOMINATOR | 5",
                "14 3/128     | UNUSUAL_DENOMINATOR | 5",
                "14 3         | INCOMPLETE_FRACTION | 4",
                "14 3/        | INCOMPLETE_FRACTION | 5",
                "14 3/x       | INCOMPLETE_FRACTION | 5",
                "-3           | NEGATIVE            | 0",
                "−3           | NEGATIVE            | 0",
                "  -3         | NEGATIVE            | 0",
                "14 - 3/8     | NEGATIVE            | 3",
                "480 1/64     | TOO_LARGE           | 0",
                "41 ft        | TOO_LARGE           | 0",
                "12.3 m       | TOO_LARGE           | 0",
                "1' 14\"       | INCHES_OVER_A_FOOT  | 3",
                "1.5' 2       | TRAILING            | 5",
                "1' 2 mm      | TRAILING            | 3",
                "1/2 mm       | FRACTION_OF_METRIC  | 0",
                "long         | NOT_A_NUMBER        | 0",
                "14 inchworms | NOT_A_NUMBER        | 7",
                "14,5         | NOT_A_NUMBER        | 2",
                "1e3          | NOT_A_NUMBER        | 1",
                "14.5 3/8     | NOT_A_NUMBER        | 5",
                ".            | NOT_A_NUMBER        | 0",
                "1.2.3        | NOT_A_NUMBER        | 3",
                "١٤           | NOT_A_NUMBER        | 0",
            })
    void length_thatIsNone_isRefusedWithPlaceAndReason(String text, Reason reason, int position) {
        RefusedText refused = catchThrowableOfType(RefusedText.class, () -> Length.parse(text, INCH));

        assertThat(refused.reason()).isEqualTo(reason);
        assertThat(refused.position()).isEqualTo(position);
        assertThat(refused).hasMessageMatching("(?s).{10,}");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {"14 9/8 | 15 1/8", "12/8 | 1 1/2", "16/8 | 2", "1' 14 3/8\" | 2' 2 3/8\""})
    void length_thatWasProbablyMeantOtherwise_isSuggested(String text, String meant) {
        RefusedText refused = catchThrowableOfType(RefusedText.class, () -> Length.parse(text, INCH));

        assertThat(refused.suggestion()).contains(meant);
        assertThat(refused).hasMessageEndingWith("did you mean " + meant + "?");
        assertThat(Length.parse(meant, INCH)).isNotNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "\t"})
    void length_ofNothing_isRefusedAsEmpty(String text) {
        assertThat(catchThrowableOfType(RefusedText.class, () -> Length.parse(text, INCH))
                        .reason())
                .isEqualTo(Reason.EMPTY);
    }

    @Test
    void length_ofFourHundredDigits_isRefusedWithoutWork() {
        assertThat(catchThrowableOfType(RefusedText.class, () -> Length.parse("9".repeat(400), INCH))
                        .reason())
                .isEqualTo(Reason.TOO_LONG);
    }

    @Test
    void bareNumber_isInTheReadersUnit_butAFractionIsAlwaysOfAnInch() {
        assertThat(Length.parse("254", MILLIMETRE)).isEqualTo(Length.ofInches(10));
        assertThat(Length.parse("10 1/2", MILLIMETRE)).isEqualTo(Length.ofInches(10.5));
        assertThat(Length.parse("10\"", MILLIMETRE)).isEqualTo(Length.ofInches(10));
    }

    @ParameterizedTest
    @MethodSource("divisions")
    void everyLineOfATape_readsBackAsItIsWritten(TapeDivision division) {
        Random random = new Random(4);
        for (int i = 0; i < 2000; i++) {
            Length length = Length.ofInches(480 * random.nextDouble()).nearest(division);
            assertThat(Length.parse(division.text(length), INCH)).isEqualTo(length);
        }
    }

    static Stream<TapeDivision> divisions() {
        return Stream.of(
                TapeDivision.EIGHTH, TapeDivision.SIXTEENTH, TapeDivision.THIRTY_SECOND, TapeDivision.MILLIMETRE);
    }

    @ParameterizedTest
    @CsvSource({
        "14.375, 14 3/8",
        "14.5, 14 1/2",
        "0.5, 1/2",
        "14, 14",
        "0, 0",
        "-0.09375, −3/32",
        "-2.25, −2 1/4",
        "13.999, 14"
    })
    void length_isShownInLowestTerms(double inches, String text) {
        assertThat(TapeDivision.THIRTY_SECOND.text(Length.ofInches(inches))).isEqualTo(text);
    }

    @Test
    void deviation_isShownWithItsSign() {
        assertThat(TapeDivision.SIXTEENTH.signedText(Length.ofFraction(0, 1, 16)))
                .isEqualTo("+1/16");
        assertThat(TapeDivision.THIRTY_SECOND.signedText(Length.ofFraction(0, -3, 32)))
                .isEqualTo("−3/32");
        assertThat(TapeDivision.SIXTEENTH.signedText(Length.ofInches(0.001))).isEqualTo("0");
        assertThat(TapeDivision.MILLIMETRE.signedText(Length.ofMillimetres(3))).isEqualTo("+3 mm");
    }

    @Test
    void millimetres_comeBackAsTheyWereTyped() {
        Length length = Length.parse("365mm", INCH);
        assertThat(TapeDivision.MILLIMETRE.text(length)).isEqualTo("365 mm");
        assertThat(new TapeDivision(Length.ofMillimetres(0.5)).text(Length.ofMillimetres(36.5)))
                .isEqualTo("36.5 mm");
    }

    @Test
    void half_goesAwayFromZero() {
        assertThat(Length.ofFraction(0, 1, 32).nearest(TapeDivision.SIXTEENTH)).isEqualTo(Length.ofFraction(0, 1, 16));
        assertThat(Length.ofFraction(0, -1, 32).nearest(TapeDivision.SIXTEENTH))
                .isEqualTo(Length.ofFraction(0, -1, 16));
    }

    @Test
    void numbersThatAreNoLength_areRefused() {
        for (double none : new double[] {Double.NaN, Double.POSITIVE_INFINITY, 1e300, -1e7}) {
            assertThatIllegalArgumentException().isThrownBy(() -> Length.ofInches(none));
        }
    }

    @Test
    void hostileTexts_giveALengthOrAReason() {
        String signs = "0123456789 /.-'\"½⅜ftinmcm,eE+x\u0000\u202e";
        Random random = new Random(11);
        for (int i = 0; i < 20_000; i++) {
            String text = random.ints(random.nextInt(45), 0, signs.length())
                    .mapToObj(k -> signs.substring(k, k + 1))
                    .reduce("", String::concat);
            try {
                assertThat(Length.parse(text, INCH)).isBetween(Length.ZERO, Length.LONGEST_ENTRY);
            } catch (RefusedText refused) {
                assertThat(refused.position()).isBetween(0, text.length());
                assertThat(refused.getMessage()).isNotBlank();
            }
        }
    }

    @Test
    void signedLength_isReadWithEitherMinus_andAnOrdinaryOneIsNot() {
        assertThat(Length.parseSigned("−1/8", INCH)).isEqualTo(Length.ofInches(-0.125));
        assertThat(Length.parseSigned(" - 3/16", INCH)).isEqualTo(Length.ofInches(-0.1875));
        assertThat(Length.parseSigned("1/8", INCH)).isEqualTo(Length.ofInches(0.125));
        assertThat(catchThrowableOfType(RefusedText.class, () -> Length.parseSigned("--1", INCH)))
                .isNotNull();
        assertThat(catchThrowableOfType(RefusedText.class, () -> Length.parse("−1/8", INCH)))
                .isNotNull();
    }
}
