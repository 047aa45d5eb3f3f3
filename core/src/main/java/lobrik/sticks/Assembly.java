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
 */
public record Assembly(Vector3 off, Angle outOfSquare, List<Vector3> spent) {

    public Assembly {
        spent = List.copyOf(spent);
    }

    /** Where the far end is, and how it lies. */
    private record End(Vector3 point, Vector3 along) {}

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
                spent);
    }

    /** @param made of the first so many pieces; the others are as they should be */
    private static End end(List<Portion> portions, List<Optional<Piece>> made) {
        Portion first = portions.getFirst();
        Axes here = Axes.of(first.start().origin(), first.start().along(), first.up());
        Vector3 point = here.origin();
        Vector3 along = here.along();
        for (int i = 0; i < portions.size(); i++) {
            Portion portion = portions.get(i);
            Axes lies = Axes.of(point, along, portion.up());
            Optional<Piece> as = i < made.size() ? made.get(i) : Optional.empty();
            Axes alone;
            Vector3 end;
            Vector3 on;
            if (as.isPresent()) {
                Frame far = as.get().straights().getLast().end();
                alone = Axes.of(new Vector3(0, 0, 0), new Vector3(1, 0, 0), new Vector3(0, 1, 0));
                end = far.origin();
                on = far.along();
            } else {
                alone = Axes.of(portion.start().origin(), portion.start().along(), portion.up());
                end = portion.end().origin();
                on = portion.end().along();
            }
            point = lies.point(alone.seen(end));
            along = lies.direction(alone.turned(on));
        }
        return new End(point, along);
    }

    /** How far the far end face is off. */
    public Length distance() {
        return Length.ofInches(off.norm());
    }

    /** Whether it goes into the fitting at its far end. */
    public boolean enters(Entering rule) {
        return distance().compareTo(rule.play()) <= 0 && outOfSquare.compareTo(rule.square()) <= 0;
    }
}
