package lobrik.measure;

/** The unit a person works in: it decides what a bare number means and how a length is shown. */
public enum LengthUnit {
    INCH,
    MILLIMETRE
}
