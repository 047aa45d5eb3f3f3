package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.InputId;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.fault.Cure;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Obstacle;
import lobrik.shape.Vector3;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ReviewTest {

    private static Job job(Method method, Bend bend) {
        return new Job(bend, Jobs.threeQuarters(), School.of(method, TapeDivision.SIXTEENTH));
    }

    private static Offset offset(double rise, double angle, double distance, Double overall) {
        return new Offset(
                Length.ofInches(rise),
                Length.ZERO,
                Angle.ofDegrees(angle),
                Length.ofInches(distance),
                OffsetLayout.BEFORE_OBSTACLE,
                Optional.ofNullable(overall).map(Length::ofInches));
    }

    private static Saddle3 saddle3(double height, double clearance, double angle) {
        return new Saddle3(
                Length.ofInches(height),
                Length.ofInches(clearance),
                Angle.ofDegrees(angle),
                Length.ofInches(40),
                Saddle3.Spacing.FACTOR,
                Saddle3.Order.CENTRE_FIRST,
                Optional.empty());
    }

    private static Saddle4 saddle4(
            double height, double clearance, Placement placement, Saddle4.MeasuredTo measuredTo) {
        return new Saddle4(
                Length.ofInches(height),
                Length.ofInches(clearance),
                Angle.ofDegrees(30),
                Length.ofInches(11.5),
                Length.ofInches(0.5),
                measuredTo,
                Length.ofInches(48),
                placement,
                Optional.empty());
    }

    private static List<Fault> warnings(Job job) {
        return Review.of(job, Optional.empty()).warnings().stream()
                .map(Warning::fault)
                .toList();
    }

    private static Fault impossible(Job job) {
        Refused refused = catchThrowableOfType(Refused.class, () -> Review.of(job, Optional.empty()));
        assertThat(refused.isWellFormed()).isTrue();
        assertThat(refused.faults()).hasSize(1);
        return refused.faults().getFirst();
    }

    /** Every proposed size was tried by the core; here it is tried again from outside. */
    private static void assertCured(Job job, Fault fault) {
        assertThat(fault.cures()).as(fault.reason()).isNotEmpty();
        for (Cure cure : fault.cures()) {
            assertThat(fault.message()).contains(cure.text());
            if (cure instanceof Cure.Size size) {
                Lever lever = Lever.of(job.bend()).stream()
                        .filter(each -> each.input().equals(size.input()))
                        .findFirst()
                        .orElseThrow();
                Job cured = job.with(lever.with().apply(size.value()));
                assertThat(warnings(cured)).extracting(Fault::code).doesNotContain(fault.code());
            }
        }
    }

    /**
     * 2R(1 − cos 30°) is 1.3732 in for R 5.125: the next sixteenth up is 1 3/8. At 25.5° (0.9986) an inch is possible; the
     * nearest line that a shoe has for it is 22.5°.
     */
    @Test
    void riseThatTheArcsAloneExceed_isImpossible_withTheNearestLineOfTheShoeAndRiseThatWork() {
        Job job = job(Method.EXACT, offset(1, 30, 40, null));
        Fault fault = impossible(job);
        assertThat(fault.code()).isEqualTo(FaultCode.SPACING_IMPOSSIBLE);
        assertThat(fault.input()).isEqualTo("bend/riseIn");
        assertThat(fault.figures().get(1).value()).isEqualTo(Length.ofInches(2 * 5.125 * (1 - Math.cos(Math.PI / 6))));
        assertThat(fault.message()).contains("make the angle 22.5°", "make the rise 1 3/8 in");
        assertCured(job, fault);
    }

    @Test
    void marksThatRunIntoOneAnother_areImpossibleByTheChartToo() {
        Job job = job(Method.CHART, offset(1, 30, 40, null));
        Fault fault = impossible(job);
        assertThat(fault.code()).isEqualTo(FaultCode.ARCS_OVERLAP);
        assertCured(job, fault);
    }

    @Test
    void obstacleTooNearTheDatumEnd_needsMoreDistance() {
        Job job = job(Method.EXACT, offset(6, 10, 20, null));
        Fault fault = impossible(job);
        assertThat(fault.code()).isEqualTo(FaultCode.MARK_OFF_CONDUIT);
        assertThat(fault.input()).isEqualTo("bend/distanceIn");
        assertCured(job, fault);
    }

    @Test
    void overallLengthThatEndsBeforeTheOffset_needsMoreOfIt() {
        Job job = job(Method.EXACT, offset(4, 30, 40, 39.0));
        Fault fault = impossible(job);
        assertThat(fault.input()).isEqualTo("bend/overallIn");
        assertCured(job, fault);
    }

    @Test
    void kickThatTheBendAloneExceeds_isImpossible() {
        Job job = job(
                Method.EXACT,
                new Kick(Length.ofInches(0.5), Angle.ofDegrees(45), Length.ofInches(40), OffsetLayout.BEFORE_OBSTACLE));
        Fault fault = impossible(job);
        assertThat(fault.code()).isEqualTo(FaultCode.SPACING_IMPOSSIBLE);
        assertCured(job, fault);
    }

    @ParameterizedTest
    @EnumSource(OffsetLayout.class)
    void distanceOfAKick_isDrawnAlongTheGround_asItIsAskedFor(OffsetLayout from) {
        Job job = job(Method.CHART, new Kick(Length.ofInches(9), Angle.ofDegrees(30), Length.ofInches(44), from));
        GivenDimension distance = Review.of(job, Optional.empty()).dimensions().stream()
                .filter(each -> each.input().id() == InputId.DISTANCE)
                .findFirst()
                .orElseThrow();
        double underside = -job.tooling().conduit().outsideDiameter().inches() / 2;
        assertThat(distance.from()).isEqualTo(new Vector3(0, underside, 0));
        assertThat(distance.to()).isEqualTo(new Vector3(44, underside, 0));
    }

    @Test
    void boxOffsetWithMarksNearerThanTheShoeNeeds_isWarned_withAnAngleThatFits() {
        Job job = job(
                Method.CHART,
                new BoxOffset(Length.ofFraction(0, 3, 8), Angle.ofDegrees(10), Length.ofInches(2.5), Optional.empty()));
        Fault fault = warnings(job).getFirst();
        assertThat(fault.code()).isEqualTo(FaultCode.MARKS_TOO_CLOSE);
        assertCured(job, fault);
        Job usual = job(
                Method.CHART,
                new BoxOffset(
                        BoxOffset.USUAL_RISE, BoxOffset.USUAL_ANGLE, BoxOffset.USUAL_FIRST_MARK, Optional.empty()));
        assertThat(warnings(usual)).isEmpty();
    }

    /** Marks 5 in apart at 30° leave 5 − 2.68 in of straight: less than the 3 in of the profile. */
    @Test
    void bendsThatLeaveLittleStraightBetweenThem_areWarned_withARiseThatFits() {
        Job job = job(Method.CHART, offset(2.5, 30, 40, null));
        Fault fault = warnings(job).getFirst();
        assertThat(fault.code()).isEqualTo(FaultCode.MARKS_TOO_CLOSE);
        assertThat(fault.reason()).contains("2 5/16 in of straight", "needs 3 in");
        assertCured(job, fault);
        assertThat(warnings(job(Method.CHART, offset(3, 30, 40, null)))).isEmpty();
    }

    @Test
    void angleThatIsNotOnTheCard_isWarnedAndUsesItsCosecant() {
        Job job = job(Method.CHART, offset(6, 20, 60, null));
        assertThat(warnings(job)).extracting(Fault::code).containsExactly(FaultCode.ANGLE_NOT_ON_CHART);
        assertThat(warnings(job).getFirst().message()).contains("make the angle 22.5°", "lay it out exactly");
        assertThat(warnings(job(Method.EXACT, offset(6, 20, 60, null)))).isEmpty();
    }

    @Test
    void limitsOfTheRun_areChecked() {
        School strict = new School(
                Method.CHART,
                MultiplierChart.USUAL,
                TapeDivision.SIXTEENTH,
                new RunLimits(Length.ofInches(60), Angle.ofDegrees(45), Optional.of(Length.ofInches(6))));
        Job job = new Job(offset(6, 30, 40, 70.0), Jobs.threeQuarters(), strict);
        List<Fault> warnings = warnings(job);
        assertThat(warnings)
                .extracting(Fault::code)
                .containsExactly(
                        FaultCode.RADIUS_UNDER_LEAST, FaultCode.LONGER_THAN_STICK, FaultCode.DEGREES_OVER_LIMIT);
        assertCured(job, warnings.get(1));
        assertCured(job, warnings.get(2));
    }

    /** R(π/8 − θ/2) for θ 30° and R 5.125 is 0.6709 in (handbook 2). */
    @Test
    void saddleThatTheNotchDoesNotCentre_isTold_andThePredictionShowsIt() {
        Job job = job(Method.CHART, saddle3(3, 1, 15));
        Fault fault = warnings(job).stream()
                .filter(each -> each.code() == FaultCode.NOTCH_OFF_CENTRE)
                .findFirst()
                .orElseThrow();
        assertThat(((Length) fault.figures().getFirst().value()).inches()).isCloseTo(0.6709, within(1e-4));
        assertThat(fault.cures()).containsExactly(new Cure.Choice("method", "lay it out exactly", "exact"));
        assertThat(warnings(job(Method.EXACT, saddle3(3, 1, 15)))).isEmpty();
        assertThat(warnings(job(Method.CHART, saddle3(3, 1, 22.5)))).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Saddle4.MeasuredTo.class)
    void fourPointSaddle_clearsItsObstacleByWhatWasAsked(Saddle4.MeasuredTo measuredTo) {
        Job job = new Job(
                saddle4(3, 1, Placement.ARROW, measuredTo),
                Jobs.threeQuarters(),
                School.of(Method.EXACT, TapeDivision.NONE));
        Review review = Review.of(job, Optional.empty());
        assertThat(review.clearance().orElseThrow().gap().inches()).isCloseTo(1, within(1e-6));
        assertThat(review.warnings()).isEmpty();
    }

    @Test
    void schoolThatUsesTheStar_seesWhereTheBendsThenLand() {
        Job job = job(Method.EXACT, saddle4(3, 0.25, Placement.STAR, Saddle4.MeasuredTo.NEAR_EDGE));
        Review review = Review.of(job, Optional.empty());
        assertThat(review.warnings())
                .extracting(warning -> warning.fault().code())
                .contains(FaultCode.OBSTACLE_TOUCHED);
        Fault touched = review.warnings().stream()
                .map(Warning::fault)
                .filter(fault -> fault.code() == FaultCode.OBSTACLE_TOUCHED)
                .findFirst()
                .orElseThrow();
        assertCured(job, touched);
    }

    @Test
    void obstacleOfOnesOwn_isMeasuredInsteadOfTheBendsInputs() {
        Obstacle pipe = new Obstacle.Round(Length.ofInches(10), Length.ofInches(3));
        Review review = Review.of(job(Method.EXACT, offset(4, 30, 40, null)), Optional.of(pipe));
        assertThat(review.obstacle()).contains(pipe);
        assertThat(review.clearance().orElseThrow().gap().isNegative()).isTrue();
        assertThat(review.warnings())
                .extracting(warning -> warning.fault().code())
                .contains(FaultCode.OBSTACLE_TOUCHED);
    }

    @Test
    void otherMethod_isShownWithTheDifferenceInTheFinishedPiece() {
        Job job = job(Method.CHART, offset(9, 45, 60, null));
        Comparison.Both other =
                (Comparison.Both) Review.of(job, Optional.empty()).otherMethod().orElseThrow();
        assertThat(other.method()).isEqualTo(Method.EXACT);
        Comparison.Difference rise = other.differences().stream()
                .filter(difference -> FeatureId.RISE.equals(difference.id()))
                .findFirst()
                .orElseThrow();
        double chart = rise(Layout.of(job));
        double exact = rise(Layout.of(job.by(Method.EXACT)));
        assertThat(((Length) rise.difference()).inches()).isCloseTo(exact - chart, within(1e-9));
        assertThat(exact).isCloseTo(9, within(0.05));
    }

    private static double rise(Layout layout) {
        return layout.features().stream()
                .filter(feature -> FeatureId.RISE.equals(feature.id()))
                .map(feature -> ((Length) feature.predicted()).inches())
                .findFirst()
                .orElseThrow();
    }

    /** At 30° on R 5.125 the arcs alone rise 1.3732 in; the card's marks for 1.36 just do not overlap. */
    @Test
    void bendThatOnlyTheCardCanLayOut_saysWhyTheExactMethodCannot() {
        Job job = new Job(offset(1.36, 30, 40, null), Jobs.threeQuarters(), School.of(Method.CHART, TapeDivision.NONE));
        Comparison other = Review.of(job, Optional.empty()).otherMethod().orElseThrow();
        assertThat(other).isInstanceOfSatisfying(Comparison.Impossible.class, impossible -> {
            assertThat(impossible.method()).isEqualTo(Method.EXACT);
            assertThat(impossible.fault().code()).isEqualTo(FaultCode.SPACING_IMPOSSIBLE);
        });
    }

    @Test
    void nineties_areTheSameByBothMethods() {
        Job job = job(
                Method.CHART,
                new lobrik.bend.BackToBack90(Length.ofInches(12), Length.ofInches(30), Length.ofInches(14)));
        assertThat(Review.of(job, Optional.empty()).otherMethod()).isEmpty();
    }
}
