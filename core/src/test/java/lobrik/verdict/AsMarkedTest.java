package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.cause.Pieces;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import org.junit.jupiter.api.Test;

class AsMarkedTest {

    private static long value(Layout layout, Piece piece, FeatureId wanted) {
        List<Feature> features = Features.of(layout.job().bend(), piece);
        return features.stream()
                .filter(feature -> feature.id().equals(wanted))
                .map(feature -> feature.value().count())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void ringsAlone_moveThePiece_andTheAnglesReadChangeNothing() {
        Layout offset = Pieces.offset();
        Piece marked = AsMarked.of(
                        offset,
                        Map.of(
                                FeatureId.mark(1), Length.ofInches(24),
                                FeatureId.mark(2), Length.ofInches(36),
                                FeatureId.angle(2), Angle.ofDegrees(40)),
                        Set.of())
                .orElseThrow();
        long short_ = Length.ofInches(1.5).count();
        assertThat(value(offset, marked, FeatureId.LANDING))
                .isCloseTo(value(offset, offset.predicted(), FeatureId.LANDING) - short_, within(10L));
        assertThat(value(offset, marked, FeatureId.angle(2)))
                .isEqualTo(Angle.ofDegrees(30).count());
    }

    @Test
    void markThatWasNotRead_standsAsPlanned() {
        Layout offset = Pieces.offset();
        Piece marked = AsMarked.of(offset, Map.of(FeatureId.mark(1), Length.ofInches(25)), Set.of())
                .orElseThrow();
        assertThat(marked.bends().getLast().position())
                .isEqualTo(offset.marks().getLast().position());
    }

    @Test
    void withoutRings_orWithRingsThatCannotBeBent_thereIsNone() {
        Layout offset = Pieces.offset();
        assertThat(AsMarked.of(offset, Map.of(FeatureId.RISE, Length.ofInches(6)), Set.of()))
                .isEqualTo(Optional.empty());
        assertThat(AsMarked.of(offset, Map.of(FeatureId.mark(1), Length.ofInches(37)), Set.of()))
                .isEqualTo(Optional.empty());
    }
}
