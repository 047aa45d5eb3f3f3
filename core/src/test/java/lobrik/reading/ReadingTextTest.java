package lobrik.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.RefusedText;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadingTextTest {

    private static final LengthUnit INCH = LengthUnit.INCH;

    @Test
    void dogLeg_isReadAsAnAngleOrAsAGapOverASpan() {
        assertThat(ReadingText.read(FeatureId.DOG_LEG, "1.5", INCH)).isEqualTo(Angle.ofDegrees(1.5));
        // By hand: 0.5 / 24 = 0.0208333; x + x³/6 = 0.0208348 rad = 1.19375°.
        Angle angle = (Angle) ReadingText.read(FeatureId.DOG_LEG, "1/2 over 24", INCH);
        assertThat(angle.degrees()).isCloseTo(1.19375, within(1e-5));
        assertThat(ReadingText.read(FeatureId.DOG_LEG, "0 over 10", INCH)).isEqualTo(Angle.ZERO);
        assertThat(ReadingText.read(FeatureId.DOG_LEG, "12.7 mm over 24 in", LengthUnit.MILLIMETRE))
                .isEqualTo(angle);
    }

    @Test
    void gapWiderThanItsSpan_isRefused_withBoth() {
        assertThatThrownBy(() -> ReadingText.read(FeatureId.DOG_LEG, "24 over 1/2", INCH))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("24 in")
                .hasMessageContaining("1/2 in");
        assertThatThrownBy(() -> ReadingText.read(FeatureId.DOG_LEG, "1 over 0", INCH))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> ReadingText.read(FeatureId.angle(1), "1/2 over 24", INCH))
                .isInstanceOf(RefusedText.class);
    }

    @Test
    void onlyATailLift_mayBeBelowNothing() {
        assertThat(ReadingText.read(FeatureId.TAIL_LIFT, "−1/4", INCH)).isEqualTo(Length.ofInches(-0.25));
        assertThatThrownBy(() -> ReadingText.read(FeatureId.RISE, "−1/4", INCH)).isInstanceOf(RefusedText.class);
    }

    @ParameterizedTest
    @CsvSource({
        "14 3/8, 1, 14 7/16",
        "14 3/8, -1, 14 5/16",
        "14.37, 1, 14 3/8",
        "14.37, -1, 14 5/16",
        "0, -3, 0",
        "365 mm, 2, 14 7/16"
    })
    void nudge_goesToTheNextLineOfTheTape(String from, int steps, String to) {
        Quantity read = ReadingText.read(FeatureId.LEG, from, INCH);
        assertThat(Nudge.text(FeatureId.LEG, read, TapeDivision.SIXTEENTH, steps, INCH))
                .isEqualTo(to);
    }

    @Test
    void nudge_isAMillimetreOrHalfADegree_andMayGoBelowNothingForATailLift() {
        assertThat(Nudge.text(
                        FeatureId.LEG, Length.ofMillimetres(365.4), TapeDivision.SIXTEENTH, 1, LengthUnit.MILLIMETRE))
                .isEqualTo("366 mm");
        assertThat(Nudge.text(FeatureId.angle(1), Angle.ofDegrees(29.8), TapeDivision.SIXTEENTH, -1, INCH))
                .isEqualTo("29.5");
        assertThat(Nudge.text(FeatureId.TAIL_LIFT, Length.ZERO, TapeDivision.EIGHTH, -1, INCH))
                .isEqualTo("−1/8");
    }

    @ParameterizedTest
    @CsvSource({
        // what was typed, what is asked for, what was meant
        "143.75, 14.375, 14.375",
        "41 3/8, 14.375, 14 3/8",
        "144 3/8, 14.375, 14 3/8",
        "365, 14.375, 365 mm",
        "13 1/4, 14.375, 14 1/4",
        "14375, 14.375, refused"
    })
    void lengthOneSlipAway_isAskedAbout_withWhatWasMeant(String typed, double target, String meant) {
        Length tolerance = Length.ofFraction(0, 1, 8);
        if (meant.equals("refused")) {
            assertThatThrownBy(() -> TypingSlip.in(FeatureId.LEG, typed, INCH, Length.ofInches(target), tolerance))
                    .isInstanceOf(RefusedText.class);
            return;
        }
        TypingSlip slip = TypingSlip.in(FeatureId.LEG, typed, INCH, Length.ofInches(target), tolerance)
                .orElseThrow();
        assertThat(slip.meant()).contains(meant);
    }

    @Test
    void angleWithALostPoint_isAskedAbout() {
        assertThat(TypingSlip.in(FeatureId.angle(1), "225", INCH, Angle.ofDegrees(22.5), Angle.ofDegrees(2))
                        .orElseThrow()
                        .meant())
                .contains("22.5");
    }

    @Test
    void readingThatIsJustWrong_isNotAskedAbout_andAFarOneWithoutASlipHasNoProposal() {
        Length tolerance = Length.ofFraction(0, 1, 8);
        assertThat(TypingSlip.in(FeatureId.RISE, "3 7/8", INCH, Length.ofInches(3), tolerance))
                .isEmpty();
        assertThat(TypingSlip.in(FeatureId.RISE, "23", INCH, Length.ofInches(7.5), tolerance)
                        .orElseThrow()
                        .meant())
                .isEmpty();
        assertThat(TypingSlip.in(FeatureId.RISE, "3 7/8", INCH, Length.ofInches(3), Length.ofFraction(0, 1, 4)))
                .as("four tolerances away is the least")
                .isEmpty();
    }

    @Test
    void shortListOfASaddle_hasItsFinishedSizesOnly() {
        List<FeatureId> all = List.of(
                FeatureId.mark(1),
                FeatureId.mark(2),
                FeatureId.mark(3),
                FeatureId.mark(4),
                FeatureId.HEIGHT,
                FeatureId.FLAT,
                FeatureId.LANDING,
                FeatureId.angle(1),
                FeatureId.angle(2),
                FeatureId.angle(3),
                FeatureId.angle(4),
                FeatureId.TAIL_LIFT,
                FeatureId.DOG_LEG,
                FeatureId.OVERALL);
        assertThat(ReadingList.SHORT.of(BendKind.SADDLE_4, all))
                .containsExactly(
                        FeatureId.HEIGHT,
                        FeatureId.FLAT,
                        FeatureId.LANDING,
                        FeatureId.TAIL_LIFT,
                        FeatureId.DOG_LEG,
                        FeatureId.OVERALL);
        assertThat(ReadingList.SHORT.of(
                        BendKind.OFFSET, List.of(FeatureId.mark(1), FeatureId.RISE, FeatureId.angle(1))))
                .containsExactly(FeatureId.RISE, FeatureId.angle(1));
        assertThat(ReadingList.ALL.of(BendKind.SADDLE_4, all)).isEqualTo(all);
    }
}
