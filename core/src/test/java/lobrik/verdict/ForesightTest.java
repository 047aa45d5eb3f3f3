package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Input;
import lobrik.bend.Kick;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Saddle4;
import lobrik.fault.Cure;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.verdict.MethodShare.Grade;
import org.junit.jupiter.api.Test;

/** What is pointed out before an exercise is given out, and the cures that are proposed for it. */
class ForesightTest {

    private static final Tolerances SITE = TolerancePreset.SITE.tolerances();

    private static Map<String, Tolerances> presets() {
        Map<String, Tolerances> presets = new LinkedHashMap<>();
        for (TolerancePreset preset : TolerancePreset.values()) {
            presets.put(preset.name(), preset.tolerances());
        }
        return presets;
    }

    private static Job job(Bend bend, Method method) {
        return new Job(bend, Jobs.threeQuarters(), School.of(method, TapeDivision.SIXTEENTH));
    }

    private static Job kick(Method method) {
        return job(
                new Kick(Length.ofInches(9), Angle.ofDegrees(30), Length.ofInches(44), OffsetLayout.BEFORE_OBSTACLE),
                method);
    }

    /** Over a duct of 11 1/2 by 3 1/4 in, centred, with half an inch at each edge. */
    private static Job centredSaddle(Placement placement) {
        return job(
                new Saddle4(
                        Length.ofInches(3.25),
                        Length.ofInches(0.75),
                        Angle.ofDegrees(30),
                        Length.ofInches(11.5),
                        Length.ofInches(0.5),
                        Saddle4.MeasuredTo.CENTRED,
                        Length.ofInches(46),
                        placement,
                        Optional.of(Length.ofInches(92))),
                Method.CHART);
    }

    private static Foresight of(Job job) {
        return Foresight.of(job, Optional.empty(), SITE, presets());
    }

    private static Grade grade(Foresight seen, FeatureId feature) {
        return seen.shares().stream()
                .filter(share -> share.feature().equals(feature))
                .findFirst()
                .orElseThrow()
                .grade();
    }

    @Test
    void kickByTheChart_isPointedOut_andExactLayoutIsProposed() {
        Foresight seen = of(kick(Method.CHART));
        assertThat(seen.worst()).isEqualTo(Grade.BEYOND);
        assertThat(grade(seen, FeatureId.RISE)).isEqualTo(Grade.BEYOND);
        assertThat(seen.cures()).contains(new Cure.Choice("method", "lay it out exactly", "exact"));
        assertThat(of(kick(Method.EXACT)).worst()).isEqualTo(Grade.SLIGHT);
        assertThat(of(kick(Method.EXACT)).cures()).isEmpty();
    }

    @Test
    void fourPointSaddleByTheStar_missesItsFlat_andTheRoomAtTheEdges_whichTheArrowKeeps() {
        Foresight byStar = of(centredSaddle(Placement.STAR));
        assertThat(byStar.worst()).isEqualTo(Grade.BEYOND);
        assertThat(byStar.gap().orElseThrow().grade()).isEqualTo(Grade.BEYOND);
        Foresight byArrow = of(centredSaddle(Placement.ARROW));
        assertThat(byArrow.gap().orElseThrow().grade().compareTo(Grade.BEYOND)).isNegative();
    }

    /** Whatever is proposed was tried: put into the job, it leaves less to miss. */
    @Test
    void everyCure_leavesLessToMiss() {
        Jobs jobs = new Jobs(13);
        int cured = 0;
        for (BendKind kind : BendKind.values()) {
            for (int i = 0; i < 40; i++) {
                Job job = jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH);
                Foresight seen = of(job);
                for (Cure cure : seen.cures()) {
                    assertThat(with(job, cure).worst()).as(cure.text()).isLessThan(seen.worst());
                    cured++;
                }
            }
        }
        assertThat(cured).isGreaterThan(100);
    }

    private static Foresight with(Job job, Cure cure) {
        return switch (cure) {
            case Cure.Choice choice ->
                switch (choice.input()) {
                    case "method" -> of(job.by(Method.EXACT));
                    case "tolerances/preset" ->
                        Foresight.of(
                                job,
                                Optional.empty(),
                                TolerancePreset.valueOf(choice.option()).tolerances(),
                                Map.of());
                    // Other choices belong to one bend; they are tried above.
                    default -> new Foresight(List.of(), Optional.empty(), List.of());
                };
            case Cure.Size size ->
                of(job.with(Input.of(job.bend()).stream()
                        .filter(input -> size.input().equals("bend/" + input.path()))
                        .findFirst()
                        .orElseThrow()
                        .with()
                        .apply(size.value())));
            case Cure.Advice _ -> throw new AssertionError("nothing that was tried");
        };
    }

    @Test
    void slightMiss_isNotPointedOut() {
        Layout stub = Layout.of(new Jobs(3).next(BendKind.STUB_90, Method.CHART, TapeDivision.SIXTEENTH));
        assertThat(of(stub.job()).worst()).isEqualTo(Grade.SLIGHT);
    }
}
