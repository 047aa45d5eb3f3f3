package lobrik.layout;

import java.util.Optional;
import lobrik.measure.Length;

/**
 * The figure of a mark as somebody took it, from either datum. A right figure is never wrong for being measured the other way:
 * where it fits only the datum that was not named, or where none was, the one that it is nearer to is meant.
 *
 * @param position from the datum end of the straight conduit
 * @param from where it was measured from
 */
public record TakenMark(Length position, MarkDatum from) {

    /**
     * Reads a figure.
     *
     * @param said what whoever took it says of its datum; empty where nobody was asked
     * @param right where the mark belongs, from the datum end of the straight conduit
     * @param near how far off a figure may be and still be taken for right
     */
    public static TakenMark of(Mark mark, Length figure, Optional<MarkDatum> said, Length right, Length near) {
        TakenMark fromEnd = new TakenMark(figure, MarkDatum.END);
        if (mark.back().isEmpty()) {
            return fromEnd;
        }
        TakenMark fromBack = new TakenMark(mark.fromBack(figure), MarkDatum.BACK);
        TakenMark named = said.filter(MarkDatum.END::equals).isPresent() ? fromEnd : fromBack;
        TakenMark other = named.equals(fromEnd) ? fromBack : fromEnd;
        boolean otherIsNearer = other.off(right).isLessThan(named.off(right));
        boolean otherIsRight =
                !other.off(right).isMoreThan(near) && named.off(right).isMoreThan(near);
        return otherIsRight || (said.isEmpty() && otherIsNearer) ? other : named;
    }

    private Length off(Length right) {
        return position.minus(right).abs();
    }
}
