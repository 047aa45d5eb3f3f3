package lobrik.bend;

/** How a stub ninety is set in the shoe (handbook 4.1). */
public enum Placement {
    /** Mark at leg less take-up, arrow on it, hook towards the datum end. */
    ARROW,
    /** Mark at the leg itself, star on it, hook towards the far end. */
    STAR
}
