package lobrik.shape;

import lobrik.measure.Angle;

/**
 * Where the conduit is at one point of its centreline and how it lies there.
 *
 * @param origin the point, inches
 * @param along unit tangent towards the far end
 * @param up unit normal that is carried along the conduit without twist: the direction of a bend of roll 0
 */
public record Frame(Vector3 origin, Vector3 along, Vector3 up) {

    static final Frame DATUM = new Frame(Vector3.ORIGIN, Vector3.X, Vector3.Y);

    /** The unit normal in which a bend of this roll turns: {@code cos ρ · up + sin ρ · (along × up)}. */
    public Vector3 bendDirection(Angle roll) {
        double rho = roll.radians();
        return up.times(Math.cos(rho)).plus(along.cross(up).times(Math.sin(rho)));
    }

    /** The frame this far along a straight. */
    Frame ahead(double inches) {
        return new Frame(origin.plus(along.times(inches)), along, up);
    }

    /**
     * The frame after turning by {@code θ} on a radius {@code R} towards {@code q}: the point moves by
     * {@code R sin θ} along and {@code R (1 − cos θ)} towards q. Formula {@code arc-step}, handbook 2.
     */
    Frame turned(double radiusInches, double theta, Vector3 q) {
        double sin = Math.sin(theta);
        double cos = Math.cos(theta);
        Vector3 moved = origin.plus(along.times(radiusInches * sin)).plus(q.times(radiusInches * (1 - cos)));
        Vector3 newAlong = along.times(cos).plus(q.times(sin));
        // Only the part of "up" that lies in the bend's plane turns; what stands across it stays.
        double inPlane = up.dot(q);
        Vector3 newQ = q.times(cos).minus(along.times(sin));
        Vector3 newUp = up.minus(q.times(inPlane)).plus(newQ.times(inPlane));
        return new Frame(moved, newAlong, newUp);
    }
}
