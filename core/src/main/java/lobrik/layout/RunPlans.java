package lobrik.layout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import lobrik.bend.Along;
import lobrik.bend.BoxEnd;
import lobrik.bend.Offset;
import lobrik.bend.OrderedBend;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.RunShape.Stretch;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.derivation.Operation;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.derivation.Working;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Tooling;

/**
 * Runs (handbook 4.9). Each leg is worked out from the back of the ninety before it, less one gain; what lies on a leg is the bend that
 * it is by itself, from where the leg begins.
 *
 * <p>Symbols: {@code Lk} outside length of leg k, {@code G} gain, {@code T} take-up, {@code σ} shrink of what was passed.
 */
final class RunPlans {

    /** What calculated places may be out of line by rounding alone. */
    private static final Length ROUNDING = Length.ofInches(1e-9);

    private final Run run;
    private final Job job;
    private final Tooling tooling;
    private final RunShape shape;
    private final List<Angle> angles;
    private final Working working;
    private final Map<Integer, OrderedBend> turns = new HashMap<>();
    private final Mark[] marks;

    private final RunLegs legs;
    private int made;

    private RunPlans(Run run, Job job) {
        this.run = run;
        this.job = job;
        this.tooling = job.tooling();
        this.shape = run.shape();
        this.angles = shape.angles();
        this.working = new Working(shape.bends());
        this.legs = new RunLegs(run, tooling, working);
        this.marks = new Mark[shape.bends()];
        run.order().forEach(turn -> turns.put(turn.bend(), turn));
    }

    static Plan of(Run run, Job job) {
        return new RunPlans(run, job).plan();
    }

    private Plan plan() {
        NinetyPlans.gain(working, tooling);
        List<Stretch> stretches = shape.stretches();
        for (int i = 0; i < stretches.size(); i++) {
            lay(i + 1, stretches.get(i));
        }
        if (run.endOffset().isEmpty()) {
            legs.cut();
        }
        angles();
        requireRoom();
        return new Plan(List.of(inOrder()), legs.shrunk(), targets(), working.done());
    }

    /** What each bend is bent to follows from nothing that is asked of the whole run, whatever it follows from on its stretch. */
    private void angles() {
        for (int i = 0; i < angles.size(); i++) {
            working.bent(i + 1, 0, angles.get(i));
        }
    }

    private void lay(int number, Stretch stretch) {
        switch (stretch.part()) {
            case RunShape.Part.Ninety ninety -> ninety(ninety.number(), stretch);
            case RunShape.Part.AtStart(BoxEnd box) -> {
                Working own = working.stretch(number, 0, new Sum());
                offset(
                        own,
                        number,
                        stretch,
                        "first mark",
                        Along.offset(box.mark(), box.rise(), box.angle()),
                        "bend/startOffset/");
            }
            case RunShape.Part.AtEnd(BoxEnd box) -> atEnd(number, stretch, box);
            case RunShape.Part.OnLeg(int index, Offset offset) ->
                offset(
                        working.stretch(number, stretch.firstBend() - 1, legs.here(stretch.leg())),
                        number,
                        stretch,
                        "from the leg's start",
                        offset,
                        "bend/along/" + index + "/");
            case RunShape.Part.OnLeg(int index, Saddle3 saddle) -> {
                Working own = working.stretch(number, stretch.firstBend() - 1, legs.here(stretch.leg()));
                saddle(own, number, stretch, located(index, () -> SaddlePlans.lay(own, saddle, job)));
            }
            case RunShape.Part.OnLeg(int index, Saddle4 saddle) -> {
                Working own = working.stretch(number, stretch.firstBend() - 1, legs.here(stretch.leg()));
                saddle(own, number, stretch, located(index, () -> SaddlePlans.lay(own, toNearEdge(saddle), job)));
            }
        }
    }

    /** The ends of a run are not free: what is measured to the middle of an obstacle is drawn in by the shrink like what is measured to its edge. */
    private static Saddle4 toNearEdge(Saddle4 saddle) {
        return switch (saddle.measuredTo()) {
            case NEAR_EDGE -> saddle;
            case CENTRED ->
                new Saddle4(
                        saddle.height(),
                        saddle.clearance(),
                        saddle.angle(),
                        saddle.width(),
                        saddle.edgeClearance(),
                        Saddle4.MeasuredTo.NEAR_EDGE,
                        saddle.distance().minus(saddle.width().times(0.5)),
                        saddle.placement(),
                        saddle.overall());
        };
    }

    private void ninety(int number, Stretch stretch) {
        legs.back(
                number,
                number == 1
                        ? "The first leg runs from the end of the conduit to the back of the first ninety."
                        : "From one back to the next it is the leg; the conduit itself is shorter by one gain for the corner"
                                + " between.");
        ringOfNinety(number, stretch);
    }

