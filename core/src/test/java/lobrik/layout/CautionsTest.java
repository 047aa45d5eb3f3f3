package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;

import lobrik.shop.ToolKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CautionsTest {

    @ParameterizedTest
    @EnumSource(ToolKind.class)
    void everyTool_beginsWithWhatKills_andEndsWithWhoDecides(ToolKind tool) {
        assertThat(Caution.of(tool))
                .startsWith(Caution.ENERGISED, Caution.EYES_AND_HANDS)
                .endsWith(Caution.LOCAL_CODE);
    }

    @Test
    void eachTool_hasItsOwn() {
        assertThat(Caution.of(ToolKind.SHOE))
                .contains(Caution.FOOTING, Caution.LINE_OF_LEVER)
                .doesNotContain(Caution.HANDS_OUT, Caution.FUMES);
        assertThat(Caution.of(ToolKind.MACHINE))
                .contains(Caution.ONE_VOICE, Caution.HANDS_OUT, Caution.UNDER_PRESSURE)
                .doesNotContain(Caution.FOOTING);
        assertThat(Caution.of(ToolKind.FORMER))
                .contains(Caution.HOT, Caution.FUMES)
                .doesNotContain(Caution.FOOTING);
    }

    @Test
    void aMachineIsLookedOverFirst_aHandBenderIsNot() {
        assertThat(BeforeBending.with(ToolKind.SHOE)).isEmpty();
        assertThat(BeforeBending.with(ToolKind.MACHINE))
                .containsExactly(
                        BeforeBending.SHOE_SIZE,
                        BeforeBending.FOLLOWER,
                        BeforeBending.WHEELS,
                        BeforeBending.TWIST_LEVEL,
                        BeforeBending.HOSE,
                        BeforeBending.ORDERS);
        assertThat(BeforeBending.with(ToolKind.FORMER)).contains(BeforeBending.READY_MADE, BeforeBending.HEATED_LENGTH);
    }
}
