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
 * Which pieces are cut from which stick. Pieces go, the longest first, into the first one that is begun and has room, else
 * into the shortest left-over that holds them, else into a new stick (first fit decreasing: without left-overs never more than
 * 11/9 of the fewest sticks and one), and each cut loses the saw's kerf.
 *
 * @param sticks and left-overs in the order in which they are cut
 * @param fewest sticks that the lengths alone would need, had nothing been left over; the plan may need more
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

    /**
     * A stick, or what is left of one, with what is cut from it and what is left.
     *
     * @param isLeftOver whether it is one of earlier work
     */
    public record Stick(Length length, boolean isLeftOver, List<Cut> cuts, Length offcut) {}

    private static final class Begun {

        private final Length length;
        private final boolean isLeftOver;
        private final List<Cut> cuts = new ArrayList<>();
        private Length left;

        Begun(Length length, boolean isLeftOver) {
            this.length = length;
            this.isLeftOver = isLeftOver;
            this.left = length;
        }

        boolean holds(Cut cut) {
            return !left.isLessThan(cut.length());
        }

        void take(Cut cut, Length kerf) {
            cuts.add(cut);
            // The last cut may leave less than a kerf: then there is nothing left to saw off.
            left = left.minus(cut.length()).minus(kerf).max(Length.ZERO);
        }

        Stick planned() {
            return new Stick(length, isLeftOver, List.copyOf(cuts), left);
        }
    }

    /**
     * Plans the cuts from sticks alone.
     *
     * @param pieces lengths to cut, each more than 0
     * @throws Refused if a piece is longer than a stick
     */
    public static ConduitPlan of(List<Length> pieces, Length stick, Length kerf) {
        return of(pieces, stick, kerf, List.of());
    }

    /**
     * Plans the cuts.
     *
     * @param pieces lengths to cut, each more than 0
     * @param leftOvers of earlier work, which are used first
     * @throws Refused if a piece is longer than a stick
     */
    public static ConduitPlan of(List<Length> pieces, Length stick, Length kerf, List<Length> leftOvers) {
        List<Cut> longestFirst = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            requireFits(pieces.get(i), stick);
            longestFirst.add(new Cut(i, pieces.get(i)));
        }
        longestFirst.sort(Comparator.comparing(Cut::length).reversed());
        List<Length> rack = new ArrayList<>(leftOvers);
        List<Begun> begun = new ArrayList<>();
        for (Cut cut : longestFirst) {
            Begun from =
                    begun.stream().filter(each -> each.holds(cut)).findFirst().orElse(null);
            if (from == null) {
                from = next(cut, stick, rack);
                begun.add(from);
            }
            from.take(cut, kerf);
        }
        List<Stick> sticks = begun.stream().map(Begun::planned).toList();
        return new ConduitPlan(stick, kerf, sticks, fewest(pieces, stick));
    }

    /** The shortest left-over that holds a piece, taken off the rack; else a stick. */
    private static Begun next(Cut cut, Length stick, List<Length> rack) {
        return rack.stream()
                .filter(each -> !each.isLessThan(cut.length()))
                .min(Comparator.naturalOrder())
                .map(each -> {
                    rack.remove(each);
                    return new Begun(each, true);
                })
                .orElseGet(() -> new Begun(stick, false));
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

    /** New sticks that it takes. */
    public int newSticks() {
        return (int) sticks.stream().filter(each -> !each.isLeftOver()).count();
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
