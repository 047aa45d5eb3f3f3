package lobrik.sticks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.Towards;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

class DivisionTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();
    private static final Stock STOCK = Stock.of(Length.ofInches(120));

    private static Length in(double inches) {
        return Length.ofInches(inches);
    }

    private static Layout laidOut(Run run) {
        return Layout.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    private static Run run(double[] lengths, Towards... towards) {
        List<Leg> legs = new ArrayList<>();
        for (int i = 0; i < lengths.length; i++) {
            legs.add(new Leg(in(lengths[i]), towards[i], Length.ZERO));
        }
        return Run.of(legs);
    }

    @Test
    void whatAStickHolds_isOnePiece() {
        Run run = run(new double[] {20, 30, 20}, Towards.UP, Towards.RIGHT, Towards.OUT);
        Layout layout = laidOut(run);
        List<Division.Piece> pieces = Division.of(layout, run.shape(), STOCK).orElseThrow();
        assertThat(pieces).singleElement().satisfies(piece -> {
            assertThat(piece.length()).isEqualTo(layout.predicted().length());
            assertThat(piece.bendNumbers()).containsExactly(1, 2);
        });
    }

    /** 150 in and more of conduit round one corner: two pieces, the coupling at least 3 in from the curve. */
    @Test
    void whatIsLongerThanAStick_isCoupledOnAStraight_offTheCurves() {
        Run run = run(new double[] {70, 90}, Towards.UP, Towards.RIGHT);
        Layout layout = laidOut(run);
        List<Division.Piece> pieces = Division.of(layout, run.shape(), STOCK).orElseThrow();
        assertThat(pieces).hasSize(2);
        assertWhole(layout, run.shape(), pieces);
    }

    private static void assertWhole(Layout layout, RunShape shape, List<Division.Piece> pieces) {
        Length end = Length.ZERO;
        List<Integer> bends = new ArrayList<>();
        for (Division.Piece piece : pieces) {
            assertThat(piece.from()).isEqualTo(end);
            assertThat(piece.length().isMoreThan(STOCK.stick())).isFalse();
            assertThat(piece.steps()).hasSameSizeAs(piece.bends());
            end = piece.to();
            bends.addAll(piece.bendNumbers());
        }
        assertThat(end).isEqualTo(layout.predicted().length());
        assertThat(bends).hasSize(shape.bends()).isSorted();
        for (Division.Piece piece : pieces.subList(1, pieces.size())) {
            assertThat(nearestCurve(layout, piece.from())).isGreaterThanOrEqualTo(3 - 1e-6);
        }
    }

    /** How far a place is from the nearest curve, walked along the piece. */
    private static double nearestCurve(Layout layout, Length place) {
        double at = 0;
        double nearest = Double.MAX_VALUE;
        Piece piece = layout.predicted();
        for (int i = 0; i < piece.arcs().size(); i++) {
            at += piece.straights().get(i).length().inches();
            double end = at + piece.arcs().get(i).length().inches();
            double before = at - place.inches();
            double beyond = place.inches() - end;
            nearest = Math.min(nearest, Math.max(before, beyond));
            at = end;
        }
        return nearest;
    }

    /** Each piece is bent by itself and put to the end of the one before: the same conduit comes of it. */
    @Test
    void cutAtItsCouplings_aRunHasTheSameShape() {
        Random random = new Random(1720);
        int divided = 0;
        for (int i = 0; i < 40; i++) {
            Run run = new RandomRuns(random, TOOLING).next(2 + random.nextInt(4), false);
            Layout layout = laidOut(run);
            Optional<List<Division.Piece>> pieces = Division.of(layout, run.shape(), STOCK);
            if (pieces.isPresent()) {
                divided += pieces.get().size() > 1 ? 1 : 0;
                assertWhole(layout, run.shape(), pieces.get());
                Vector3 end = end(pieces.get());
                Vector3 whole = layout.predicted().straights().getLast().end().origin();
                assertThat(end.minus(whole).norm()).isCloseTo(0, within(1e-6));
            }
        }
        assertThat(divided).isGreaterThan(10);
    }

    private static Vector3 end(List<Division.Piece> pieces) {
        Vector3 at = new Vector3(0, 0, 0);
        Vector3 along = new Vector3(1, 0, 0);
        Vector3 up = new Vector3(0, 1, 0);
        for (Division.Piece each : pieces) {
            Piece piece = Piece.simulate(TOOLING, each.length(), each.bends());
            Frame last = piece.straights().getLast().end();
            Vector3 side = along.cross(up);
            at = at.plus(turned(last.origin(), along, up, side));
            Vector3 newAlong = turned(last.along(), along, up, side);
            up = turned(last.up(), along, up, side);
            along = newAlong;
        }
        return at;
    }

    private static Vector3 turned(Vector3 point, Vector3 x, Vector3 y, Vector3 z) {
        return x.times(point.x()).plus(y.times(point.y())).plus(z.times(point.z()));
    }

    @Test
    void theCutList_usesWhatIsLeft_beforeASticksIsBegun_andCountsTheSaw() {
        Stock stock = new Stock(in(120), List.of(in(40), in(70)), in(0.0625), in(3));
        CutList list = CutList.of(List.of(in(60), in(38), in(80), in(39)), stock);
        // The longest first: 80 from a stick; 60 from the 70; 39 from what is left of the stick; 38 from the 40.
        assertThat(list.sticks()).hasSize(3);
        CutList.Cut stick = cut(list, 120);
        assertThat(stick.pieces()).containsExactly(3, 4);
        assertThat(stick.left().inches()).isCloseTo(120 - 80 - 39 - 2 * 0.0625, within(1e-9));
        assertThat(cut(list, 70).pieces()).containsExactly(1);
        assertThat(cut(list, 70).isLeftOver()).isTrue();
        assertThat(cut(list, 40).left().inches()).isCloseTo(2 - 0.0625, within(1e-9));
    }

    private static CutList.Cut cut(CutList list, double length) {
        return list.sticks().stream()
                .filter(cut -> cut.length().equals(in(length)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPullBox_isWantedWhereTheBendsGoOverTheLimit() {
        Towards[] round = {Towards.UP, Towards.RIGHT, Towards.OUT, Towards.UP, Towards.RIGHT, Towards.OUT};
        Run run = run(new double[] {30, 30, 30, 30, 30, 30}, round);
        PullPoints points = PullPoints.of(run.shape(), Angle.ofDegrees(360));
        assertThat(points.total()).isEqualTo(Angle.ofDegrees(450));
        assertThat(points.boxesOnLegs()).containsExactly(5);
        assertThat(PullPoints.of(run.shape(), Angle.ofDegrees(450)).boxesOnLegs())
                .isEmpty();
        assertThat(laidOut(run).pullFactor(0.4)).isCloseTo(Math.exp(0.4 * 2.5 * Math.PI), within(1e-9));
    }

    @Test
    void straps_areNearTheFittings_noFurtherApartThanTheRule_andOnStraights() {
        Random random = new Random(1721);
        for (int i = 0; i < 60; i++) {
            Piece piece = laidOut(new RandomRuns(random, TOOLING).next()).predicted();
            List<Length> places = Straps.of(piece, Straps.Rule.USUAL);
            assertThat(places.getFirst().inches()).isLessThanOrEqualTo(36);
            assertThat(piece.length().minus(places.getLast()).inches()).isLessThanOrEqualTo(36 + 1e-6);
            for (int p = 1; p < places.size(); p++) {
                assertThat(places.get(p).minus(places.get(p - 1)).inches()).isBetween(0.0, 120 + 1e-6);
            }
            assertThat(places)
                    .allSatisfy(place -> assertThat(isOnCurve(piece, place)).isFalse());
        }
    }

    private static boolean isOnCurve(Piece piece, Length place) {
        double at = 0;
        for (int i = 0; i < piece.arcs().size(); i++) {
            at += piece.straights().get(i).length().inches();
            Segment.Arc arc = piece.arcs().get(i);
            if (place.inches() > at + 1e-6 && place.inches() < at + arc.length().inches() - 1e-6) {
                return true;
            }
            at += arc.length().inches();
        }
        return false;
    }
}
