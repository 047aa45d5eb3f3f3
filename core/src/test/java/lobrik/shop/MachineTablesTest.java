package lobrik.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import org.junit.jupiter.api.Test;

/** What test bends of a machine say: springback and travel of its ram (handbook 4.11). */
class MachineTablesTest {

    private static final Machine THREE_INCH =
            MachineTable.forEmt(TradeSize.THREE).orElseThrow();

    private static Springback springback(double... angleAndBack) {
        return new Springback(IntStream.range(0, angleAndBack.length / 2)
                .mapToObj(i -> new Springback.Row(
                        Angle.ofDegrees(angleAndBack[2 * i]), Angle.ofDegrees(angleAndBack[2 * i + 1])))
                .toList());
    }

    private static RamTravel travel(double... angleAndTravel) {
        return new RamTravel(IntStream.range(0, angleAndTravel.length / 2)
                .mapToObj(i -> new RamTravel.Row(
                        Angle.ofDegrees(angleAndTravel[2 * i]), Length.ofInches(angleAndTravel[2 * i + 1])))
                .toList());
    }

    @Test
    void springback_isInterpolatedBetweenRows_andInProportionOutside() {
        Springback known = springback(90, 3.5, 30, 1.5);
        assertThat(known.of(Angle.ofDegrees(60)).degrees()).isCloseTo(2.5, within(1e-9));
        assertThat(known.of(Angle.ofDegrees(90)).degrees()).isCloseTo(3.5, within(1e-9));
        assertThat(known.of(Angle.ofDegrees(10)).degrees()).isCloseTo(0.5, within(1e-9));
        assertThat(known.of(Angle.ofDegrees(112.5)).degrees()).isCloseTo(4.375, within(1e-9));
        assertThat(known.of(Angle.ZERO)).isEqualTo(Angle.ZERO);
    }

    @Test
    void whatStaysOfAPull_isWhatItWouldHaveToBePulledFor() {
        for (double rest = 1; rest < 120; rest += 0.7) {
            Angle angle = Angle.ofDegrees(rest);
            Angle pulled = angle.plus(THREE_INCH.springback(angle));
            assertThat(THREE_INCH.springback().restOf(pulled).degrees()).isCloseTo(rest, within(1e-6));
        }
    }

    @Test
    void travel_isInterpolatedBetweenRows_growsWithTheAngle_andIsUnknownOutside() {
        RamTravel known = THREE_INCH.ramTravel();
        assertThat(known.at(Angle.ofDegrees(60))).contains(Length.ofFraction(5, 3, 4));
        assertThat(known.at(Angle.ofDegrees(52.5)).orElseThrow().inches()).isCloseTo(4.9375, within(1e-9));
        assertThat(known.at(Angle.ofDegrees(29.9))).isEmpty();
        assertThat(known.at(Angle.ofDegrees(90.1))).isEmpty();
        assertThat(RamTravel.NONE.at(Angle.RIGHT)).isEmpty();
        Length before = Length.ZERO;
        for (double angle = 30; angle <= 90; angle += 0.5) {
            Length out = known.at(Angle.ofDegrees(angle)).orElseThrow();
            assertThat(out).isGreaterThan(before);
            before = out;
        }
    }

    @Test
    void twoRowsOfOneAngle_areRefused_withBothFigures() {
        assertThatThrownBy(() -> travel(30, 2.625, 45, 4.125, 45, 4.25))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults()).singleElement().satisfies(fault -> {
                            assertThat(fault.code()).isEqualTo(FaultCode.DUPLICATE);
                            assertThat(fault.input()).isEqualTo("ramTravel/2/angleDeg");
                            assertThat(fault.message())
                                    .contains("45°", "4 1/8 in", "4 1/4 in")
                                    .endsWith("keep one of them");
                        }));
        assertThatThrownBy(() -> springback(30, 1, 30, 2))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("30°");
    }

    @Test
    void travelThatDoesNotGrow_isRefused() {
        assertThatThrownBy(() -> travel(30, 2.625, 45, 2.5))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults()).singleElement().satisfies(fault -> {
                            assertThat(fault.code()).isEqualTo(FaultCode.NOT_INCREASING);
                            assertThat(fault.message()).contains("for 45° the ram comes out 2 1/2 in");
                        }));
        assertThatThrownBy(() -> springback(30, 20, 40, 5))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("40° would be pulled to 45°");
    }

    @Test
    void everyFigureOutsideItsRange_isNamed() {
        assertThatThrownBy(() -> new Machine(
                        Length.ZERO,
                        Length.ofInches(-1),
                        Length.ZERO,
                        Length.ofInches(300),
                        Length.ofInches(-2),
                        Springback.NONE,
                        RamTravel.NONE))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting(fault -> fault.input())
                                .containsExactly("takeUpIn", "radiusIn", "minStubIn", "minPastShoeIn"));
        assertThatThrownBy(() -> springback(0, 1, 30, 60))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting(fault -> fault.input())
                                .containsExactly("springback/0/angleDeg", "springback/1/springbackDeg"));
    }

    @Test
    void moreRowsThanAnybodyMakes_areRefused() {
        List<RamTravel.Row> rows = IntStream.rangeClosed(1, 51)
                .mapToObj(i -> new RamTravel.Row(Angle.ofDegrees(i), Length.ofInches(i)))
                .toList();
        assertThatThrownBy(() -> new RamTravel(rows))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("51 rows");
    }

    @Test
    void springbackThatIsTheSameEverywhere_isSo() {
        Springback same = Springback.always(Angle.ofDegrees(2));
        assertThat(Stream.of(1.0, 30.0, 90.0, 180.0).map(Angle::ofDegrees).map(same::of))
                .containsOnly(Angle.ofDegrees(2));
        assertThat(Springback.always(Angle.ZERO)).isEqualTo(Springback.NONE);
    }

    @Test
    void genericShoes_areShoes_andKeepTheirEndsRound() {
        for (TradeSize size : TradeSize.values()) {
            MachineTable.forEmt(size).ifPresent(machine -> {
                Conduit conduit = ConduitTable.conduit(ConduitMaterial.EMT, size);
                Tooling tooling = new Tooling(conduit, machine);
                assertThat(tooling.shoe().orElseThrow().arrowLead().isNegative())
                        .isFalse();
                assertThat(machine.minPastShoe()).isGreaterThanOrEqualTo(conduit.outsideDiameter());
                assertThat(machine.minStub()).isEqualTo(machine.takeUp().plus(machine.minPastShoe()));
            });
        }
        assertThat(THREE_INCH.takeUp()).isEqualTo(Length.ofFraction(17, 1, 2));
        assertThat(THREE_INCH.minStub()).isEqualTo(Length.ofInches(21));
    }
}
