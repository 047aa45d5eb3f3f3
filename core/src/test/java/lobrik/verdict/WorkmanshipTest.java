package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class WorkmanshipTest {

    private static final Tolerances SITE = TolerancePreset.SITE.tolerances();

    private static Score perfectPieceWith(Tolerances tolerances, Set<InspectionPoint> faulty) {
        Reading leg = Reading.of(BendKind.STUB_90, FeatureId.LEG, Length.ofInches(12), Length.ofInches(12), tolerances);
        return Score.of(
                List.of(leg), Scheme.GRADED, 70, tolerances.workmanship().found(faulty));
    }

    @Test
    void faults_takePointsOff_together() {
        Score score = perfectPieceWith(SITE, Set.of(InspectionPoint.RIPPLE, InspectionPoint.MARKS_LEFT));
        assertThat(score.points()).isEqualTo(93);
        assertThat(score.passed()).isTrue();
    }

    @Test
    void kink_failsAPieceOnSite_butCostsOnlyPointsWhileLearning() {
        assertThat(perfectPieceWith(SITE, Set.of(InspectionPoint.KINK)).passed())
                .isFalse();
        Score learning = perfectPieceWith(TolerancePreset.LEARNING.tolerances(), Set.of(InspectionPoint.KINK));
        assertThat(learning.points()).isEqualTo(80);
        assertThat(learning.passed()).isTrue();
    }

    @ParameterizedTest
    @EnumSource(TolerancePreset.class)
    void everyPoint_hasARuleInEveryPreset_andAllFaultsTogetherLeaveNothingBelowZero(TolerancePreset preset) {
        Workmanship workmanship = preset.tolerances().workmanship();
        assertThat(workmanship.rules()).containsOnlyKeys(InspectionPoint.values());
        assertThat(workmanship.found(Set.of(InspectionPoint.values())).deductions())
                .isLessThanOrEqualTo(100);
        assertThat(perfectPieceWith(preset.tolerances(), Set.of(InspectionPoint.values()))
                        .points())
                .isNotNegative();
    }

    @Test
    void deductionOutsideItsRange_isRefused() {
        assertThatThrownBy(() -> new Workmanship(Map.of(InspectionPoint.KINK, new Workmanship.Rule(Double.NaN, false))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("from 0 to 100");
    }
}
