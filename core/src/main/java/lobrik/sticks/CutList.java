package lobrik.sticks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Length;

/**
 * What is cut from what: a left-over where the shortest that holds a piece is found, else a stick, the longest pieces first, each from
 * the stick that it leaves least of. Between two pieces, and between a piece and what is left, lies the saw's cut.
 *
 * @param sticks in the order in which they are begun
 */
public record CutList(List<Cut> sticks) {

    /**
     * One stick, or left-over.
     *
     * @param isLeftOver whether it is one of an earlier job
     * @param pieces numbers of the pieces that are cut from it, from 1, in their order
     * @param left what is left of it, after the last cut
     */
    public record Cut(Length length, boolean isLeftOver, List<Integer> pieces, Length left) {

        public Cut {
            pieces = List.copyOf(pieces);
        }

        private Optional<Cut> with(int piece, Length wanted, Length kerf) {
            Length rest = left.minus(wanted);
            if (rest.isNegative()) {
                return Optional.empty();
            }
            List<Integer> all = new ArrayList<>(pieces);
            all.add(piece);
            // What is shorter than a cut goes into shavings with it.
            Length kept = rest.minus(kerf).max(Length.ZERO);
            return Optional.of(new Cut(length, isLeftOver, all, kept));
        }
    }

    public CutList {
        sticks = List.copyOf(sticks);
    }

    /**
     * Cuts pieces from stock.
     *
     * @param pieces in their order along the run; none longer than a stick
     */
    public static CutList of(List<Length> pieces, Stock stock) {
        List<Integer> longestFirst = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            longestFirst.add(i);
        }
        longestFirst.sort(Comparator.<Integer, Length>comparing(pieces::get).reversed());
        List<Length> leftOvers = new ArrayList<>(stock.leftOvers());
        List<Cut> cuts = new ArrayList<>();
        for (int piece : longestFirst) {
            Length wanted = pieces.get(piece);
            Optional<Cut> begun = tightest(cuts, wanted);
            Optional<Length> leftOver =
                    leftOvers.stream().filter(each -> !each.isLessThan(wanted)).min(Comparator.naturalOrder());
            Cut from;
            if (begun.isPresent()) {
                from = begun.get();
                cuts.remove(from);
            } else if (leftOver.isPresent()) {
                leftOvers.remove(leftOver.get());
                from = new Cut(leftOver.get(), true, List.of(), leftOver.get());
            } else {
                from = new Cut(stock.stick(), false, List.of(), stock.stick());
            }
            cuts.add(from.with(piece + 1, wanted, stock.kerf())
                    .orElseThrow(() -> new IllegalArgumentException("longer than a stick: " + wanted)));
        }
        return new CutList(cuts);
    }

    private static Optional<Cut> tightest(List<Cut> cuts, Length wanted) {
        return cuts.stream().filter(cut -> !cut.left().isLessThan(wanted)).min(Comparator.comparing(Cut::left));
    }

    /** The longest that is left of any stick: what serves another job best. */
    Length longestLeft() {
        return sticks.stream().map(Cut::left).max(Comparator.naturalOrder()).orElse(Length.ZERO);
    }
}
