package lobrik.exercise;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.measure.Length;

/**
 * Which pieces are cut from which stick. Pieces go, the longest first, into the first stick with room (first fit
 * decreasing: never more than 11/9 of the fewest sticks and one), and each cut loses the saw's kerf.
 *
 * @param sticks in the order in which they are cut
 * @param fewest sticks that the lengths alone would need; the plan may need more
 */
public record ConduitPlan(Length stick, Length kerf, List<Stick> sticks, int fewest) {

    /** What a hacksaw or a tube cutter usually takes. */
    public static final Length USUAL_KERF = Length.ofFraction(0, 1, 16);

    /**
     * A piece to cut.
     *
     * @param owner its place in the list of pieces, from 0
     */
    public record Cut(int owner, Length length) {}

    /** A stick with what is cut from it and what is left. */
    public record Stick(List<Cut> cuts, Length offcut) {}

    /**
     * Plans the cuts.
     *
     * @param pieces lengths to cut, each more than 0
     * @throws Refused if a piece is longer than a stick
     */
    public static ConduitPlan of(List<Length> pieces, Length stick, Length kerf) {
        List<Cut> longestFirst = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            requireFits(pieces.get(i), stick);
            longestFirst.add(new Cut(i, pieces.get(i)));
        }
        longestFirst.sort(Comparator.comparing(Cut::length).reversed());
        List<List<Cut>> opened = new ArrayList<>();
        List<Length> left = new ArrayList<>();
        for (Cut cut : longestFirst) {
            int place = 0;
            while (place < opened.size() && left.get(place).isLessThan(cut.length())) {
                place++;
            }
            if (place == opened.size()) {
                opened.add(new ArrayList<>());
                left.add(stick);
            }
            opened.get(place).add(cut);
            // The last cut may leave less than a kerf: then there is nothing left to saw off.
            left.set(place, left.get(place).minus(cut.length()).minus(kerf).max(Length.ZERO));
        }
        List<Stick> sticks = new ArrayList<>();
        for (int i = 0; i < opened.size(); i++) {
            sticks.add(new Stick(List.copyOf(opened.get(i)), left.get(i)));
        }
        return new ConduitPlan(stick, kerf, List.copyOf(sticks), fewest(pieces, stick));
    }

    private static void requireFits(Length piece, Length stick) {
        if (piece.isMoreThan(stick)) {
            throw Refused.impossible(new Fault(
                    FaultCode.LONGER_THAN_STICK,
                    "stickIn",
                    "a piece of " + piece.inWords() + " cannot be cut from a stick of " + stick.inWords(),
                    new Figure("piece", piece),
                    new Figure("stick", stick)));
        }
    }

    private static int fewest(List<Length> pieces, Length stick) {
        double inches = pieces.stream().mapToDouble(Length::inches).sum();
        return (int) Math.ceil(inches / stick.inches() - 1e-9);
    }

    /** Conduit in the pieces. */
    public Length used() {
        return sticks.stream()
                .flatMap(each -> each.cuts().stream())
                .map(Cut::length)
                .reduce(Length.ZERO, Length::plus);
    }

    /** Conduit left over, in offcuts. */
    public Length offcuts() {
        return sticks.stream().map(Stick::offcut).reduce(Length.ZERO, Length::plus);
    }
}
