package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shape.Segment;
import lobrik.shop.ShoePlacing;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Laws that every kind of bend keeps. */
class LayoutPropertiesTest {

    private static final int CASES = 400;

    static double number(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.inches();
            case Angle angle -> angle.degrees();
            case Percentage part -> part.perCent();
        };
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void exactLayoutWithoutRounding_givesEveryTarget(BendKind kind) {
        Jobs jobs = new Jobs(31);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.EXACT, TapeDivision.NONE));
            for (PlannedFeature feature : layout.features()) {
                assertThat(number(feature.predicted()))
                        .as("%s of %s", feature.id(), layout.job().bend())
                        .isCloseTo(number(feature.asked()), within(1e-6));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void roundedMarks_standOnLinesOfTheTape_andMoveEveryLengthByLittle(BendKind kind) {
        Jobs jobs = new Jobs(32);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.EXACT, TapeDivision.SIXTEENTH));
            for (Mark mark : layout.marks()) {
                assertThat(mark.position().nearest(TapeDivision.SIXTEENTH)).isEqualTo(mark.position());
            }
            // each of up to four marks and the cut length is off by at most 1/32 in
            for (PlannedFeature feature : layout.features()) {
                assertThat(number(feature.predicted()))
                        .as("%s of %s", feature.id(), layout.job().bend())
                        .isCloseTo(number(feature.asked()), within(5.0 / 32));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void shrinkAndGain_areNeverNegative(BendKind kind) {
        Jobs jobs = new Jobs(33);
        for (int i = 0; i < CASES; i++) {
            Method method = i % 2 == 0 ? Method.EXACT : Method.CHART;
            Layout layout = Layout.of(jobs.next(kind, method, TapeDivision.NONE));
            assertThat(layout.shrink().isNegative()).isFalse();
            assertThat(layout.job().tooling().gain().isPositive()).isTrue();
        }
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void centreline_keepsItsLength(BendKind kind) {
        Jobs jobs = new Jobs(34);
        for (int i = 0; i < CASES; i++) {
            Piece piece = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH))
                    .predicted();
            double walked = 0;
            var points = piece.centreline(2000);
            for (int p = 1; p < points.size(); p++) {
                walked += points.get(p).minus(points.get(p - 1)).norm();
            }
            assertThat(walked).isCloseTo(piece.length().inches(), within(1e-5));
            i += 20;
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = BendKind.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"ROLLING_OFFSET", "RUN"})
    void turnedOrMirroredPiece_measuresTheSame(BendKind kind) {
        Jobs jobs = new Jobs(35);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH));
            Piece twisted = twisted(layout.predicted(), layout, 3);
            List<Feature> expected = Features.of(layout.job().bend(), twisted);
            assertSame(expected, layout.job().bend(), rolled(twisted, roll -> new Angle(-roll.nanodegrees())));
            assertSame(expected, layout.job().bend(), rolled(twisted, roll -> roll.plus(Angle.ofDegrees(77))));
        }
    }

    private static Piece twisted(Piece piece, Layout layout, double degrees) {
        List<BendMade> bends = new java.util.ArrayList<>(piece.bends());
        BendMade last = bends.removeLast();
        bends.add(new BendMade(
                last.position(), last.placing(), last.angle(), last.roll().plus(Angle.ofDegrees(degrees))));
        return Piece.simulate(layout.job().tooling(), piece.length(), bends);
    }

    private static Piece rolled(Piece piece, java.util.function.UnaryOperator<Angle> roll) {
        List<BendMade> bends = piece.bends().stream()
                .map(b -> new BendMade(b.position(), b.placing(), b.angle(), roll.apply(b.roll())))
                .toList();
        return Piece.simulate(piece.tooling(), piece.length(), bends);
    }

    private static void assertSame(List<Feature> expected, Bend bend, Piece piece) {
        List<Feature> found = Features.of(bend, piece);
        for (int i = 0; i < expected.size(); i++) {
            assertThat(number(found.get(i).value()))
                    .as("%s", expected.get(i).id())
                    .isCloseTo(number(expected.get(i).value()), within(1e-8));
        }
    }

    /** Measured from its other end, a piece has the same angles, from the last to the first, and the same ends apart. */
    @ParameterizedTest
    @EnumSource(BendKind.class)
    void reversedPiece_isTheSameShape(BendKind kind) {
        Jobs jobs = new Jobs(36);
        for (int i = 0; i < CASES; i++) {
            Piece piece = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH))
                    .predicted();
            List<BendMade> reversed = piece.bends().reversed().stream()
                    .map(b -> new BendMade(
                            piece.length().minus(b.position()),
                            ((ShoePlacing) b.placing()).turned(),
                            b.angle(),
                            new Angle(-b.roll().nanodegrees())))
                    .toList();
            Piece other = Piece.simulate(piece.tooling(), piece.length(), reversed);
            assertThat(apart(other)).isCloseTo(apart(piece), within(1e-8));
            for (int arc = 0; arc < piece.arcs().size(); arc++) {
                Segment.Arc there = other.arcs().get(piece.arcs().size() - 1 - arc);
                assertThat(there.angle()).isEqualTo(piece.arcs().get(arc).angle());
                assertThat(other.straights().get(piece.arcs().size() - arc).length())
                        .isEqualTo(piece.straights().get(arc).length());
            }
        }
    }

    private static double apart(Piece piece) {
        return piece.straights()
                .getLast()
                .end()
                .origin()
                .minus(piece.straights().getFirst().start().origin())
                .norm();
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void spacingAndShrink_growWithTheRise_andSpacingFallsWithTheAngle(Method method) {
        double lastSpacing = 0;
        double lastShrink = 0;
        for (double rise = 2; rise < 20; rise += 0.25) {
            Layout layout = offset(method, rise, 30);
            assertThat(spacing(layout)).isGreaterThan(lastSpacing);
            assertThat(layout.shrink().inches()).isGreaterThan(lastShrink);
            lastSpacing = spacing(layout);
            lastShrink = layout.shrink().inches();
        }
        lastSpacing = Double.MAX_VALUE;
        lastShrink = 0;
        for (double angle : new double[] {10, 15, 22.5, 30, 45, 60}) {
            Layout layout = offset(method, 12, angle);
            assertThat(spacing(layout)).isLessThan(lastSpacing);
            assertThat(layout.shrink().inches()).isGreaterThan(lastShrink);
            lastSpacing = spacing(layout);
            lastShrink = layout.shrink().inches();
        }
    }

    private static Layout offset(Method method, double rise, double angle) {
        return Layout.of(new Job(
                new Offset(
                        Length.ofInches(rise),
                        Length.ZERO,
                        Angle.ofDegrees(angle),
                        Length.ofInches(120),
                        OffsetLayout.BEFORE_OBSTACLE,
                        Optional.empty()),
                Jobs.threeQuarters(),
                School.of(method, TapeDivision.NONE)));
    }

    private static double spacing(Layout layout) {
        return layout.marks()
                .getLast()
                .position()
                .minus(layout.marks().getFirst().position())
                .inches();
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void features_areThoseOfTheHandbook_andBelongToTheKind(BendKind kind) {
        Layout layout = Layout.of(new Jobs(37).next(kind, Method.EXACT, TapeDivision.SIXTEENTH));
        long marks = layout.features().stream()
                .filter(feature -> !feature.id().isOfFinishedPiece())
                .count();
        assertThat(marks).isEqualTo(layout.job().bend().bends());
        assertThat(layout.features()).extracting(PlannedFeature::id).doesNotHaveDuplicates();
        assertThat(layout.features())
                .extracting(PlannedFeature::id)
                .contains(
                        FeatureId.mark(layout.job().bend().bends()),
                        FeatureId.angle(layout.job().bend().bends()));
    }
}
