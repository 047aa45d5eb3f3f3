package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

class ReadsToTest {

    private static final long WIDE = Length.ofFraction(0, 1, 16).picometres();
    private static final long CLOSE = Length.ofFraction(0, 1, 128).picometres();

    @Test
    void handsAndGauges_areKeptApart() {
        ReadsTo known = ReadsTo.USUAL.with(false, Map.of("leg", WIDE)).with(true, Map.of("leg", CLOSE));
        assertThat(known.toCore(List.of(FeatureId.LEG), _ -> false).of(FeatureId.LEG))
                .isEqualTo(new Length(WIDE));
        assertThat(known.toCore(List.of(FeatureId.LEG), _ -> true).of(FeatureId.LEG))
                .isEqualTo(new Length(CLOSE));
    }

    @Test
    void kindThatWasStudied_isKnownOfEveryFeatureOfIt_andNothingElse() {
        ReadsTo known = ReadsTo.USUAL.with(false, Map.of("leg", WIDE));
        ReadingSpread spread = known.toCore(List.of(FeatureId.leg(2), FeatureId.RISE), _ -> false);
        assertThat(spread.of(FeatureId.leg(2))).isEqualTo(new Length(WIDE));
        assertThat(spread.of(FeatureId.RISE)).isEqualTo(ReadingSpread.USUAL.length());
    }

    @Test
    void laterStudy_takesThePlaceOfWhatItLookedAt() {
        ReadsTo known =
                ReadsTo.USUAL.with(false, Map.of("leg", WIDE, "rise", WIDE)).with(false, Map.of("leg", CLOSE));
        assertThat(known.byHand()).containsOnly(Map.entry("leg", CLOSE), Map.entry("rise", WIDE));
        assertThat(known.isUsual()).isFalse();
        assertThat(ReadsTo.USUAL.isUsual()).isTrue();
    }
}
