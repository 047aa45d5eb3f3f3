package lobrik.rota;

/**
 * Where somebody bends.
 *
 * @param bench number of the bench in its room
 * @param bender place of the bender in the list of those of the rota
 */
public record Seat(int bench, int bender) {}
