package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.shop.Conduit;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

class NinetyFeaturesTest {

    private static final Tooling TOOLING =
            new Tooling(new Conduit(Length.ofInches(0.922)), Shoe.of(Length.ofInches(6), Length.ofInches(5.125)));

    private static final Stub90 STUB = new Stub90(Length.ofInches(20), Optional.empty(), Placement.ARROW);

    private static BendMade madeAt(double mark, double degrees) {
        return new BendMade(Length.ofInches(mark), Placing.arrow(HookSide.DATUM), Angle.ofDegrees(degrees), Angle.ZERO);
    }

    private static double value(List<Feature> features, FeatureId id) {
        return features.stream()
                .filter(feature -> feature.id().equals(id))
                .map(feature -> switch (feature.value()) {
                    case Length length -> length.inches();
                    case Angle angle -> angle.degrees();
                    case Percentage part -> part.perCent();
                })
                .findFirst()
                .orElseThrow();
    }

    @Test
    void ninety_hasItsLegAtMarkPlusTakeUp() {
        BendMade made = madeAt(11.625, 90);
        List<Feature> features = Features.of(STUB, Piece.simulate(TOOLING, Length.ofInches(36.5), List.of(made)));
        assertThat(value(features, FeatureId.mark(1))).isEqualTo(11.625);
        assertThat(value(features, FeatureId.LEG)).isCloseTo(17.625, within(1e-9));
        assertThat(value(features, FeatureId.angle(1))).isEqualTo(90);
        // gain 3.12167 (worked by hand): both legs together are length plus gain
        assertThat(value(features, FeatureId.OTHER_LEG)).isCloseTo(36.5 + 3.12167 - 17.625, within(1e-5));
    }

    /** The independent route: walk along the datum axis until the distance to the far leg's centreline is d/2. */
    @Test
    void legOfABendThatIsNot90_endsWhereTheAxisMeetsTheBackLine() {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            BendMade made = madeAt(11, 80 + 20 * random.nextDouble());
            Piece piece = Piece.simulate(TOOLING, Length.ofInches(40), List.of(made));
            Frame far = piece.straights().getLast().start();
            double leg = value(Features.of(STUB, piece), FeatureId.LEG);
            Vector3 met = Vector3.X.times(leg);
            Vector3 across = met.minus(far.origin());
            double distance =
                    across.minus(far.along().times(across.dot(far.along()))).norm();
            assertThat(distance).isCloseTo(0.461, within(1e-9));
            assertThat(met.x())
                    .as("the back is the outer side")
                    .isGreaterThan(far.origin().x() - 0.461);
        }
    }

    @Test
    void bendFarFromNinety_hasNoLegToMeasure() {
        BendMade made = madeAt(11, 20);
        Piece piece = Piece.simulate(TOOLING, Length.ofInches(40), List.of(made));
        Refused refused = catchThrowableOfType(Refused.class, () -> Features.of(STUB, piece));
        assertThat(refused.faults()).extracting(fault -> fault.code()).containsExactly(FaultCode.NOT_A_NINETY);
    }
}
