package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;

/** Figures of marks that are taught from the back of an earlier bend, taken either way (handbook 4.2). */
class TakenMarkTest {

    private static final Length SIXTEENTH = Length.ofFraction(0, 1, 16);

    /** 20 in between the backs. */
    private static Layout u(double first, double second) {
        return Layout.of(new Job(
                new BackToBack90(Length.ofInches(first), Length.ofInches(20), Length.ofInches(second)),
                Jobs.threeQuarters(),
                School.of(Method.CHART, TapeDivision.SIXTEENTH)));
    }

    private static TakenMark taken(double figure, Optional<MarkDatum> said) {
        Mark second = u(12, 14).marks().getLast();
        return TakenMark.of(second, Length.ofInches(figure), said, second.position(), SIXTEENTH);
    }

    private static Length right() {
        return u(12, 14).marks().getLast().position();
    }

    @Test
    void secondMark_isTaughtAsTheLengthBetweenTheBacks() {
        Mark second = u(12, 14).marks().getLast();
        assertThat(second.taught()).isEqualTo(Length.ofInches(20));
        assertThat(second.back().orElseThrow().bend()).isEqualTo(1);
        assertThat(u(12, 14).marks().getFirst().back()).isEmpty();
    }

    /** Then the second bend is made first, on a conduit that is still straight. */
    @Test
    void whereTheSecondLegIsBentFirst_itsMarkIsMeasuredFromTheEnd() {
        assertThat(u(14, 12).marks()).allSatisfy(mark -> assertThat(mark.back()).isEmpty());
    }

    @Test
    void rightFigure_isRightFromEitherDatum_whateverIsSaid() {
        for (Optional<MarkDatum> said :
                List.of(Optional.<MarkDatum>empty(), Optional.of(MarkDatum.END), Optional.of(MarkDatum.BACK))) {
            assertThat(taken(20, said)).isEqualTo(new TakenMark(right(), MarkDatum.BACK));
            assertThat(taken(right().inches(), said)).isEqualTo(new TakenMark(right(), MarkDatum.END));
        }
    }

    @Test
    void wrongFigure_isHeldToTheDatumThatWasNamed_orElseToTheNearer() {
        double short_ = right().inches() - 1;
        assertThat(taken(19, Optional.of(MarkDatum.BACK)).position()).isEqualTo(right().minus(Length.ofInches(1)));
        assertThat(taken(19, Optional.empty()).from()).isEqualTo(MarkDatum.BACK);
        assertThat(taken(short_, Optional.empty()).from()).isEqualTo(MarkDatum.END);
        assertThat(taken(short_, Optional.of(MarkDatum.END)).position()).isEqualTo(Length.ofInches(short_));
    }
}
