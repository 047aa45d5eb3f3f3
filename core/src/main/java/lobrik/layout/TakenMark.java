package lobrik.layout;

import java.util.Optional;
import lobrik.measure.Length;

/**
 * The figure of a mark as somebody took it, from either datum.
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
        if (mark.back().isEmpty()) {
            return new TakenMark(figure, MarkDatum.END);
        }
        Length offset = mark.position().minus(mark.taught());
        return switch (MarkDatum.meant(figure, said, right, right.minus(offset), near)) {
            case END -> new TakenMark(figure, MarkDatum.END);
            case BACK -> new TakenMark(mark.fromBack(figure), MarkDatum.BACK);
        };
    }
}
