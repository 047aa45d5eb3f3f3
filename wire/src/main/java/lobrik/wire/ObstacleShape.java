package lobrik.wire;

/** What an obstacle looks like across the run. */
public enum ObstacleShape {
    ROUND("round"),
    RECTANGULAR("rectangular");

    private final String id;

    ObstacleShape(String id) {
        this.id = id;
    }

    /** As programs see it: {@code round}. */
    public String id() {
        return id;
    }
}
