package lobrik.bend;

/**
 * A number that a part is given by, such as that of the leg it is on.
 *
 * @param id as programs see it: {@code leg}
 * @param title on a form: {@code Leg}
 */
public record Count(String id, String title, int least, int most) {}
