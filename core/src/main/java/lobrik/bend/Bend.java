package lobrik.bend;

/** A bend as asked for. Every kind is a record of its inputs that refuses values outside their range. */
public sealed interface Bend permits Stub90 {}