    /** By the arrow {@code T} before the back, by the star at it. Formula {@code run-mark}, handbook 4.9. */
    private void ringOfNinety(int number, Stretch stretch) {
        Working own = working.stretch(0, stretch.firstBend() - 1, new Sum());
        Placing placing = placing(stretch.firstBend(), tooling.leading(HookSide.DATUM), Angle.RIGHT);
        boolean star = placing.hook().filter(HookSide.FAR::equals).isPresent();
        Length place = star
                ? own.mark(
                        1,
                        "run-mark",
                        "The star shows where the back of a ninety comes to lie, and the hook looks to the far end.",
                        working.fromBack(number))
                : own.mark(
                        1,
                        "run-mark",
                        "The bend begins before its back; how much before is taken off.",
                        working.fromBack(number).minus(Part.TAKE_UP, ToolMarks.takeUp(tooling), tooling.takenOff()));
        set(stretch.firstBend(), place, star ? Placing.star(HookSide.FAR) : placing, Angle.RIGHT, stretch);
    }

    /**
     * Near ring at its place, far ring one spacing further on; both hooks to the datum end, as for an offset from an edge. Formula
     * {@code run-offset-marks}, handbook 4.9.
     */
    private void offset(Working own, int number, Stretch stretch, String called, Offset offset, String path) {
        SlopeLines slope = located(path, () -> SlopeLines.of(own, job, offset.height(), offset.angle()));
        Length spacing = slope.spacing();
        Length near = own.mark(
                1,
                "run-offset-marks",
                "What lies on a leg is marked from where the leg begins on the straight conduit.",
                Sum.of(Part.PLACE, called, offset.distance()));
        own.mark(
                2,
                "run-offset-marks",
                "The other mark lies one spacing further on.",
                Sum.ofRing(1, "mark 1", near).plus(Part.SPACING, "spacing", spacing));
        for (int place = 0; place < 2; place++) {
            laid(own, stretch, place, tooling.leading(HookSide.DATUM), offset.angle());
        }
        legs.pass(slope.shrink(), number, Operation.PLUS, "shrink of the offset");
    }

    /**
     * The last mark is measured from the far end, with its hook to it, and the one before it lies one spacing nearer to the datum
     * end. Formula {@code run-end-marks}, handbook 4.9.
     */
    private void atEnd(int number, Stretch stretch, BoxEnd box) {
        Working own = working.stretch(number, stretch.firstBend() - 1, new Sum());
        SlopeLines slope = located("bend/endOffset/", () -> SlopeLines.of(own, job, box.rise(), box.angle()));
        Length spacing = slope.spacing();
        legs.pass(slope.shrink(), number, Operation.PLUS, "shrink of the offset");
        legs.cut();
        Length last = own.mark(
                2,
                "run-end-marks",
                "The last mark is measured from the far end, which enters the box.",
                working.fromFarEnd().minus(Part.PLACE, "last mark", box.mark()));
        own.mark(
                1,
                "run-end-marks",
                "The other mark lies one spacing nearer to the datum end.",
                Sum.ofRing(2, "mark 2", last).minus(Part.SPACING, "spacing", spacing));
        laid(own, stretch, 1, tooling.leading(HookSide.FAR), box.angle());
        laid(own, stretch, 0, tooling.leading(HookSide.FAR), box.angle());
    }

    private void saddle(Working own, int number, Stretch stretch, SaddlePlans.Laid laid) {
        List<Mark> inOrder = new ArrayList<>(laid.marks());
        inOrder.sort(Comparator.comparingInt(Mark::order));
        for (Mark mark : inOrder) {
            laid(own, stretch, mark.number() - 1, mark.placing(), mark.angle());
        }
        legs.pass(laid.shrink(), number, Operation.PLUS_TWICE, "shrink of the saddle");
    }

    /**
     * A bend of a stretch where it was laid out; or, where the run says that its hook looks the other way, on the ring whose arc lies
     * there with it. Formula {@code run-other-hook}, handbook 2.
     *
     * @param place of the bend in its stretch, from 0
     */
    private void laid(Working own, Stretch stretch, int place, Placing placing, Angle angle) {
        int bend = stretch.firstBend() + place;
        Length ring = own.ring(place + 1);
        Placing other = placing(bend, placing, angle);
        if (!other.equals(placing)) {
            Length arc = tooling.arcStart(ring, placing, angle);
            Length moved = tooling.markFor(arc, other, angle);
            ring = own.mark(
                    place + 1,
                    "run-other-hook",
                    "With the hook to the other side the curve grows the other way: the ring moves to where the same curve"
                            + " comes of it.",
                    Sum.ofRing(place + 1, "mark " + (place + 1), ring)
                            .plus("through the curve and both leads", moved.minus(ring)));
        }
        set(bend, ring, other, angle, stretch);
    }

