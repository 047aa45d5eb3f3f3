package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * Explains a layout's numbers one after the other, in the order in which they are worked out. The numbers are the layout's
 * own, before rounding; nothing is worked out a second way here.
 */
public final class Why {

    private final Layout layout;
    private final Job job;
    private final Tooling tooling;
    private final Plan plan;
    private final List<Explanation> all = new ArrayList<>();

    private Why(Layout layout) {
        this.layout = layout;
        this.job = layout.job();
        this.tooling = job.tooling();
        this.plan = Layout.plan(job);
    }

    /** Explanations of all marks, of what they rest on, of the cut length, and of each predicted feature. */
    public static List<Explanation> of(Layout layout) {
        Why why = new Why(layout);
        switch (layout.job().bend()) {
            case Stub90 stub -> why.stub(stub);
            case BackToBack90 u -> why.backToBack(u);
            case Offset offset -> why.offset(offset);
            case BoxOffset box -> why.offset(box.asOffset());
            case RollingOffset rolling -> why.rolling(rolling);
            case Kick kick -> why.kick(kick);
            case Saddle3 saddle -> new WhySaddles(why).of(saddle);
            case Saddle4 saddle -> new WhySaddles(why).of(saddle);
        }
        why.all.addAll(WhyPredicted.of(layout, why.plan));
        return List.copyOf(why.all);
    }

    Length at(int number) {
        return plan.marks().get(number - 1).position();
    }

    void mark(int number, String formula, String words, Sum sum) {
        Length rounded = layout.marks().get(number - 1).position();
        all.add(sum.marked("mark" + number, name(number), formula, words, at(number), rounded));
    }

    /** Keeps an explanation behind those that are there. */
    void add(Explanation explanation) {
        all.add(explanation);
    }

    School school() {
        return job.school();
    }

    /** The layout's shrink, before rounding. */
    Length shrink() {
        return plan.shrink();
    }

    private String name(int number) {
        return plan.marks().size() == 1 ? "the mark" : "mark " + number;
    }

    private void stub(Stub90 stub) {
        switch (stub.placement()) {
            case ARROW -> legMark("leg", stub.leg());
            case STAR ->
                mark(
                        1,
                        "stub-mark",
                        "The star shows where the back of a ninety comes to lie, so the mark is the leg itself.",
                        Sum.of("leg", stub.leg()));
        }
        gain();
        stub.otherLeg()
                .ifPresent(other -> cutLength(
                        "cut-length",
                        "Both legs are measured to the back of the bend. The conduit takes the corner in a curve, which is"
                                + " shorter by the gain.",
                        Sum.of("leg", stub.leg()).plus("other leg", other).minus("gain", tooling.gain())));
    }

    private void legMark(String name, Length leg) {
        mark(
                1,
                "stub-mark",
                "The bend begins before the back of the leg. How much before is the bender's take-up: take it off the leg.",
                Sum.of(name, leg).minus("take-up", tooling.bender().takeUp()));
    }

    private void gain() {
        all.add(Sum.ofTwice("radius", tooling.bender().radius())
                .plus("diameter", tooling.conduit().outsideDiameter())
                .minus("quarter circle", tooling.arcLength(Angle.RIGHT))
                .gives(
                        "gain",
                        "gain",
                        "gain",
                        "Round the corner outside it is twice the radius and a diameter; the conduit itself only takes a"
                                + " quarter circle. The difference is the gain.",
                        tooling.gain()));
    }

    private void backToBack(BackToBack90 u) {
        legMark("first leg", u.firstLeg());
        gain();
        mark(
                2,
                "u-second-mark",
                "The star goes where the second back comes to lie. On the straight conduit the first corner is shorter by"
                        + " one gain.",
                Sum.of("first leg", u.firstLeg()).minus("gain", tooling.gain()).plus("back to back", u.between()));
        cutLength(
                "cut-length",
                "All outside lengths, less one gain for each corner.",
                Sum.of("first leg", u.firstLeg())
                        .plus("back to back", u.between())
                        .plus("second leg", u.secondLeg())
                        .minusTwice("gain", tooling.gain()));
    }

    private void offset(Offset offset) {
        raised("rise", offset.rise(), offset.clearance(), offset.height());
        offsetMarks(offset.layout(), offset.distance(), offset.height(), offset.angle());
        offset.overall().ifPresent(this::overall);
    }

    void raised(String name, Length measured, Length clearance, Length raised) {
        if (!clearance.equals(Length.ZERO)) {
            all.add(Sum.of(name, measured)
                    .plus("clearance", clearance)
                    .gives(
                            "raised",
                            "height to bend",
                            "clearance-added",
                            "The conduit must not touch, so the clearance is added to what was measured.",
                            raised));
        }
    }

    private void rolling(RollingOffset rolling) {
        all.add(new Sum()
                .and("√(", "rise", rolling.rise())
                .and("² +", "roll", rolling.roll())
                .by("²)", "", 1)
                .gives(
                        "trueOffset",
                        "true offset",
                        "true-offset",
                        "Up and across make the two short sides of a set square; the conduit takes its long side.",
                        rolling.trueOffset()));
        all.add(Sum.of("roll", rolling.roll())
                .and("over", "rise", rolling.rise())
                .gives(
                        "turn",
                        "turn of the conduit",
                        "rolling-turn",
                        "The angle whose tangent is roll over rise: so far the offset leans to the side.",
                        rolling.turn()));
        offsetMarks(rolling.layout(), rolling.distance(), rolling.trueOffset(), rolling.angle());
        rolling.overall().ifPresent(this::overall);
    }

