package lobrik.shape;

import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.Towards;

/**
 * The room in the frame of a run's piece, where its first leg lies as it was asked for and its first bend turns where it should:
 * unit vectors.
 *
 * @param right as seen facing the wall at the start of the run
 * @param up upwards
 * @param out out of that wall
 */
public record RoomFrame(Vector3 right, Vector3 up, Vector3 out) {

    /** The room around a run. */
    public static RoomFrame of(Run run) {
        return of(run, run.shape());
    }

    static RoomFrame of(Run run, RunShape shape) {
        Vector3 x = vector(run.legs().getFirst().towards());
        Vector3 y = vector(shape.stretches().getFirst().towards());
        Vector3 z = x.cross(y);
        return new RoomFrame(
                new Vector3(x.x(), y.x(), z.x()), new Vector3(x.y(), y.y(), z.y()), new Vector3(x.z(), y.z(), z.z()));
    }

    /** A point of the piece's frame as seen in the room: inches to the right, up and out. */
    public Vector3 seen(Vector3 point) {
        return new Vector3(point.dot(right), point.dot(up), point.dot(out));
    }

    private static Vector3 vector(Towards towards) {
        return new Vector3(towards.x(), towards.y(), towards.z());
    }
}
