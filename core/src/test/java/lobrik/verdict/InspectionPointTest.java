package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class InspectionPointTest {

    @Test
    void onlyWhatThePieceCanHave_isLookedOver() {
        assertThat(InspectionPoint.on(false, false, false))
                .containsExactly(
                        InspectionPoint.LIES_FLAT,
                        InspectionPoint.ENDS,
                        InspectionPoint.RIPPLE,
                        InspectionPoint.KINK,
                        InspectionPoint.FLATTENING,
                        InspectionPoint.MARKS_LEFT);
        assertThat(InspectionPoint.on(true, true, true)).containsExactly(InspectionPoint.values());
        assertThat(InspectionPoint.on(false, true, false))
                .contains(InspectionPoint.FITS)
                .doesNotContain(InspectionPoint.CLEARS, InspectionPoint.SCORCH);
    }
}
