package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import org.junit.jupiter.api.Test;

class OutcomeTest {

    @Test
    void deviationOnTheLimit_isWithin_andTheNextCountIsNot() {
        assertThat(MadeUpPieces.length(FeatureId.RISE, -0.125).isWithin()).isTrue();
        Angle limit = Angle.ofDegrees(2);
        assertThat(new Outcome.Missed(FeatureId.angle(1), new Angle(limit.count() + 1), Angle.ZERO, limit).isWithin())
                .isFalse();
    }

    @Test
    void furthestOff_isByTolerance_notBySize() {
        Outcome piece = new Outcome(
                "p",
                1,
                Family.byHand(BendKind.OFFSET),
                "B",
                50,
                false,
                MadeUpPieces.SITE,
                0,
                Optional.empty(),
                List.of(
                        MadeUpPieces.angle(FeatureId.angle(1), 1),
                        MadeUpPieces.length(FeatureId.RISE, -0.25),
                        MadeUpPieces.angle(FeatureId.angle(2), -3)));
        assertThat(piece.furthestOff(2)).containsExactly(FeatureId.RISE, FeatureId.angle(2));
    }
}
