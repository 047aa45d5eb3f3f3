package lobrik.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.Calibration.TestBend;
import org.junit.jupiter.api.Test;

/** The independent route: test bends come from the simulation on a bender whose figures are known. */
class CalibrationTest {

    private static final Conduit CONDUIT = new Conduit(Length.ofInches(0.922));
    private static final Tooling TRUTH = new Tooling(CONDUIT, Shoe.of(Length.ofInches(6.11), Length.ofInches(5.04)));

    private static TestBend bent(double degrees, double noise, Random random) {
        BendMade made =
                new BendMade(Length.ofInches(12), Placing.arrow(HookSide.DATUM), Angle.ofDegrees(degrees), Angle.ZERO);
        Piece piece = Piece.simulate(TRUTH, Length.ofInches(40), List.of(made));
        Stub90 stub = new Stub90(Length.ofInches(18), Optional.empty(), Placement.ARROW);
        List<Feature> features = Features.of(stub, piece);
        return new TestBend(
                Length.ofInches(40),
                Length.ofInches(12),
                length(features, FeatureId.LEG).plus(Length.ofInches(noise * random.nextGaussian())),
                length(features, FeatureId.OTHER_LEG).plus(Length.ofInches(noise * random.nextGaussian())),
                Angle.ofDegrees(degrees));
    }

    private static Length length(List<Feature> features, FeatureId id) {
        return features.stream()
                .filter(feature -> feature.id().equals(id))
                .map(feature -> (Length) feature.value())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void oneTestNinety_givesTheBendersFigures_withoutScatter() {
        Calibration fit = Calibration.of(CONDUIT, List.of(bent(90, 0, new Random(1))));
        assertThat(fit.takeUp().inches()).isCloseTo(6.11, within(1e-8));
        assertThat(fit.radius().inches()).isCloseTo(5.04, within(1e-8));
        assertThat(fit.scatter()).isEmpty();
    }

    @Test
    void bendsThatAreNotExactlyNinety_giveThemToo() {
        Calibration fit = Calibration.of(CONDUIT, List.of(bent(88, 0, new Random(1)), bent(93.5, 0, new Random(1))));
        assertThat(fit.takeUp().inches()).isCloseTo(6.11, within(1e-8));
        assertThat(fit.radius().inches()).isCloseTo(5.04, within(1e-8));
        assertThat(fit.scatter().orElseThrow().inches()).isCloseTo(0, within(1e-8));
    }

    @Test
    void scatterAndStandardErrors_areHonest() {
        Random random = new Random(7);
        int within = 0;
        double scatter = 0;
        for (int i = 0; i < 400; i++) {
            List<TestBend> tests = new ArrayList<>();
            for (int n = 0; n < 5; n++) {
                tests.add(bent(88 + 4 * random.nextDouble(), 1.0 / 32, random));
            }
            Calibration fit = Calibration.of(CONDUIT, tests);
            scatter += fit.scatter().orElseThrow().inches() / 400;
            double error = Math.abs(fit.takeUp().inches() - 6.11);
            within += error <= 2.306 * fit.takeUpError().orElseThrow().inches() ? 1 : 0;
        }
        assertThat(scatter).isCloseTo(1.0 / 32, within(0.002));
        // Student's t with 8 degrees of freedom: 2.306 standard errors hold 95 %
        assertThat(within).isBetween(368, 392);
    }

    @Test
    void residuals_tellWhichTestBendIsOdd() {
        Random random = new Random(8);
        TestBend good = bent(90, 0, random);
        TestBend odd = new TestBend(
                good.straight(), good.mark(), good.markedLeg().plus(Length.ofInches(1)), good.otherLeg(), good.angle());
        Calibration fit = Calibration.of(CONDUIT, List.of(good, good, odd));
        assertThat(fit.residuals().get(2).markedLeg())
                .isGreaterThan(fit.residuals().get(0).markedLeg());
    }

    @Test
    void piecesThatNoBenderMakes_areRefused() {
        TestBend nonsense = new TestBend(
                Length.ofInches(40), Length.ofInches(12), Length.ofInches(14), Length.ofInches(20), Angle.RIGHT);
        Refused refused = catchThrowableOfType(Refused.class, () -> Calibration.of(CONDUIT, List.of(nonsense)));
        assertThat(refused.faults()).extracting(Fault::code).containsExactly(FaultCode.NOT_DETERMINED);
        assertThat(catchThrowableOfType(Refused.class, () -> Calibration.of(CONDUIT, List.of()))
                        .isWellFormed())
                .isFalse();
    }
}
