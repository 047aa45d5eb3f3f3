package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Leg;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.cause.FarEnd.Share;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.remedy.Fit;
import lobrik.shape.BendMade;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;
import lobrik.shop.Tooling;
import lobrik.verdict.Entering;
import org.junit.jupiter.api.Test;

class FarEndTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();

    private static final Layout CORNER =
            laidOut(Run.of(List.of(leg(24, Towards.RIGHT), leg(20, Towards.UP), leg(18, Towards.OUT))));

    private static Leg leg(double inches, Towards towards) {
        return new Leg(Length.ofInches(inches), towards, Length.ZERO);
    }

    private static Layout laidOut(Run run) {
        return Layout.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    /** How a bend is made otherwise than planned. */
    private record Off(double inches, double degrees, double roll) {}

    private static final Off NONE = new Off(0, 0, 0);

    private static Piece made(Layout layout, double longer, List<Off> offs) {
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            BendMade bend = mark.asMarked();
            Off off = offs.get(mark.number() - 1);
            bends.add(new BendMade(
                    bend.position().plus(Length.ofInches(off.inches())),
                    bend.placing(),
                    bend.angle().plus(Angle.ofDegrees(off.degrees())),
                    bend.roll().plus(Angle.ofDegrees(off.roll()))));
        }
        return Piece.simulate(TOOLING, layout.predicted().length().plus(Length.ofInches(longer)), bends);
    }

    private static FarEnd of(Layout layout, Piece made) {
        return FarEnd.of(layout, made).orElseThrow();
    }

    private static Vector3 sum(FarEnd farEnd) {
        return farEnd.shares().stream().map(Share::moves).reduce(new Vector3(0, 0, 0), Vector3::plus);
    }

    private static String words(FarEnd farEnd) {
        return new FarEndWords(farEnd, LengthUnit.INCH).sentence();
    }

    @Test
    void theRightPiece_isNowhereOff() {
        FarEnd farEnd = of(CORNER, made(CORNER, 0, List.of(NONE, NONE)));
        assertThat(farEnd.off().norm()).isCloseTo(0, within(1e-9));
        assertThat(words(farEnd)).isEqualTo("The far end is where it should be.");
        assertThat(new FarEndWords(farEnd, LengthUnit.INCH).places()).isEmpty();
    }

    @Test
    void anythingButARun_isNotAsked() {
        Layout stub = Layout.of(new Job(
                new Stub90(Length.ofInches(20), Optional.of(Length.ofInches(20)), Placement.ARROW),
                TOOLING,
                School.of(Method.EXACT, TapeDivision.NONE)));
        assertThat(FarEnd.of(stub, stub.predicted())).isEmpty();
    }

    /** Worked by hand: the second bend an inch further on makes leg 2 an inch longer, upwards, and leg 3 an inch shorter, out of the wall. */
    @Test
    void aBendOffItsPlace_isALegTooLong_andOneTooShort() {
        FarEnd farEnd = of(CORNER, made(CORNER, 0, List.of(NONE, new Off(1, 0, 0))));
        assertThat(farEnd.off().y()).isCloseTo(1, within(1e-9));
        assertThat(farEnd.off().z()).isCloseTo(-1, within(1e-9));
        assertThat(farEnd.shares())
                .filteredOn(share -> share.moves().norm() > 1e-9)
                .extracting(Share::part, Share::number)
                .containsExactly(tuple(FarEnd.Part.LEG, 2), tuple(FarEnd.Part.LEG, 3));
        assertThat(words(farEnd)).isEqualTo("It came in at leg 2 and leg 3.");
        assertThat(new FarEndWords(farEnd, LengthUnit.INCH).places()).hasSize(2);
    }

    /** Worked by hand: what lies beyond the first corner, 20 in up and 18 in out, turns about it by two degrees. */
    @Test
    void aNinetyThatIsOff_turnsWhatLiesBeyondIt() {
        FarEnd farEnd = of(CORNER, made(CORNER, 0, List.of(new Off(0, 2, 0), NONE)));
        Share most = farEnd.most().orElseThrow();
        assertThat(most.part()).isEqualTo(FarEnd.Part.ANGLE);
        assertThat(most.number()).isEqualTo(1);
        double lever = 20 - TOOLING.conduit().outsideDiameter().inches();
        assertThat(most.moves().x()).isCloseTo(-lever * Math.sin(Math.toRadians(2)), within(0.02));
        assertThat(words(farEnd))
                .isEqualTo("Most of it came in at the angle of bend 1, which brings the far end 11/16 in to the left.");
    }

    @Test
    void aTurnThatIsOff_isThePlaneOfTheBendBeyondIt() {
        FarEnd farEnd = of(CORNER, made(CORNER, 0, List.of(NONE, new Off(0, 0, 10))));
        Share most = farEnd.most().orElseThrow();
        assertThat(most.part()).isEqualTo(FarEnd.Part.PLANE);
        assertThat(most.number()).isEqualTo(2);
        assertThat(most.moves().norm()).isCloseTo(farEnd.off().norm(), within(1e-9));
    }

    /** Whatever was made, nothing is left over, and it is as far off as whether it fits says by another route. */
    @Test
    void shares_addUpToHowFarItIsOff_ofWhateverRun() {
        Random random = new Random(1741);
        int simulated = 0;
        for (int i = 0; i < 300; i++) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next(2 + random.nextInt(5), true));
            List<Off> offs = new ArrayList<>();
            layout.marks()
                    .forEach(_ -> offs.add(
                            new Off(random.nextGaussian() / 16, random.nextGaussian() * 2, random.nextGaussian() * 2)));
            Piece made = made(layout, random.nextGaussian() / 8, offs);
            FarEnd farEnd = of(layout, made);
            simulated++;
            assertThat(sum(farEnd).minus(farEnd.off()).norm()).isCloseTo(0, within(1e-8));
            assertThat(farEnd.off()
                            .minus(Fit.of(layout, made, Entering.USUAL)
                                    .orElseThrow()
                                    .off())
                            .norm())
                    .isCloseTo(0, within(1e-9));
        }
        assertThat(simulated).isEqualTo(300);
    }

    /** What cancels out is no error of the far end: readings that contradict each other are fitted so. */
    @Test
    void placesThatCancelOut_areNotTold() {
        FarEnd none = new FarEnd(
                new Vector3(0, 0.01, 0),
                List.of(
                        new Share(FarEnd.Part.LEG, 2, new Vector3(0, 0.51, 0)),
                        new Share(FarEnd.Part.ANGLE, 2, new Vector3(0, -0.5, 0))));
        assertThat(new FarEndWords(none, LengthUnit.INCH).places()).isEmpty();
        assertThat(words(none)).isEqualTo("The far end is where it should be.");
    }
}
