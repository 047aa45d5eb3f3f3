package lobrik.sticks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Leg;
import lobrik.bend.Run;
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
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Piece;
import lobrik.shape.RoomFrame;
import lobrik.shape.Vector3;
import lobrik.shop.Tooling;
import lobrik.verdict.Entering;
import org.junit.jupiter.api.Test;

/** Pieces of a run, each bent by itself, put together again. */
class AssemblyTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();

    private static Layout laidOut(Run run) {
        return Layout.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    private static Leg leg(double inches, Towards towards) {
        return new Leg(Length.ofInches(inches), towards, Length.ZERO);
    }

    /** A run with its portions, each laid out by itself where it has a ninety. */
    private record Divided(Run run, List<Portion> portions, List<Optional<Layout>> alone) {

        static Optional<Divided> of(Run run, double stick) {
            Layout layout = laidOut(run);
            return Division.of(layout, run.shape(), Stock.of(Length.ofInches(stick)))
                    .map(pieces -> {
                        List<Portion> portions = Portion.of(layout, run, pieces);
                        return new Divided(
                                run,
                                portions,
                                portions.stream()
                                        .map(portion -> portion.run().map(AssemblyTest::laidOut))
                                        .toList());
                    });
        }

        List<Optional<Piece>> right() {
            return alone.stream().map(layout -> layout.map(Layout::predicted)).toList();
        }

        Assembly put(List<Optional<Piece>> made) {
            return Assembly.of(RoomFrame.of(run), portions, made);
        }
    }

    /** Right, up and out: 70, 90 and 60 in, from sticks of ten feet. */
    private static Divided corner() {
        return Divided.of(Run.of(List.of(leg(70, Towards.RIGHT), leg(90, Towards.UP), leg(60, Towards.OUT))), 120)
                .orElseThrow();
    }

    private static Piece made(Layout layout, double longer, double heavy) {
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            BendMade bend = mark.asMarked();
            bends.add(new BendMade(
                    bend.position(), bend.placing(), bend.angle().plus(Angle.ofDegrees(heavy)), bend.roll()));
        }
        return Piece.simulate(TOOLING, layout.predicted().length().plus(Length.ofInches(longer)), bends);
    }

    @Test
    void couplings_standOnLinesOfTheTape_alongTheirLegs() {
        Divided corner = corner();
        assertThat(corner.portions()).hasSizeGreaterThan(1);
        for (Optional<Layout> alone : corner.alone()) {
            Run run = alone.orElseThrow().job().bend().run().orElseThrow();
            for (int leg = 1; leg <= run.legs().size(); leg++) {
                double sixteenths = run.outside(leg).inches() * 16;
                assertThat(sixteenths).isCloseTo(Math.rint(sixteenths), within(1e-6));
            }
        }
    }

    /** What was one leg is two, without anything lost or counted twice. */
    @Test
    void legs_addUpToThoseOfTheWholeRun() {
        double all = 0;
        for (Optional<Layout> alone : corner().alone()) {
            Run run = alone.orElseThrow().job().bend().run().orElseThrow();
            for (int leg = 1; leg <= run.legs().size(); leg++) {
                all += run.outside(leg).inches();
            }
        }
        assertThat(all).isCloseTo(70 + 90 + 60, within(1e-9));
    }

    @Test
    void rightPieces_putTogether_areTheWholeRun_whateverRunItIs() {
        Random random = new Random(1777);
        int put = 0;
        int coupled = 0;
        for (int i = 0; i < 60; i++) {
            Run run = new RandomRuns(random, TOOLING).next(3 + random.nextInt(4), random.nextBoolean());
            Optional<Divided> divided = Divided.of(run, 120);
            if (divided.isEmpty()) {
                continue;
            }
            put++;
            coupled += divided.get().portions().size() > 1 ? 1 : 0;
            Assembly assembly = divided.get().put(divided.get().right());
            assertThat(assembly.off().norm()).as("%s", run).isCloseTo(0, within(1e-6));
            assertThat(assembly.outOfSquare().degrees()).isCloseTo(0, within(1e-4));
            assertThat(assembly.enters(Entering.USUAL)).isTrue();
        }
        assertThat(put).isGreaterThan(30);
        assertThat(coupled).isGreaterThan(15);
    }

    /** Worked by hand: a first piece that is cut half an inch too long up its leg brings all that follows half an inch higher. */
    @Test
    void aPieceThatIsTooLong_spendsThat_andNoOtherDoes() {
        Divided corner = corner();
        List<Optional<Piece>> made = new ArrayList<>(corner.right());
        made.set(0, corner.alone().getFirst().map(layout -> made(layout, 0.5, 0)));
        Assembly assembly = corner.put(made);
        assertThat(assembly.off().y()).isCloseTo(0.5, within(1e-6));
        assertThat(assembly.off().norm()).isCloseTo(0.5, within(1e-6));
        assertThat(assembly.spent().getFirst().norm()).isCloseTo(0.5, within(1e-6));
        assertThat(assembly.spent().getLast().norm()).isCloseTo(0, within(1e-6));
        assertThat(assembly.enters(Entering.USUAL)).isFalse();
    }

    /** What each spends adds up to the whole, and a piece that nobody measured spends nothing. */
    @Test
    void whatPiecesSpend_addsUp_andWhatIsNotMeasured_spendsNothing() {
        Random random = new Random(1783);
        int put = 0;
        while (put < 25) {
            Run run = new RandomRuns(random, TOOLING).next(4 + random.nextInt(3), false);
            Optional<Divided> divided =
                    Divided.of(run, 120).filter(each -> each.portions().size() > 1);
            if (divided.isEmpty()) {
                continue;
            }
            put++;
            List<Optional<Piece>> made = new ArrayList<>();
            for (Optional<Layout> alone : divided.get().alone()) {
                made.add(
                        random.nextInt(3) == 0
                                ? Optional.empty()
                                : alone.map(layout -> made(layout, random.nextGaussian() / 8, random.nextGaussian())));
            }
            Assembly assembly = divided.get().put(made);
            Vector3 sum = assembly.spent().stream().reduce(new Vector3(0, 0, 0), Vector3::plus);
            assertThat(sum.minus(assembly.off()).norm()).isCloseTo(0, within(1e-9));
            for (int i = 0; i < made.size(); i++) {
                if (made.get(i).isEmpty()) {
                    assertThat(assembly.spent().get(i).norm()).isCloseTo(0, within(1e-9));
                }
            }
        }
    }
}
