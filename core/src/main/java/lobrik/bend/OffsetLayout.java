package lobrik.bend;

/** From where the distance of an offset or a kick was measured (handbook 4.3). */
public enum OffsetLayout {
    /** To the far side: there the conduit must already be up. Shrink matters. */
    BEFORE_OBSTACLE,
    /** To the near side: there the conduit leaves its surface. Shrink does not matter. */
    FROM_EDGE
}
