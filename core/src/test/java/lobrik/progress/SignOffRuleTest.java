package lobrik.progress;

import static lobrik.progress.MadeUpPieces.LEARNING;
import static lobrik.progress.MadeUpPieces.SITE;
import static lobrik.progress.MadeUpPieces.fail;
import static lobrik.progress.MadeUpPieces.pass;
import static lobrik.progress.MadeUpPieces.piece;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.progress.SignOffRule.Ask;
import lobrik.progress.SignOffRule.Condition;
import lobrik.verdict.TolerancePreset;
import org.junit.jupiter.api.Test;

class SignOffRuleTest {

    private static final SignOffRule USUAL = SignOffRule.USUAL;

    private static Standing standing(Outcome... pieces) {
        return USUAL.standing(List.of(pieces), false);
    }

    @Test
    void threePassesOfTheLastFour_onTwoDays_areReady() {
        assertThat(standing(pass(1), fail(1), pass(2), pass(2))).isEqualTo(Standing.READY);
        assertThat(standing(pass(1), pass(1), pass(2))).isEqualTo(Standing.READY);
    }

    @Test
    void passesOnOneDay_orThatCameBeforeTheLastFour_areNotEnough() {
        assertThat(standing(pass(2), pass(2), pass(2))).isEqualTo(Standing.STEADY);
        assertThat(standing(pass(1), pass(2), pass(3), fail(4), fail(5))).isEqualTo(Standing.LEARNING);
    }

    @Test
    void passesAtWiderTolerances_makeSteady_andNotReady() {
        assertThat(standing(
                        piece(BendKind.OFFSET, 1, true, LEARNING, 0),
                        piece(BendKind.OFFSET, 2, true, LEARNING, 0),
                        piece(BendKind.OFFSET, 3, true, LEARNING, 0)))
                .isEqualTo(Standing.STEADY);
        Strictness assessment = Strictness.of(TolerancePreset.ASSESSMENT.tolerances());
        assertThat(standing(pass(1), piece(BendKind.OFFSET, 2, true, assessment, 0), pass(3)))
                .isEqualTo(Standing.READY);
    }

    @Test
    void onePassHasToBe_withoutRebending() {
        Outcome eased = piece(BendKind.OFFSET, 2, true, SITE, 1);
        SignOffRule.Check check = USUAL.check(List.of(eased, eased, piece(BendKind.OFFSET, 3, true, SITE, 2)));
        assertThat(check.isMet()).isFalse();
        assertThat(check.conditions())
                .containsExactly(
                        new Condition(Ask.PASSES, 3, 3),
                        new Condition(Ask.DAYS, 2, 2),
                        new Condition(Ask.WITHOUT_REBENDING, 0, 1));
    }

    @Test
    void evidence_isThePassesThatCount() {
        assertThat(USUAL.check(List.of(pass(1), fail(2), pass(3), pass(4))).evidence())
                .extracting(Outcome::day)
                .containsExactly(1L, 3L, 4L);
    }

    @Test
    void signature_stands_whateverComesAfter() {
        assertThat(USUAL.standing(List.of(fail(1)), true)).isEqualTo(Standing.SIGNED);
        assertThat(USUAL.standing(List.of(), false)).isEqualTo(Standing.NOT_TRIED);
    }

    @Test
    void ruleThatNoPieceCouldMeet_isRefused_withEveryFigure() {
        assertThatThrownBy(() -> new SignOffRule(5, 4, 6, SITE, 7, 9))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("passes")
                .hasMessageContaining("re-bending");
    }

    @Test
    void piecesSinceASignature_speakAgainstIt_onceTheyCannotBeSteadyAnyMore() {
        assertThat(USUAL.against(List.of())).isEmpty();
        assertThat(USUAL.against(List.of(false)))
                .as("three of four can still pass")
                .isEmpty();
        assertThat(USUAL.against(List.of(false, true, false))).contains(new SignOffRule.Against(2, 3));
        assertThat(USUAL.against(List.of(false, false, true, true, true, true)))
                .as("what is longer ago is made good")
                .isEmpty();
    }
}
