package lobrik.remedy;

import static org.assertj.core.api.Assertions.assertThat;
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
import lobrik.shape.BendMade;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;
import lobrik.shop.Tooling;
import lobrik.verdict.Entering;
import org.junit.jupiter.api.Test;

class FitTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();

    private static final Run CORNER =
            Run.of(List.of(leg(24, Towards.RIGHT), leg(20, Towards.UP), leg(18, Towards.OUT)));

    private static Leg leg(double inches, Towards towards) {
        return new Leg(Length.ofInches(inches), towards, Length.ZERO);
    }

    private static Layout laidOut(Run run) {
        return Layout.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    /** As planned but for the angles of some bends, and with more conduit beyond the far end. */
    private static Piece made(Layout layout, double longer, double... off) {
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            BendMade bend = mark.asMarked();
            int i = mark.number() - 1;
            bends.add(new BendMade(
                    bend.position(),
                    bend.placing(),
                    bend.angle().plus(Angle.ofDegrees(i < off.length ? off[i] : 0)),
                    bend.roll()));
        }
        return Piece.simulate(TOOLING, layout.predicted().length().plus(Length.ofInches(longer)), bends);
    }

    private static Fit fit(Layout layout, Piece made) {
        return Fit.of(layout, made, Entering.USUAL).orElseThrow();
    }

    @Test
    void theRightPiece_goesIn() {
        Layout layout = laidOut(CORNER);
        Fit fit = fit(layout, made(layout, 0));
        assertThat(fit.enters()).isTrue();
        assertThat(fit.distance().inches()).isCloseTo(0, within(1e-6));
        assertThat(fit.ways()).isEmpty();
        assertThat(new FitWords(fit, LengthUnit.INCH).sentence())
                .isEqualTo("It goes into both fittings: the far end is within 1/4 in of where it should be.");
    }

    @Test
    void anythingButARun_isNotAsked() {
        Layout stub = Layout.of(new Job(
                new Stub90(Length.ofInches(20), Optional.of(Length.ofInches(20)), Placement.ARROW),
                TOOLING,
                School.of(Method.EXACT, TapeDivision.NONE)));
        assertThat(Fit.of(stub, stub.predicted(), Entering.USUAL)).isEmpty();
    }

    /** Worked by hand: one inch too long beyond its last bend, which runs out of the wall, it is to be cut by one inch there. */
    @Test
    void whatIsTooLong_isCutAtItsFarEnd() {
        Layout layout = laidOut(CORNER);
        Fit fit = fit(layout, made(layout, 1));
        assertThat(fit.enters()).isFalse();
        assertThat(fit.off().z()).isCloseTo(1, within(1e-6));
        Fit.Way way = fit.ways().getFirst();
        assertThat(way.bends()).isEmpty();
        assertThat(way.cutAtFar().inches()).isEqualTo(1);
        assertThat(new FitWords(fit, LengthUnit.INCH).sentence()).contains("the far end is 1 in out of the wall");
        assertThat(new FitWords(fit, LengthUnit.INCH).ways())
                .first()
                .isEqualTo("Cut 1 in off the far end: then it is 0 in off.");
    }

    /** The ninety that is three degrees off is the one that is named, and by how much it goes back. */
    @Test
    void aNinetyThatIsOff_isOpenedAgain() {
        Layout layout = laidOut(CORNER);
        Fit fit = fit(layout, made(layout, 0, 0, 3));
        assertThat(fit.enters()).isFalse();
        assertThat(fit.outOfSquare().degrees()).isCloseTo(3, within(1e-6));
        Fit.Way way = fit.ways().getFirst();
        assertThat(way.bends()).singleElement().satisfies(bent -> {
            assertThat(bent.bend()).isEqualTo(2);
            assertThat(bent.by().degrees()).isEqualTo(-3);
        });
        assertThat(new FitWords(fit, LengthUnit.INCH).ways()).first().asString().startsWith("Open bend 2 by 3°");
    }

    @Test
    void whatTooFewDegreesTurn_aside_isNotBroughtInByAnything() {
        Layout layout = laidOut(CORNER);
        List<BendMade> bends =
                new ArrayList<>(layout.marks().stream().map(Mark::asMarked).toList());
        BendMade second = bends.get(1);
        bends.set(
                1,
                new BendMade(
                        second.position(),
                        second.placing(),
                        second.angle(),
                        second.roll().plus(Angle.HALF_TURN)));
        Fit fit = fit(layout, Piece.simulate(TOOLING, layout.predicted().length(), bends));
        assertThat(fit.enters()).isFalse();
        assertThat(fit.ways()).isEmpty();
        assertThat(new FitWords(fit, LengthUnit.INCH).ways())
                .singleElement()
                .asString()
                .contains("bend it anew");
    }

    /** Whatever it proposes is bent and cut by another route, and goes in then. */
    @Test
    void everyWay_leadsIntoTheFittings_whenItIsDone() {
        Random random = new Random(1720);
        int ways = 0;
        for (int i = 0; i < 150; i++) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next(2 + random.nextInt(3), false));
            double[] off = new double[layout.marks().size()];
            off[random.nextInt(off.length)] = Math.round(random.nextGaussian() * 4) / 2.0;
            Piece made = made(layout, random.nextInt(3) * 0.5, off);
            Fit fit = fit(layout, made);
            if (fit.enters()) {
                continue;
            }
            for (Fit.Way way : fit.ways()) {
                ways++;
                Vector3 end = done(made, way);
                Vector3 wanted = layout.wanted()
                        .orElseThrow()
                        .straights()
                        .getLast()
                        .end()
                        .origin();
                assertThat(end.minus(wanted).norm()).isLessThanOrEqualTo(0.25 + 1e-6);
                assertThat(end.minus(wanted).norm()).isCloseTo(way.left().inches(), within(1e-6));
            }
        }
        assertThat(ways).isGreaterThan(60);
    }

    /** Where the far end face is once a way is gone: bent, then cut, seated at the new datum end. */
    private static Vector3 done(Piece made, Fit.Way way) {
        List<BendMade> bends = new ArrayList<>();
        for (int i = 0; i < made.bends().size(); i++) {
            BendMade bend = made.bends().get(i);
            Angle by = Angle.ZERO;
            for (Fit.Bent bent : way.bends()) {
                if (bent.bend() == i + 1) {
                    by = bent.by();
                }
            }
            bends.add(new BendMade(bend.position(), bend.placing(), bend.angle().plus(by), bend.roll()));
        }
        Piece bent = Piece.simulate(made.tooling(), made.length(), bends);
        Vector3 end = bent.at(bent.length().minus(way.cutAtFar())).origin();
        return end.minus(new Vector3(way.cutAtDatum().inches(), 0, 0));
    }
}
