package lobrik.shape;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * A bent piece of conduit: the forward simulation of its bends (handbook 2). Straights and arcs alternate from the datum
 * end; there is always one more straight than there are arcs.
 */
public final class Piece {

    private static final Length LONGEST_PIECE = Length.ofInches(1200);

    /** An arc may run over an end or another arc by no more than the rounding of calculated marks. */
    private static final Length ROUNDING = Length.ofInches(1e-9);

    /** An arc on the straight conduit; {@code number} is the bend's place in the request, from 1. */
    record PlacedArc(int number, Length start, Length length, Angle angle, Angle roll) {
        Length end() {
            return start.plus(length);
        }
    }

    private final Tooling tooling;
    private final Length length;
    private final List<Segment.Straight> straights;
    private final List<Segment.Arc> arcs;

    private Piece(Tooling tooling, Length length, List<Segment.Straight> straights, List<Segment.Arc> arcs) {
        this.tooling = tooling;
        this.length = length;
        this.straights = List.copyOf(straights);
        this.arcs = List.copyOf(arcs);
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
        List<PlacedArc> arcs = IntStream.range(0, bends.size())
                .mapToObj(i -> place(tooling, length, i + 1, bends.get(i)))
                .sorted(Comparator.comparing(PlacedArc::start))
                .toList();
        return ofArcs(tooling, length, arcs);
    }

    /** Chains straights and arcs into a piece; the arcs stand in order along the conduit. */
    static Piece ofArcs(Tooling tooling, Length length, List<PlacedArc> placed) {
        requireRoom(length, placed);
        List<Segment.Straight> straights = new ArrayList<>();
        List<Segment.Arc> arcs = new ArrayList<>();
        Frame here = Frame.DATUM;
        Length done = Length.ZERO;
        for (PlacedArc next : placed) {
            Segment.Straight straight = new Segment.Straight(here, next.start().minus(done));
            Segment.Arc arc = new Segment.Arc(
                    straight.end(), tooling.bender().radius(), next.angle(), next.roll(), next.length());
            straights.add(straight);
            arcs.add(arc);
            here = arc.end();
            done = next.end();
        }
        straights.add(new Segment.Straight(here, length.minus(done)));
        return new Piece(tooling, length, straights, arcs);
    }

    private static void requireRanges(Length length, List<BendMade> bends) {
        Faults faults = new Faults();
        faults.requirePositive("lengthIn", "the length of the conduit", length, LONGEST_PIECE);
        for (int i = 0; i < bends.size(); i++) {
            faults.requireWithin(
                    "bends/" + i + "/angleDeg",
                    "the angle of bend " + (i + 1),
                    bends.get(i).angle(),
                    Angle.ZERO,
                    Angle.HALF_TURN);
        }
        faults.refuseIfAny();
    }

    private static PlacedArc place(Tooling tooling, Length length, int number, BendMade bend) {
        if (bend.position().isNegative() || bend.position().isMoreThan(length)) {
            throw impossible(
                    FaultCode.MARK_OFF_CONDUIT,
                    number,
                    "the mark of bend " + number + " is at " + bend.position().inWords()
                            + "; the conduit runs from 0 to " + length.inWords());
        }
        Length start = tooling.arcStart(bend.position(), bend.reference(), bend.hookTowards(), bend.angle());
        return new PlacedArc(number, start, tooling.arcLength(bend.angle()), bend.angle(), bend.roll());
    }

    private static void requireRoom(Length length, List<PlacedArc> placed) {
        Length free = Length.ZERO;
        int previous = 0;
        for (PlacedArc next : placed) {
            if (next.start().plus(ROUNDING).isLessThan(free)) {
                throw noRoomBefore(next, previous, free.minus(next.start()).inWords());
            }
            free = next.end();
            previous = next.number();
        }
        if (free.isMoreThan(length.plus(ROUNDING))) {
            throw impossible(
                    FaultCode.ARC_OFF_CONDUIT,
                    previous,
                    "the arc of bend " + previous + " would run "
                            + free.minus(length).inWords()
                            + " over the far end; use a longer conduit or move the mark");
        }
    }

    private static Refused noRoomBefore(PlacedArc next, int previous, String missing) {
        return previous == 0
                ? impossible(
                        FaultCode.ARC_OFF_CONDUIT,
                        next.number(),
                        "the arc of bend " + next.number() + " would begin " + missing
                                + " before the datum end; move its mark at least that much further")
                : impossible(
                        FaultCode.ARCS_OVERLAP,
                        next.number(),
                        "the arcs of bends " + previous + " and " + next.number() + " would overlap by " + missing
                                + "; move their marks at least that much apart");
    }

    private static Refused impossible(FaultCode code, int bendNumber, String message) {
        return Refused.impossible(new Fault(code, "bends/" + (bendNumber - 1) + "/positionIn", message));
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
