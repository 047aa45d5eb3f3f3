package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.progress.Curriculum.Step;
import lobrik.shop.ToolKind;
import org.junit.jupiter.api.Test;

class CurriculumTest {

    private static final Family STUB = Family.byHand(BendKind.STUB_90);
    private static final Family OFFSET = Family.byHand(BendKind.OFFSET);
    private static final Family MACHINE_STUB = new Family(BendKind.STUB_90, ToolKind.MACHINE);

    @Test
    void usualOrder_hasEveryBendWithEveryTool_butBoxOffsetsAtTheMachine() {
        List<Family> all = new ArrayList<>(Family.all());
        all.remove(new Family(BendKind.BOX_OFFSET, ToolKind.MACHINE));
        assertThat(Curriculum.USUAL.families()).containsExactlyInAnyOrderElementsOf(all);
    }

    @Test
    void usualOrder_beginsWithAStubByHand_andSoDoesEveryTool() {
        assertThat(Curriculum.USUAL.families()).startsWith(STUB);
        assertThat(Curriculum.USUAL.before(MACHINE_STUB)).containsExactly(STUB);
        assertThat(Curriculum.USUAL.before(new Family(BendKind.STUB_90, ToolKind.FORMER)))
                .containsExactly(STUB);
    }

    @Test
    void orderThatCannotBeKept_isRefusedWithItsCure() {
        assertThatThrownBy(() -> new Curriculum(List.of()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("at least one step");
        assertThatThrownBy(() -> new Curriculum(List.of(new Step(OFFSET, List.of(STUB)), new Step(STUB, List.of()))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Offset is to come after stub ninety")
                .hasMessageContaining("move that up");
        assertThatThrownBy(() -> new Curriculum(List.of(new Step(STUB, List.of()), new Step(STUB, List.of()))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> new Curriculum(List.of(new Step(STUB, List.of(STUB)))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("does not stand before it");
    }

    @Test
    void group_isShownTheToolsThatItUses_andWhateverElseItBent() {
        Curriculum own = new Curriculum(List.of(
                new Step(STUB, List.of()), new Step(OFFSET, List.of(STUB)), new Step(MACHINE_STUB, List.of(STUB))));
        assertThat(own.shownTo(Set.of())).containsExactly(STUB, OFFSET);
        assertThat(own.shownTo(Set.of(MACHINE_STUB))).containsExactly(MACHINE_STUB);
        Family kick = Family.byHand(BendKind.KICK);
        assertThat(own.shownTo(List.of(kick, kick))).containsExactly(STUB, OFFSET, kick);
    }

    @Test
    void families_areToldByBendAndTool() {
        assertThat(STUB.id()).isEqualTo("stub90");
        assertThat(MACHINE_STUB.id()).isEqualTo("stub90.machine");
        assertThat(MACHINE_STUB.title()).isEqualTo("Stub ninety at the machine");
        assertThat(new Family(BendKind.OFFSET, ToolKind.FORMER).plural()).isEqualTo("offsets with heat");
        assertThat(Family.all())
                .allSatisfy(family -> assertThat(Family.withId(family.id())).contains(family));
        assertThat(Family.withId("stub90.shoe")).isEmpty();
    }
}
