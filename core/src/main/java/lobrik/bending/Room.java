package lobrik.bending;

/**
 * What one side of the shoe leaves free while a bend is made, inches and degrees.
 *
 * @param lowest the least that anything is over the floor; infinite where nothing can come near it
 * @param highest how high anything comes
 * @param leanToOne how far a lever would have to lean to one side to pass; 0 where it swings freely
 * @param leanToOther the same to the other side
 * @param closest how near to the shoe it would be touched; infinite where it is not
 */
record Room(double lowest, double highest, double leanToOne, double leanToOther, double closest) {

    Room and(Room other) {
        return new Room(
                Math.min(lowest, other.lowest),
                Math.max(highest, other.highest),
                Math.max(leanToOne, other.leanToOne),
                Math.max(leanToOther, other.leanToOther),
                Math.min(closest, other.closest));
    }

    /** How far the lever leans to the better side. */
    double lean() {
        return Math.min(leanToOne, leanToOther);
    }
}
