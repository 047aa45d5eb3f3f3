package lobrik.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.MachineTests.TestBend;
import org.junit.jupiter.api.Test;

/** A machine's tables from test bends. */
class MachineTestsTest {

    private static TestBend bend(double travelInches, double underLoad, double rest) {
        return new TestBend(Length.ofInches(travelInches), Angle.ofDegrees(underLoad), Angle.ofDegrees(rest));
    }

    /** A machine whose springback is 1° and a thirtieth of the angle, and whose ram follows a parabola. */
    private static TestBend exact(double rest) {
        double underLoad = rest + 0.5 + rest / 30;
        return bend(0.2 + 0.085 * underLoad + 0.0001 * underLoad * underLoad, underLoad, rest);
    }

    @Test
    void oneBend_isARowByItself_andSaysNothingOfScatter() {
        MachineTests one = MachineTests.of(List.of(bend(8.875, 93.5, 90)));
        assertThat(one.springback().rows()).containsExactly(new Springback.Row(Angle.RIGHT, Angle.ofDegrees(3.5)));
        assertThat(one.travel().at(Angle.ofDegrees(93.5))).contains(Length.ofInches(8.875));
        assertThat(one.springbackScatter()).isEmpty();
        assertThat(one.travelScatter()).isEmpty();
    }

    @Test
    void bendsOfAMachineThatDoesNotScatter_giveItsOwnFigures() {
        List<TestBend> tests = new ArrayList<>(List.of(exact(90), exact(30), exact(45), exact(60), exact(15)));
        Collections.shuffle(tests, new Random(2));
        MachineTests fit = MachineTests.of(tests);
        assertThat(fit.springback().of(Angle.ofDegrees(45)).degrees()).isCloseTo(2, within(1e-6));
        assertThat(fit.travel()
                        .at(Angle.ofDegrees(exact(60).underLoad().degrees()))
                        .orElseThrow()
                        .inches())
                .isCloseTo(exact(60).travel().inches(), within(1e-6));
        assertThat(fit.springbackScatter().orElseThrow().degrees()).isCloseTo(0, within(1e-6));
        assertThat(fit.travelScatter().orElseThrow().inches()).isCloseTo(0, within(1e-6));
        assertThat(fit.residuals())
                .hasSize(5)
                .allSatisfy(each -> assertThat(each.travel().abs()).isLessThanOrEqualTo(Length.ofInches(1e-6)));
    }

    /** Hundreds of machines with known figures and hands that read 1/32 in and a quarter of a degree wrong. */
    @Test
    void fit_findsTheMachine_asWellAsItsScatterSays() {
        Random random = new Random(11);
        double travelOff = 0;
        double scatter = 0;
        int machines = 300;
        for (int i = 0; i < machines; i++) {
            List<TestBend> tests = new ArrayList<>();
            for (double rest : new double[] {30, 30, 45, 45, 60, 60, 90, 90}) {
                TestBend right = exact(rest);
                tests.add(bend(
                        right.travel().inches() + random.nextGaussian() / 32,
                        right.underLoad().degrees(),
                        right.rest().degrees() + Math.max(-1, Math.min(1, random.nextGaussian() / 4))));
            }
            MachineTests fit = MachineTests.of(tests);
            double at = exact(45).underLoad().degrees();
            double found = fit.travel().at(Angle.ofDegrees(at)).orElseThrow().inches()
                    - exact(45).travel().inches();
            travelOff += found * found / machines;
            scatter += fit.travelScatter().orElseThrow().inches() / machines;
        }
        assertThat(scatter).as("what the hands do").isCloseTo(1.0 / 32, within(0.003));
        assertThat(Math.sqrt(travelOff)).as("is averaged out").isLessThan(0.75 / 32);
    }

    @Test
    void bendsThatAreMeantToBeTheSame_makeOneRow() {
        MachineTests fit = MachineTests.of(List.of(bend(8.8, 93, 90), bend(8.9, 94, 90.5), bend(2.6, 31.5, 30)));
        assertThat(fit.springback().rows()).hasSize(2);
        assertThat(fit.travel().rows()).hasSize(2);
    }

    @Test
    void bendThatOpensTheWrongWay_isRefusedWithItsCure() {
        assertThatThrownBy(() -> bend(8, 90, 92))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("92°")
                .hasMessageContaining("90°")
                .hasMessageContaining("give the larger angle");
        assertThatThrownBy(() -> MachineTests.of(List.of()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("1 to 100");
    }

    @Test
    void travelThatComesBack_isNoTable() {
        assertThatThrownBy(() -> MachineTests.of(List.of(bend(6, 30, 29), bend(4, 60, 58))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no further than")
                .hasMessageContaining("measure one of the two again");
    }

    @Test
    void tables_reachTheSmallestAndTheLargestAngleThatWereBent() {
        MachineTests fit = MachineTests.of(
                List.of(bend(2.6, 31.5, 30), bend(2.7, 32, 30.5), bend(8.8, 93, 89.5), bend(8.9, 93.5, 90)));
        assertThat(fit.springback().range()).contains(new Springback.Range(Angle.ofDegrees(30), Angle.RIGHT));
        assertThat(fit.travel().at(Angle.ofDegrees(93.5))).isPresent();
    }

    @Test
    void bendThatIsNotOneOfTheOthers_isNamed() {
        List<TestBend> tests = new ArrayList<>(List.of(
                bend(2.625, 31.5, 30),
                bend(2.75, 32, 30.5),
                bend(5.75, 62.5, 60),
                bend(5.875, 63, 60.5),
                bend(8.875, 93.5, 90),
                bend(8.75, 93, 89.5)));
        assertThat(MachineTests.of(tests).doubtful()).isEmpty();
        tests.add(bend(9.375, 93, 89.5));
        assertThat(MachineTests.of(tests).doubtful()).hasValue(6);
    }
}
