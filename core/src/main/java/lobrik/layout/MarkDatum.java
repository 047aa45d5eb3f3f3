package lobrik.layout;

import java.util.Optional;
import java.util.stream.Stream;
import lobrik.measure.Length;

/** Where the tape was hooked when the figure of a mark was worked out, rung or read. */
public enum MarkDatum {
    /** On the datum end of the straight conduit. */
    END("end"),
    /** On the back of an earlier bend. */
    BACK("back");

    private final String id;

    MarkDatum(String id) {
        this.id = id;
    }

    /** As programs see it: {@code end}. */
    public String id() {
        return id;
    }

    /** The one with this id; nothing if there is none. */
    public static Optional<MarkDatum> withId(String id) {
        return Stream.of(values()).filter(datum -> datum.id.equals(id)).findFirst();
    }

    /**
     * Where a figure of a mark that may be measured either way was measured from. A right figure is never wrong for being measured
     * the other way: where it fits only the datum that was not named, it was measured from that one; where none was named, from
     * the one that it is nearer to.
     *
     * @param said what whoever took it says; empty where nobody was asked
     * @param fromEnd the right figure from the end of the straight conduit
     * @param fromBack the right figure from the back of the earlier bend
     * @param near how far off a figure may be and still be taken for right
     */
    public static MarkDatum meant(
            Length figure, Optional<MarkDatum> said, Length fromEnd, Length fromBack, Length near) {
        Length offEnd = figure.minus(fromEnd).abs();
        Length offBack = figure.minus(fromBack).abs();
        boolean end = said.filter(END::equals).isPresent();
        Length named = end ? offEnd : offBack;
        Length other = end ? offBack : offEnd;
        boolean onlyTheOtherFits = !other.isMoreThan(near) && named.isMoreThan(near);
        boolean meantOther = onlyTheOtherFits || (said.isEmpty() && other.isLessThan(named));
        return end == meantOther ? BACK : END;
    }
}
