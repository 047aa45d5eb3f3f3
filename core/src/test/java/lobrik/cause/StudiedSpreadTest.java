package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.TreeMap;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.shape.Surround;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

/** What a school found out of its readings weighs in a diagnosis in place of what is usual. */
class StudiedSpreadTest {

    private static CauseId likeliest(ReadingSpread spread) {
        Map<FeatureId, Quantity> readings =
                Pieces.readings(Pieces.offset(), new double[] {0, 0}, new double[] {2.5, 0}, new double[] {0, 0});
        Case seen = new Case(Pieces.offset(), readings, Map.of(), spread, Surround.USUAL_INSERTION, Priors.USUAL);
        return Diagnosis.of(seen).causes().getFirst().id();
    }

    @Test
    void readingsThatSpreadWidely_blameNobody_whereCloseOnesDo() {
        Map<FeatureId, Quantity> wide = new TreeMap<>();
        for (FeatureId feature : Pieces.readings(
                        Pieces.offset(), new double[] {0, 0}, new double[] {0, 0}, new double[] {0, 0})
                .keySet()) {
            wide.put(feature, feature.measured() == QuantityKind.ANGLE ? Angle.ofDegrees(3) : Length.ofInches(0.5));
        }
        assertThat(likeliest(ReadingSpread.USUAL)).isEqualTo(CauseId.ANGLE_OFF);
        assertThat(likeliest(ReadingSpread.known(wide))).isEqualTo(CauseId.NONE);
    }

    @Test
    void studyThatFoundNoSpread_isBelievedToATenthOfWhatIsUsual() {
        assertThat(ReadingSpread.believed(Length.ZERO, QuantityKind.LENGTH)).isEqualTo(Length.ofInches(1 / 320.0));
        assertThat(ReadingSpread.believed(Angle.ofDegrees(0.3), QuantityKind.ANGLE))
                .isEqualTo(Angle.ofDegrees(0.3));
    }

    @Test
    void whatNothingIsKnownOf_isAsUsual() {
        ReadingSpread known = ReadingSpread.known(Map.of(FeatureId.RISE, Length.ofInches(0.1)));
        assertThat(known.of(FeatureId.RISE)).isEqualTo(Length.ofInches(0.1));
        assertThat(known.of(FeatureId.LEG)).isEqualTo(ReadingSpread.USUAL.length());
        assertThat(known.of(FeatureId.angle(2))).isEqualTo(ReadingSpread.USUAL.angle());
    }
}
