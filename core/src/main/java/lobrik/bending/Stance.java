package lobrik.bending;

/** How a hand bender stands while a bend is made. */
public enum Stance {
    /** The straight on the heel's side lies on the floor under the foot; the hook's side rises. */
    ON_THE_FLOOR("onTheFloor", "on the floor"),
    /** The end of the lever on the floor, the shoe up, and the conduit pulled down by hand. */
    IN_THE_AIR("inTheAir", "in the air, the lever's end on the floor");

    private final String id;
    private final String words;

    Stance(String id, String words) {
        this.id = id;
        this.words = words;
    }

    /** As programs see it. */
    public String id() {
        return id;
    }

    /** In a sentence. */
    public String words() {
        return words;
    }
}
