package lobrik.cause;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.bend.Run;
import lobrik.bend.RunShape.Stretch;
import lobrik.layout.Layout;
import lobrik.shape.Axes;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.RoomFrame;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;

/**
 * Where along a run the error at its far end came in (handbook 7): from the datum end on, leg by leg and ninety by ninety, what was asked
 * is replaced by what was made, with the rest as it should be, and each place is given by how much that moves the far end face.
 *
 * @param off from where the far end face should be to where it is, in the room: inches to the right, up, and out of the wall
 * @param shares from the datum end; they add up to it
 */
public record FarEnd(Vector3 off, List<Share> shares) {

    /** What of a run moves its far end. */
    public enum Part {
        /** How long a leg is, and how far what lies on it moves the conduit to the side. */
        LEG,
        /** The plane of a ninety, to what was bent before it. */
        PLANE,
        /** How far a ninety is closed. */
        ANGLE
    }

    /**
     * What one place moves the far end by.
     *
     * @param number of the leg, or of the bend along the run, from 1
     */
    public record Share(Part part, int number, Vector3 moves) {}

    /** So much of what the places move the far end by, taken each by itself, does one have that stands out. */
    private static final double STANDS_OUT = 0.5;

    public FarEnd {
        shares = List.copyOf(shares);
    }

    /**
     * Goes along a run.
     *
     * @param made as it was measured
     * @return empty for anything but a run
     */
    public static Optional<FarEnd> of(Layout layout, Piece made) {
        return layout.job().bend().run().map(run -> between(run, layout.wanted().orElse(layout.predicted()), made));
    }

    /**
     * The same of any two shapes of a run.
     *
     * @param wanted with as many bends as what was made
     */
    public static FarEnd between(Run run, Piece wanted, Piece made) {
        RoomFrame room = RoomFrame.of(run);
        List<Stretch> ninetys = run.shape().ninetys();
        Way asked = new Way(wanted);
        Way walked = new Way(made);
        Vector3 end = end(wanted);
        List<Share> shares = new ArrayList<>();
        Vector3 before = end;
        for (int number = 1; number <= ninetys.size(); number++) {
            int bend = ninetys.get(number - 1).firstBend();
            before = add(
                    shares,
                    Part.LEG,
                    number,
                    before,
                    walked.legTo(bend).point(asked.legTo(bend).seen(end)),
                    room);
            before = add(
                    shares,
                    Part.PLANE,
                    bend,
                    before,
                    walked.plane().point(asked.plane().seen(end)),
                    room);
            before = add(
                    shares,
                    Part.ANGLE,
                    bend,
                    before,
                    walked.past().point(asked.past().seen(end)),
                    room);
        }
        add(shares, Part.LEG, run.legs().size(), before, end(made), room);
        return new FarEnd(room.seen(end(made).minus(end)), shares);
    }

    private static Vector3 add(List<Share> shares, Part part, int number, Vector3 before, Vector3 now, RoomFrame room) {
        shares.add(new Share(part, number, room.seen(now.minus(before))));
        return now;
    }

    private static Vector3 end(Piece piece) {
        return piece.straights().getLast().end().origin();
    }

    /** The place that moves the far end most, where it is more than all others together would; empty where it adds up along the run. */
    public Optional<Share> most() {
        double all = shares.stream().mapToDouble(share -> share.moves().norm()).sum();
        return shares.stream()
                .max(Comparator.comparingDouble(share -> share.moves().norm()))
                .filter(share -> share.moves().norm() > STANDS_OUT * all);
    }

    /** Goes along a piece from corner to corner; what is up is the plane of the ninety that was last passed. */
    private static final class Way {

        private final Piece piece;
        private Vector3 up = new Vector3(0, 1, 0);
        private Segment.Arc arc;
        private Vector3 corner = new Vector3(0, 0, 0);

        Way(Piece piece) {
            this.piece = piece;
            this.arc = piece.arcs().getFirst();
        }

        /** At the corner of a ninety, before anything turns; a leg is never turned about itself by what lies on it. */
        Axes legTo(int bend) {
            arc = piece.arcs().get(bend - 1);
            Frame start = arc.start();
            double tangent = arc.radius().inches() * Math.tan(arc.angle().radians() / 2);
            corner = start.origin().plus(start.along().times(tangent));
            return Axes.of(corner, start.along(), up);
        }

        /** There, with the plane of this ninety up. */
        Axes plane() {
            return Axes.of(corner, arc.start().along(), arc.start().bendDirection(arc.roll()));
        }

        /** There, turned by it. */
        Axes past() {
            Vector3 along = arc.start().along();
            Vector3 towards = arc.start().bendDirection(arc.roll());
            double theta = arc.angle().radians();
            Vector3 on = along.times(Math.cos(theta)).plus(towards.times(Math.sin(theta)));
            up = towards.times(Math.cos(theta)).minus(along.times(Math.sin(theta)));
            return Axes.of(corner, on, up);
        }
    }
}