    private void offsetMarks(OffsetLayout order, Length distance, Length rise, Angle angle) {
        Length spacing = at(2).minus(at(1));
        spacing(rise, angle, spacing);
        switch (order) {
            case BEFORE_OBSTACLE -> {
                shrink(rise, angle);
                mark(
                        2,
                        "offset-marks",
                        "The distance was measured to where the conduit must already be up. Bending draws the far end in"
                                + " by the shrink, so the mark goes that much further on.",
                        Sum.of("distance", distance).plus("shrink", plan.shrink()));
                mark(
                        1,
                        "offset-marks",
                        "The other mark lies one spacing nearer to the datum end.",
                        Sum.of("mark 2", at(2)).minus("spacing", spacing));
            }
            case FROM_EDGE -> {
                mark(
                        1,
                        "offset-marks",
                        "The distance was measured to where the conduit leaves its surface. That mark stays where it is,"
                                + " so there is no shrink to add.",
                        Sum.of("distance", distance));
                mark(
                        2,
                        "offset-marks",
                        "The other mark lies one spacing further on.",
                        Sum.of("mark 1", at(1)).plus("spacing", spacing));
            }
        }
    }

    void spacing(Length rise, Angle angle, Length spacing) {
        switch (job.school().method()) {
            case CHART ->
                all.add(Sum.of("rise", rise)
                        .times(
                                "multiplier for " + angle.text(),
                                job.school().chart().multiplier(angle))
                        .gives(
                                "spacing",
                                "spacing of the marks",
                                "chart-spacing",
                                "The slope is longer than the rise. How many times longer is the multiplier of the angle.",
                                spacing));
            case EXACT -> {
                ExactOffset exact = ExactOffset.of(tooling, rise, angle);
                Length arcs = ExactOffset.leastRise(tooling, angle);
                all.add(Sum.of("rise", rise)
                        .minus("rise of the two curves", arcs)
                        .by(", ÷", "sine of " + angle.text(), Math.sin(angle.radians()))
                        .gives(
                                "straight",
                                "straight between the bends",
                                "offset-straight",
                                "The two curves themselves rise a little. The rest is climbed by the straight between them.",
                                exact.straight()));
                all.add(Sum.of("straight", exact.straight())
                        .plus("one curve", tooling.arcLength(angle))
                        .gives(
                                "spacing",
                                "spacing of the marks",
                                "offset-spacing",
                                "From the start of one curve to the start of the other: one straight and one curve.",
                                exact.spacing()));
            }
        }
    }

    void shrink(Length rise, Angle angle) {
        switch (job.school().method()) {
            case CHART ->
                all.add(Sum.of("rise", rise)
                        .times(
                                "shrink for " + angle.text(),
                                job.school().chart().shrinkPerInch(angle))
                        .gives(
                                "shrink",
                                "shrink",
                                "chart-shrink",
                                "Going up the slope uses more conduit than going straight on. The card says how much of"
                                        + " the rise that is.",
                                plan.shrink()));
            case EXACT -> {
                ExactOffset exact = ExactOffset.of(tooling, rise, angle);
                Length developed = exact.spacing().plus(tooling.arcLength(angle));
                all.add(Sum.of("conduit in the offset", developed)
                        .minus("distance it covers", developed.minus(plan.shrink()))
                        .gives(
                                "shrink",
                                "shrink",
                                "offset-shrink",
                                "Two curves and the straight use more conduit than the distance they cover along the run.",
                                plan.shrink()));
            }
        }
    }

    private void overall(Length overall) {
        cutLength(
                "offset-cut-length",
                "The piece gets shorter by the shrink when it is bent, so it is cut that much longer.",
                Sum.of("overall", overall).plus("shrink", plan.shrink()));
    }

    private void cutLength(String formula, String words, Sum sum) {
        Optional<Length> unrounded = plan.cutLength();
        Optional<Length> rounded = layout.cutLength();
        if (unrounded.isPresent() && rounded.isPresent()) {
            all.add(sum.marked("cutLength", "cut length", formula, words, unrounded.get(), rounded.get()));
        }
    }

    private void kick(Kick kick) {
        Length cut = plan.cutLength().orElseThrow();
        Length beyond = cut.minus(at(1));
        if (job.school().method() == Method.CHART) {
            all.add(Sum.of("rise", kick.rise())
                    .times(
                            "multiplier for " + kick.angle().text(),
                            job.school().chart().multiplier(kick.angle()))
                    .gives(
                            "spacing",
                            "from the mark to the far end",
                            "chart-spacing",
                            "The kicked leg is the slope: the rise times the multiplier of the angle.",
                            beyond));
        }
        switch (kick.layout()) {
            case BEFORE_OBSTACLE -> {
                if (job.school().method() == Method.CHART) {
                    shrink(kick.rise(), kick.angle());
                }
                mark(
                        1,
                        "kick-leg",
                        "The distance runs to the far end. Add the shrink, then go back by the kicked leg.",
                        Sum.of("distance", kick.distance())
                                .plus("shrink", plan.shrink())
                                .minus("from the mark to the far end", beyond));
            }
            case FROM_EDGE ->
                mark(1, "kick-leg", "The distance runs to the mark itself.", Sum.of("distance", kick.distance()));
        }
        cutLength(
                "kick-leg",
                "Up to the mark and from there to the far end.",
                Sum.of("mark", at(1)).plus("from the mark to the far end", beyond));
    }

    void overallTwice(Optional<Length> overall) {
        overall.ifPresent(length -> cutLength(
                "saddle-cut-length",
                "A saddle goes up and down again: it loses the shrink on both sides.",
                Sum.of("overall", length).plusTwice("shrink", plan.shrink())));
    }
}
