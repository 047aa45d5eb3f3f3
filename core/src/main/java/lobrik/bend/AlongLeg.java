package lobrik.bend;

/** A bend after which the conduit goes on the way it came, so that it can lie along a leg of a run. */
public sealed interface AlongLeg extends Bend permits Offset, Saddle3, Saddle4 {}
