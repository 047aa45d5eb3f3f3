package lobrik.layout;

import lobrik.measure.Length;

/**
 * What is needed to mark an offset.
 *
 * @param spacing {@code L} of its marks
 * @param shrink developed length less what it covers
 */
public record OffsetFigures(Length spacing, Length shrink) {}
