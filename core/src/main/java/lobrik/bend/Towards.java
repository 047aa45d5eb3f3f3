package lobrik.bend;

/**
 * The six directions in which conduit goes along walls and ceilings, as seen by whoever faces the wall at its start: x to the right,
 * y up, z out of the wall.
 */
public enum Towards {
    RIGHT("right", "right", 1, 0, 0),
    LEFT("left", "left", -1, 0, 0),
    UP("up", "up", 0, 1, 0),
    DOWN("down", "down", 0, -1, 0),
    OUT("out", "out of the wall", 0, 0, 1),
    IN("in", "into the wall", 0, 0, -1);

    private final String id;
    private final String words;
    private final int x;
    private final int y;
    private final int z;

    Towards(String id, String words, int x, int y, int z) {
        this.id = id;
        this.words = words;
        this.x = x;
        this.y = y;
        this.z = z;
    }

    /** As programs see it: {@code out}. */
    public String id() {
        return id;
    }

    /** In a sentence: {@code out of the wall}. */
    public String words() {
        return words;
    }

    public int x() {
        return x;
    }

    public int y() {
        return y;
    }

    public int z() {
        return z;
    }

    /** The other way. */
    public Towards opposite() {
        return of(-x, -y, -z);
    }

    /** Whether it runs square to another. */
    public boolean isSquareTo(Towards other) {
        return dot(other) == 0;
    }

    /** 1 for the same, −1 for the opposite, else 0. */
    int dot(Towards other) {
        return x * other.x + y * other.y + z * other.z;
    }

    /** Square to two that are square to each other, by the right hand. */
    Towards cross(Towards other) {
        return of(y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    /** What it becomes where conduit that runs one way is bent to run another, square to it, and carries it along. */
    Towards carried(Towards from, Towards to) {
        if (this == from) {
            return to;
        }
        if (this == from.opposite()) {
            return to.opposite();
        }
        if (this == to) {
            return from.opposite();
        }
        return this == to.opposite() ? from : this;
    }

    /** The same seen in a mirror that hangs on the wall to the right: right and left change places. */
    public Towards mirrored() {
        return x == 0 ? this : opposite();
    }

    private static Towards of(int x, int y, int z) {
        for (Towards each : values()) {
            if (each.x == x && each.y == y && each.z == z) {
                return each;
            }
        }
        throw new IllegalArgumentException("no direction " + x + " " + y + " " + z);
    }
}