    /** How the shoe stands at a bend: as it was laid out, or with the hook to the side that the run's order says. */
    private Placing placing(int bend, Placing placing, Angle angle) {
        OrderedBend turn = turns.get(bend);
        if (turn == null || placing.hook().isEmpty() || placing.hook().get() == turn.hookTowards()) {
            return placing;
        }
        return Placing.arrow(turn.hookTowards());
    }

    private void set(int bend, Length place, Placing placing, Angle angle, Stretch stretch) {
        made++;
        marks[bend - 1] = new Mark(bend, place, placing, angle, stretch.rollOf(bend), made);
    }

    /** The marks with the order that the run says, where it does. */
    private Mark[] inOrder() {
        for (int i = 0; i < run.order().size(); i++) {
            Mark mark = marks[run.order().get(i).bend() - 1];
            marks[mark.number() - 1] = new Mark(
                    mark.number(), mark.position(), mark.placing(), mark.angle(), mark.roll(), i + 1, Optional.empty());
        }
        return marks;
    }

    private Map<FeatureId, Quantity> targets() {
        Map<FeatureId, Quantity> targets = new TreeMap<>();
        for (int leg = 1; leg <= run.legs().size(); leg++) {
            targets.put(FeatureId.leg(leg), run.outside(leg));
        }
        List<Stretch> ninetys = shape.ninetys();
        for (int k = 1; k < ninetys.size(); k++) {
            targets.put(
                    FeatureId.turn(k),
                    ninetys.get(k).roll().minus(ninetys.get(k - 1).roll()).withinTurn());
        }
        for (Stretch stretch : shape.stretches()) {
            switch (stretch.part()) {
                case RunShape.Part.Ninety _ -> {
                    // Its angle and its legs say all of it.
                }
                case RunShape.Part.AtStart(BoxEnd box) -> targets.put(FeatureId.START_RISE, box.rise());
                case RunShape.Part.AtEnd(BoxEnd box) -> targets.put(FeatureId.END_RISE, box.rise());
                case RunShape.Part.OnLeg(int _, Offset offset) ->
                    targets.put(FeatureId.rise(stretch.leg()), offset.height());
                case RunShape.Part.OnLeg(int _, Saddle3 saddle) ->
                    targets.put(FeatureId.height(stretch.leg()), saddle.raised());
                case RunShape.Part.OnLeg(int _, Saddle4 saddle) ->
                    targets.put(FeatureId.height(stretch.leg()), saddle.raised());
            }
        }
        targets.put(FeatureId.DOG_LEG, Angle.ZERO);
        RunReach reach = RunReach.of(run, shape, tooling);
        targets.put(FeatureId.REACH_RIGHT, reach.right());
        targets.put(FeatureId.REACH_UP, reach.up());
        targets.put(FeatureId.REACH_OUT, reach.out());
        return targets;
    }

    /** That every leg holds the curves at its ends and what lies on it. */
    private void requireRoom() {
        Length free = Length.ZERO;
        int before = 0;
        for (int i = 0; i < marks.length; i++) {
            Mark mark = marks[i];
            Length start = tooling.arcStart(mark.position(), mark.placing(), mark.angle());
            if (start.plus(ROUNDING).isLessThan(free)) {
                throw noRoom(legBefore(i + 1), before, i + 1, free.minus(start));
            }
            free = start.plus(tooling.arcLength(mark.angle()));
            before = i + 1;
        }
        Length end = working.farEnd();
        if (free.isMoreThan(end.plus(ROUNDING))) {
            throw noRoom(run.legs().size(), before, 0, free.minus(end));
        }
    }

    /** The leg that the straight before a bend is on. */
    private int legBefore(int bend) {
        return shape.of(bend).leg();
    }

    private Refused noRoom(int leg, int before, int after, Length missing) {
        String between;
        if (before == 0) {
            between = "between the datum end and bend " + after;
        } else if (after == 0) {
            between = "between bend " + before + " and the far end";
        } else {
            between = "between bends " + before + " and " + after;
        }
        return Refused.impossible(new Fault(
                FaultCode.LEG_SHORTER_THAN_BEND,
                run.pointer(leg),
                "leg " + leg + " is " + run.outside(leg).inWords() + "; " + between + " " + missing.inWords()
                        + " is missing",
                new Figure("leg", run.outside(leg)),
                new Figure("missing", missing)));
    }

    private <T> T located(int index, Supplier<T> laid) {
        return located("bend/along/" + index + "/", laid);
    }

    /** What a bend refuses is refused where the run says it. */
    private static <T> T located(String path, Supplier<T> laid) {
        try {
            return laid.get();
        } catch (Refused refused) {
            throw refused.with(fault -> fault.at(path + fault.input().replace("bend/", "")));
        }
    }
}
