package lobrik.bend;

/** What a change of an input does to a bend: what shapes it first, what holds its far end last. */
public enum Role {
    /** How steep it is. */
    ANGLE,
    /** How large it is: the first thing that has to give way where bends come too close together. */
    SIZE,
    /** How wide it is, square to its size. */
    WIDTH,
    /** Where it lies from the datum end. */
    PLACE,
    /** What is left free between it and an obstacle. */
    CLEARANCE,
    /** How much conduit there is beyond it. */
    FAR_END,
    /** What is added or taken off so that it goes into its place: nothing that is moved to cure a fault. */
    FIT
}
