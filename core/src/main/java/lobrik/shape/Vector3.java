package lobrik.shape;

/** A point or direction in the piece's frame; components in inches (points) or pure numbers (directions). */
public record Vector3(double x, double y, double z) {

    static final Vector3 ORIGIN = new Vector3(0, 0, 0);
    static final Vector3 X = new Vector3(1, 0, 0);
    static final Vector3 Y = new Vector3(0, 1, 0);

    public Vector3 plus(Vector3 other) {
        return new Vector3(x + other.x, y + other.y, z + other.z);
    }

    public Vector3 minus(Vector3 other) {
        return new Vector3(x - other.x, y - other.y, z - other.z);
    }

    public Vector3 times(double factor) {
        return new Vector3(x * factor, y * factor, z * factor);
    }

    public double dot(Vector3 other) {
        return x * other.x + y * other.y + z * other.z;
    }

    public Vector3 cross(Vector3 other) {
        return new Vector3(y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    public double norm() {
        return Math.sqrt(dot(this));
    }
}
