package lobrik.verdict;

import java.util.Optional;
import lobrik.layout.Layout;
import lobrik.layout.Review;
import lobrik.measure.Length;
import lobrik.shape.Clearance;
import lobrik.shape.Obstacle;
import lobrik.verdict.MethodShare.Grade;

/**
 * The room that the right piece leaves to what it has to clear, beside the room that is asked for.
 *
 * @param asked the least gap of the piece that is bent exactly as asked, negative where that would have to pass through; nothing
 *     where there is no such piece
 * @param right the least gap of the right piece; negative where it would have to pass through
 * @param tolerance of a length
 */
public record GapShare(Length asked, Length right, Length tolerance) {

    static Optional<GapShare> of(Layout layout, Optional<Obstacle> obstacle, Length tolerance) {
        return Review.cleared(layout, obstacle).map(cleared -> {
            Length asked = layout.wanted()
                    .map(piece -> Clearance.of(piece, cleared).gap())
                    .orElse(Length.ZERO);
            Length right = Clearance.of(layout.predicted(), cleared).gap();
            return new GapShare(asked, right, tolerance);
        });
    }

    /** What is lacking; nothing where there is more room than asked for. */
    public Length lacking() {
        return asked.minus(right).max(Length.ZERO);
    }

    /** A gap that is larger than asked is nobody's concern. */
    public Grade grade() {
        return MethodShare.grade(lacking(), Tolerance.even(tolerance));
    }
}
