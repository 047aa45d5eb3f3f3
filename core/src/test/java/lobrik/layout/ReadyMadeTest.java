package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.Former;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

/** A ready-made elbow, or a bend of one's own. */
class ReadyMadeTest {

    /** Radius 5, and an elbow that needs 5 + 1.05 · 1.5 = 6.575 in of a leg. */
    private static final Tool HEAT = new Former(Length.ofInches(5), Length.ofInches(2), Former.Support.NONE);

    private static Optional<ReadyMade> of(Tool tool, Bend bend) {
        Tooling tooling = new Tooling(new Conduit(Length.ofInches(1.05)), tool);
        return ReadyMade.of(Layout.of(new Job(bend, tooling, School.of(Method.EXACT, TapeDivision.NONE))));
    }

    private static Stub90 stub(double leg, double other) {
        return new Stub90(Length.ofInches(leg), Optional.of(Length.ofInches(other)), Placement.ARROW);
    }

    @Test
    void elbow_servesWhereEveryLegHasRoomForIt() {
        assertThat(of(HEAT, stub(12, 10))).hasValueSatisfying(elbow -> {
            assertThat(elbow.serves()).isTrue();
            assertThat(elbow.need()).contains(Length.ofInches(6.575));
            assertThat(elbow.words(LengthUnit.INCH)).contains("A ready-made elbow fits", "10 in");
        });
        assertThat(of(HEAT, stub(6.5, 10))).hasValueSatisfying(elbow -> {
            assertThat(elbow.serves()).isFalse();
            assertThat(elbow.words(LengthUnit.INCH)).contains("Bend it", "6 1/2 in");
        });
    }

    @Test
    void betweenTwoBacks_thereAreTwoElbows() {
        Bend close = new BackToBack90(Length.ofInches(12), Length.ofInches(13), Length.ofInches(12));
        assertThat(of(HEAT, close)).hasValueSatisfying(elbow -> {
            assertThat(elbow.serves()).isFalse();
            assertThat(elbow.shortest()).contains(Length.ofInches(6.5));
        });
    }

    @Test
    void whatIsNotSquare_isBent_andMetalHasNoElbowsHere() {
        Bend offset = new Offset(
                Length.ofInches(8),
                Length.ZERO,
                Angle.ofDegrees(30),
                Length.ofInches(40),
                OffsetLayout.BEFORE_OBSTACLE,
                Optional.of(Length.ofInches(90)));
        assertThat(of(HEAT, offset)).hasValueSatisfying(elbow -> {
            assertThat(elbow.serves()).isFalse();
            assertThat(elbow.words(LengthUnit.INCH)).contains("this piece is not");
        });
        assertThat(ReadyMade.of(Layout.of(
                        new Job(stub(17, 22), Jobs.threeQuarters(), School.of(Method.EXACT, TapeDivision.NONE)))))
                .isEmpty();
    }
}
