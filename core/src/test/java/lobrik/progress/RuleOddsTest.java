package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import lobrik.bend.BendKind;
import lobrik.progress.RuleOdds.Practice;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RuleOddsTest {

    private static final Practice ONE_A_DAY = new Practice(1, 1);

    private static SignOffRule rule(int passes, int of, int days, int clean) {
        return new SignOffRule(passes, of, days, SignOffRule.USUAL.strictness(), clean, 1);
    }

    /** By hand: three passes running out of three are p³; a fourth piece helps where the first failed: + (1 − p) p³. */
    @Test
    void threeOfThree_isWorkedOutByHand() {
        List<Double> ready = RuleOdds.ready(rule(3, 3, 1, 0), ONE_A_DAY, 0.5, 5);

        assertThat(ready.get(0)).isZero();
        assertThat(ready.get(1)).isZero();
        assertThat(ready.get(2)).isEqualTo(0.125);
        assertThat(ready.get(3)).isEqualTo(0.1875);
        assertThat(ready.get(4)).isEqualTo(0.25);
    }

    @Test
    void twoOnOneDay_doNotMakeTwoDays() {
        assertThat(RuleOdds.ready(rule(2, 2, 2, 0), new Practice(2, 1), 1, 3))
                .as("the second and third are of two days")
                .containsExactly(0.0, 0.0, 1.0);
    }

    @Test
    void whoNeverPasses_isNeverReady_andWhoAlwaysDoes_isAsSoonAsCanBe() {
        assertThat(RuleOdds.ready(SignOffRule.USUAL, Practice.USUAL, 0, 20).getLast())
                .isZero();
        assertThat(RuleOdds.ready(SignOffRule.USUAL, Practice.USUAL, 1, 3)).containsExactly(0.0, 0.0, 1.0);
    }

    @Test
    void whereEveryPassWasRebent_theRuleThatAsksForOneWithout_isNeverMet() {
        assertThat(RuleOdds.ready(SignOffRule.USUAL, new Practice(2, 0), 0.9, 20)
                        .getLast())
                .isZero();
    }

    /** Against pieces that are drawn and checked by the rule itself, within four of its own standard errors. */
    @ParameterizedTest
    @CsvSource({"3,4,2,1,0.7,0.6", "3,4,2,1,0.9,0.8", "5,6,3,2,0.8,0.7", "8,10,2,0,0.95,1", "2,3,1,1,0.5,0.5"})
    void odds_areThoseOfSimulatedPieces(int passes, int of, int days, int clean, double passRate, double cleanShare) {
        SignOffRule rule = rule(passes, of, days, clean);
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(17);
        int people = 20_000;
        int pieces = 12;
        int[] ready = new int[pieces];
        for (int i = 0; i < people; i++) {
            List<Outcome> bent = new ArrayList<>();
            for (int piece = 0; piece < pieces; piece++) {
                boolean passed = random.nextDouble() < passRate;
                int rebent = random.nextDouble() < cleanShare ? 0 : 1;
                bent.add(MadeUpPieces.piece(BendKind.OFFSET, piece / 2, passed, MadeUpPieces.SITE, rebent));
                if (rule.check(bent).isMet()) {
                    for (int later = piece; later < pieces; later++) {
                        ready[later]++;
                    }
                    break;
                }
            }
        }
        List<Double> exact = RuleOdds.ready(rule, new Practice(2, cleanShare), passRate, pieces);
        for (int piece = 0; piece < pieces; piece++) {
            double chance = exact.get(piece);
            double error = Math.sqrt(chance * (1 - chance) / people);
            assertThat((double) ready[piece] / people)
                    .as("after %d pieces", piece + 1)
                    .isCloseTo(chance, within(4 * error + 1e-12));
        }
    }

    @Test
    void smallestRule_keepsTheRisk_andNoSmallerOneDoes() {
        RuleOdds.Kept kept = RuleOdds.smallest(SignOffRule.USUAL, Practice.USUAL, 0.5, 12, 0.1)
                .orElseThrow();

        assertThat(kept.risk()).isLessThanOrEqualTo(0.1);
        SignOffRule rule = kept.rule();
        assertThat(RuleOdds.ready(rule, Practice.USUAL, 0.5, 12).getLast()).isEqualTo(kept.risk());
        for (int of = 1; of <= rule.of(); of++) {
            for (int passes = 1; passes <= (of == rule.of() ? rule.passes() - 1 : of); passes++) {
                SignOffRule smaller = rule(passes, of, Math.min(2, passes), 1);
                assertThat(RuleOdds.ready(smaller, Practice.USUAL, 0.5, 12).getLast())
                        .as("%d of %d", passes, of)
                        .isGreaterThan(0.1);
            }
        }
    }

    @Test
    void whereNoRuleKeepsTheRisk_thereIsNone() {
        assertThat(RuleOdds.smallest(SignOffRule.USUAL, Practice.USUAL, 0.99, 20, 0.001))
                .isEmpty();
    }

    @Test
    void whatIsNoShare_isRefused() {
        assertThatThrownBy(() -> RuleOdds.ready(SignOffRule.USUAL, Practice.USUAL, 1.2, 3))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Practice(0, 1)).isInstanceOf(IllegalArgumentException.class);
    }
}
