package lobrik.shape;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * A bent piece of conduit: the forward simulation of its bends (handbook 2). Straights and arcs alternate from the datum
 * end; there is always one more straight than there are arcs.
 */
public final class Piece {

    /** The longest conduit that is simulated: 100 ft. */
    public static final Length LONGEST_PIECE = Length.ofInches(1200);

    /** An arc may run over an end or another arc by no more than the rounding of calculated marks. */
    private static final Length ROUNDING = Length.ofInches(1e-9);

    private static final Comparator<PlacedArc> FROM_DATUM_END = Comparator.comparing(PlacedArc::start);

    /** An arc on the straight conduit; {@code number} is the bend's place in the request, from 1. */
    private record PlacedArc(int number, BendMade made, Length start, Length length) {
        Length end() {
            return start.plus(length);
        }
    }

    private final Tooling tooling;
    private final Length length;
    private final List<Segment.Straight> straights;
    private final List<Segment.Arc> arcs;
    private final List<BendMade> bends;

    private Piece(
            Tooling tooling,
            Length length,
            List<Segment.Straight> straights,
            List<Segment.Arc> arcs,
            List<BendMade> bends) {
        this.tooling = tooling;
        this.length = length;
        this.straights = Collections.unmodifiableList(straights);
        this.arcs = Collections.unmodifiableList(arcs);
        this.bends = Collections.unmodifiableList(bends);
    }

    /**
     * Bends a straight conduit.
     *
     * @param length of the straight conduit, more than 0 and at most 100 ft
     * @param bends in any order; they are made where their references stood
     * @throws Refused for inputs outside their range; as impossible where a mark or an arc would lie off the conduit or
     *     an arc over another
     */
    public static Piece simulate(Tooling tooling, Length length, List<BendMade> bends) {
        requireRanges(length, bends);
        List<PlacedArc> arcs = new ArrayList<>(bends.size());
        for (int i = 0; i < bends.size(); i++) {
            arcs.add(place(tooling, length, i + 1, bends.get(i)));
        }
        arcs.sort(FROM_DATUM_END);
        requireRoom(length, arcs);
        return chained(tooling, length, arcs);
    }

    /** Chains straights and arcs into a piece; the arcs stand in order along the conduit. */
    private static Piece chained(Tooling tooling, Length length, List<PlacedArc> placed) {
        List<Segment.Straight> straights = new ArrayList<>(placed.size() + 1);
        List<Segment.Arc> arcs = new ArrayList<>(placed.size());
        List<BendMade> bends = new ArrayList<>(placed.size());
        Frame here = Frame.DATUM;
        Length done = Length.ZERO;
        for (PlacedArc next : placed) {
            BendMade made = next.made();
            Segment.Straight straight = new Segment.Straight(here, next.start().minus(done));
            Length radius = made.on(tooling).tool().radius();
            Segment.Arc arc = new Segment.Arc(straight.end(), radius, made.angle(), made.roll(), next.length());
            straights.add(straight);
            arcs.add(arc);
            bends.add(made);
            here = arc.end();
            done = next.end();
        }
        straights.add(new Segment.Straight(here, length.minus(done)));
        return new Piece(tooling, length, straights, arcs, bends);
    }

    private static void requireRanges(Length length, List<BendMade> bends) {
        Faults faults = new Faults();
        faults.requirePositive("lengthIn", "the length of the conduit", length, LONGEST_PIECE);
        for (int i = 0; i < bends.size(); i++) {
            Angle angle = bends.get(i).angle();
            if (angle.isLessThan(Angle.ZERO) || angle.isMoreThan(Angle.HALF_TURN)) {
                faults.requireWithin(
                        "bends/" + i + "/angleDeg", "the angle of bend " + (i + 1), angle, Angle.ZERO, Angle.HALF_TURN);
            }
        }
        faults.refuseIfAny();
    }

