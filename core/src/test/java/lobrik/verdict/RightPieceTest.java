package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.BendKind;
import lobrik.bend.Kick;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Saddle4;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;

/** Who does exactly what was set has full points, whatever the method itself misses. */
class RightPieceTest {

    private static final List<TapeDivision> TAPES =
            List.of(TapeDivision.EIGHTH, TapeDivision.SIXTEENTH, TapeDivision.THIRTY_SECOND, TapeDivision.MILLIMETRE);

    private static final int EACH = Boolean.getBoolean("lobrik.full") ? 25 : 10;

    /** A layout with tolerances to judge a piece of it by. */
    private record Set(Layout layout, Tolerances tolerances) {

        Score read(Function<PlannedFeature, Quantity> as) {
            List<Reading> readings = layout.features().stream()
                    .map(feature -> Reading.of(
                            layout.job().bend().kind(),
                            feature.id(),
                            Yardstick.RIGHT_PIECE.target(feature),
                            as.apply(feature),
                            tolerances))
                    .toList();
            return Marksheet.of(readings, List.of(), tolerances, Optional.empty())
                    .score();
        }

        /** Whether the finest tolerance of a length is at least so much. */
        boolean allows(Length off) {
            return layout.features().stream()
                    .map(feature -> tolerances.of(layout.job().bend().kind(), feature.id()))
                    .noneMatch(tolerance -> tolerance.over() instanceof Length length && length.isLessThan(off));
        }
    }

    private static List<Set> everyBendMethodTapeAndTolerance() {
        Jobs jobs = new Jobs(20_261_128L);
        List<Set> sets = new ArrayList<>();
        for (BendKind kind : BendKind.values()) {
            for (Method method : Method.values()) {
                for (TapeDivision tape : TAPES) {
                    for (int i = 0; i < EACH; i++) {
                        Layout layout = Layout.of(placed(jobs.next(kind, method, tape), i));
                        for (TolerancePreset preset : TolerancePreset.values()) {
                            for (Scheme scheme : Scheme.values()) {
                                sets.add(new Set(layout, by(scheme, preset.tolerances())));
                            }
                        }
                    }
                }
            }
        }
        return sets;
    }

    /** Every second four-point saddle by the star, which makes its flat shorter, where that leaves any. */
    private static Job placed(Job job, int i) {
        if (!(job.bend() instanceof Saddle4 saddle) || i % 2 == 0) {
            return job;
        }
        Length longer = saddle.width().plus(Length.ofInches(12));
        return job.with(new Saddle4(
                saddle.height(),
                saddle.clearance(),
                saddle.angle(),
                longer,
                saddle.edgeClearance(),
                saddle.measuredTo(),
                saddle.distance(),
                Placement.STAR,
                saddle.overall()));
    }

    private static Tolerances by(Scheme scheme, Tolerances usual) {
        return new Tolerances(
                usual.length(),
                usual.angle(),
                usual.dogLeg(),
                usual.passMark(),
                usual.workmanship(),
                new Judging(scheme, usual.judging().weights(), usual.judging().critical()),
                usual.rebending());
    }

    @Test
    void rightPiece_readByItsTape_hasAHundredPoints_andPasses() {
        List<Set> sets = everyBendMethodTapeAndTolerance();
        assertThat(sets).hasSizeGreaterThan(5000);
        for (Set set : sets) {
            Score score = set.read(feature -> switch (feature.predicted()) {
                case Length length -> length.nearest(set.layout().job().school().division());
                case Angle angle -> angle;
                case Percentage part -> part;
            });
            assertThat(score.points()).as(set.toString()).isEqualTo(100);
            assertThat(score.passed()).isTrue();
        }
    }

    /** By a gauge that reads finer than the tape: off by half a line at most, which a tolerance of half a line allows. */
    @Test
    void rightPiece_readMoreFinelyThanItsTape_passes_andHasAHundredWhereALineIsTolerated() {
        for (Set set : everyBendMethodTapeAndTolerance()) {
            Length line = set.layout().job().school().division().step();
            Score score = set.read(PlannedFeature::predicted);
            if (set.allows(line.times(0.5))) {
                assertThat(score.passed()).as(set.toString()).isTrue();
            }
            if (set.allows(line)) {
                assertThat(score.points()).as(set.toString()).isEqualTo(100);
            }
        }
    }

    private static Layout kickByTheChart() {
        Kick kick =
                new Kick(Length.ofInches(9), Angle.ofDegrees(30), Length.ofInches(44), OffsetLayout.BEFORE_OBSTACLE);
        return Layout.of(new Job(kick, Jobs.threeQuarters(), School.of(Method.CHART, TapeDivision.SIXTEENTH)));
    }

    /**
     * By hand: the mark stands 18 in before the far end, the arc begins e = 6 − 5.125 − 0.461 = 0.414 after it and uses
     * Rπ/6 = 2.683, so that 14.903 are left; 5.125 (1 − cos 30°) + 14.903 sin 30° = 8.138, and its underside
     * 0.461 (1 − cos 30°) = 0.062 more: 8.200, read as 8 3/16.
     */
    @Test
    void kickByTheChart_isJudgedByWhatItsMarksGive_andWhatTheChartMissesIsTold() {
        Set set = new Set(kickByTheChart(), TolerancePreset.SITE.tolerances());
        PlannedFeature rise = set.layout().features().stream()
                .filter(feature -> FeatureId.RISE.equals(feature.id()))
                .findFirst()
                .orElseThrow();
        assertThat(((Length) rise.predicted()).inches()).isCloseTo(8.200, within(0.001));
        assertThat(rise.right()).isEqualTo(Length.ofFraction(8, 3, 16));
        assertThat(set.read(PlannedFeature::right).points()).isEqualTo(100);

        MethodShare share = MethodShare.of(set.layout(), set.tolerances()).stream()
                .filter(each -> FeatureId.RISE.equals(each.feature()))
                .findFirst()
                .orElseThrow();
        assertThat(share.miss()).isEqualTo(Length.ofFraction(0, -13, 16));
        assertThat(share.grade()).isEqualTo(MethodShare.Grade.BEYOND);
    }

    @Test
    void exactLayout_missesNothingThatMatters() {
        Jobs jobs = new Jobs(7);
        for (BendKind kind : BendKind.values()) {
            for (int i = 0; i < 50; i++) {
                Layout layout = Layout.of(jobs.next(kind, Method.EXACT, TapeDivision.THIRTY_SECOND));
                assertThat(MethodShare.of(layout, TolerancePreset.LEARNING.tolerances()))
                        .extracting(MethodShare::grade)
                        .containsOnly(MethodShare.Grade.SLIGHT);
            }
        }
    }

    @Test
    void freeMethod_judgesFinishedSizesByWhatWasAsked_andNoMarks() {
        PlannedFeature mark = kickByTheChart().features().getFirst();
        assertThat(Yardstick.FREE_METHOD.judges(mark.id())).isFalse();
        PlannedFeature rise = kickByTheChart().features().get(1);
        assertThat(Yardstick.FREE_METHOD.judges(rise.id())).isTrue();
        assertThat(Yardstick.FREE_METHOD.target(rise)).isEqualTo(Length.ofInches(9));
        assertThat(Yardstick.RIGHT_PIECE.judges(mark.id())).isTrue();
    }
}
