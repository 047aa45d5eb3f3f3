package lobrik.sticks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.Axes;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.RoomFrame;
import lobrik.shape.Vector3;
import lobrik.verdict.Entering;

/**
 * The pieces of a run put together: the datum end seated, each piece pushed into the coupling before it and turned there so that its
 * first bend goes where it should, as whoever puts it up would. How far its far end is from where it should be, and how much of that each
 * piece spent.
 *
 * @param off from where the far end face should be to where it is, in the room: inches to the right, up, and out of the wall
 * @param outOfSquare of the last straight to where it should run
 * @param spent by each piece, in their order: how much further it brings the far end, those after it as they should be; they add up to
 *     {@code off}
 * @param laid how each piece lies
 */
public record Assembly(Vector3 off, Angle outOfSquare, List<Vector3> spent, List<Laid> laid) {

    /** The datum end of a piece in its own frame, where a bend of roll 0 turns upwards. */
    private static final Axes ALONE = Axes.of(new Vector3(0, 0, 0), new Vector3(1, 0, 0), new Vector3(0, 1, 0));

    public Assembly {
        spent = List.copyOf(spent);
        laid = List.copyOf(laid);
    }

    /**
     * How a piece lies in the whole run.
     *
     * @param alone its datum end by itself
     * @param here the same where it was put
     */
    public record Laid(Axes alone, Axes here) {

        /** Where a point of the piece is in the frame of the whole run. */
        public Vector3 point(Vector3 point) {
            return here.point(alone.seen(point));
        }

        private Vector3 direction(Vector3 direction) {
            return here.direction(alone.turned(direction));
        }
    }

    /** Where the far end is, how it lies, and how each piece does. */
    private record End(Vector3 point, Vector3 along, List<Laid> laid) {}

    /**
     * Puts pieces together.
     *
     * @param made the shape of each as it was measured; empty for those that are taken as they should be
     */
    public static Assembly of(RoomFrame room, List<Portion> portions, List<Optional<Piece>> made) {
        End wanted = end(portions, List.of());
        List<Vector3> spent = new ArrayList<>();
        End before = wanted;
        for (int i = 1; i <= portions.size(); i++) {
            End now = end(portions, made.subList(0, i));
            spent.add(room.seen(now.point().minus(before.point())));
            before = now;
        }
        double cosine = Math.clamp(before.along().dot(wanted.along()), -1, 1);
        return new Assembly(
                room.seen(before.point().minus(wanted.point())),
                Angle.ofDegrees(Math.toDegrees(Math.acos(cosine))),
                spent,
                before.laid());
    }

    /** @param made of the first so many pieces; the others are as they should be */
    private static End end(List<Portion> portions, List<Optional<Piece>> made) {
        Vector3 point = portions.getFirst().start().origin();
        Vector3 along = portions.getFirst().start().along();
        List<Laid> laid = new ArrayList<>();
        for (int i = 0; i < portions.size(); i++) {
            Portion portion = portions.get(i);
            Optional<Piece> measured = i < made.size() ? made.get(i) : Optional.empty();
            Frame far = measured.map(piece -> piece.straights().getLast().end()).orElse(portion.end());
            Axes alone = measured.isPresent()
                    ? ALONE
                    : Axes.of(portion.start().origin(), portion.start().along(), portion.up());
            Laid lies = new Laid(alone, Axes.of(point, along, portion.up()));
            laid.add(lies);
            point = lies.point(far.origin());
            along = lies.direction(far.along());
        }
        return new End(point, along, laid);
    }

    /** How far the far end face is off. */
    public Length distance() {
        return Length.ofInches(off.norm());
    }

    /** Whether it goes into the fitting at its far end. */
    public boolean enters(Entering rule) {
        return rule.holds(distance(), outOfSquare);
    }
}
