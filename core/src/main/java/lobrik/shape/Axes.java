package lobrik.shape;

/**
 * A place of a conduit and how it lies there, as a set of axes that other points can be told in.
 *
 * @param origin the place, inches
 * @param along unit tangent towards the far end
 * @param up unit, square to it: what is up there
 * @param side unit, square to both
 */
public record Axes(Vector3 origin, Vector3 along, Vector3 up, Vector3 side) {

    /**
     * Axes at a place.
     *
     * @param up any direction that is not along; what of it is square to that is up
     */
    public static Axes of(Vector3 origin, Vector3 along, Vector3 up) {
        Vector3 square = up.minus(along.times(up.dot(along)));
        Vector3 unit = square.times(1 / square.norm());
        return new Axes(origin, along, unit, along.cross(unit));
    }

    /** A point as it is told here: inches along, up and to the side. */
    public Vector3 seen(Vector3 point) {
        return turned(point.minus(origin));
    }

    /** A direction as it is told here. */
    public Vector3 turned(Vector3 direction) {
        return new Vector3(direction.dot(along), direction.dot(up), direction.dot(side));
    }

    /** The point that is told so. */
    public Vector3 point(Vector3 seen) {
        return origin.plus(direction(seen));
    }

    /** The direction that is told so. */
    public Vector3 direction(Vector3 seen) {
        return along.times(seen.x()).plus(up.times(seen.y())).plus(side.times(seen.z()));
    }
}