    private static PlacedArc place(Tooling tooling, Length length, int number, BendMade bend) {
        if (bend.position().isNegative() || bend.position().isMoreThan(length)) {
            throw impossible(
                    FaultCode.MARK_OFF_CONDUIT,
                    position(number),
                    "the mark of bend " + number + " is at " + bend.position().inWords()
                            + "; the conduit runs from 0 to " + length.inWords(),
                    "move it or use a longer conduit",
                    new Figure("mark", bend.position()),
                    new Figure("length of the conduit", length));
        }
        Tooling made = bend.on(tooling);
        Length start = made.arcStart(bend.position(), bend.placing(), bend.angle());
        return new PlacedArc(number, bend, start, made.arcLength(bend.angle()));
    }

    private static void requireRoom(Length length, List<PlacedArc> placed) {
        Length free = Length.ZERO;
        int previous = 0;
        for (PlacedArc next : placed) {
            if (next.start().plus(ROUNDING).isLessThan(free)) {
                throw noRoomBefore(next, previous, free.minus(next.start()));
            }
            free = next.end();
            previous = next.number();
        }
        if (free.isMoreThan(length.plus(ROUNDING))) {
            throw impossible(
                    FaultCode.ARC_OFF_CONDUIT,
                    "lengthIn",
                    "the arc of bend " + previous + " would run "
                            + free.minus(length).inWords() + " over the far end",
                    "use a longer conduit or move the mark",
                    new Figure("over the far end", free.minus(length)));
        }
    }

    private static Refused noRoomBefore(PlacedArc next, int previous, Length missing) {
        return previous == 0
                ? impossible(
                        FaultCode.ARC_OFF_CONDUIT,
                        position(next.number()),
                        "the arc of bend " + next.number() + " would begin " + missing.inWords()
                                + " before the datum end",
                        "move its mark at least that much further",
                        new Figure("before the datum end", missing))
                : impossible(
                        FaultCode.ARCS_OVERLAP,
                        position(next.number()),
                        "the arcs of bends " + previous + " and " + next.number() + " would overlap by "
                                + missing.inWords(),
                        "move their marks at least that much apart",
                        new Figure("overlap", missing));
    }

    private static String position(int bendNumber) {
        return "bends/" + (bendNumber - 1) + "/positionIn";
    }

    private static Refused impossible(FaultCode code, String input, String reason, String advice, Figure... figures) {
        return Refused.impossible(new Fault(code, input, reason, figures).advising(advice));
    }

    public Tooling tooling() {
        return tooling;
    }

    /** Developed length: what it was before bending. */
    public Length length() {
        return length;
    }

    /** The legs, from the datum end: one more than there are arcs. */
    public List<Segment.Straight> straights() {
        return straights;
    }

    /** The arcs, from the datum end. */
    public List<Segment.Arc> arcs() {
        return arcs;
    }

    /** The bends as made, from the datum end: the first belongs to the first arc. */
    public List<BendMade> bends() {
        return bends;
    }

    /**
     * Where the conduit is at a developed length.
     *
     * @param position on the straight conduit; before an end or beyond it, its leg is thought to go on
     */
    public Frame at(Length position) {
        double left = position.inches();
        for (int i = 0; i < arcs.size(); i++) {
            Segment.Straight straight = straights.get(i);
            if (left <= straight.length().inches()) {
                return straight.start().ahead(left);
            }
            left -= straight.length().inches();
            Segment.Arc arc = arcs.get(i);
            if (left < arc.length().inches()) {
                return arc.at(left / arc.length().inches());
            }
            left -= arc.length().inches();
        }
        return straights.getLast().start().ahead(left);
    }

    /**
     * Points on the centreline, inches: the two ends, and every arc in equal steps.
     *
     * @param stepsPerArc at least 1; the same for every arc, so that two pieces of one kind have corresponding points
     */
    public List<Vector3> centreline(int stepsPerArc) {
        List<Vector3> points = new ArrayList<>();
        points.add(Vector3.ORIGIN);
        for (Segment.Arc arc : arcs) {
            for (int step = 0; step <= stepsPerArc; step++) {
                points.add(arc.at((double) step / stepsPerArc).origin());
            }
        }
        points.add(straights.getLast().end().origin());
        return List.copyOf(points);
    }
}
