package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lobrik.derivation.Derivation;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;

/**
 * Marks that were worked out wrong. Nobody knows where somebody rounded: the wrong figure once it was worked out, the error
 * itself, or nothing at all; between them lies up to a division of the tape, so each way is a hypothesis.
 */
final class Misworked {

    private static final double ROUNDED_AT_THE_END = 0.5;
    private static final double ROUNDED_ON_THE_WAY = 0.3;
    private static final double NEVER_ROUNDED = 0.2;

    private final Layout layout;
    private final TapeDivision division;
    private final Derivation.Outcome worked;

    Misworked(Layout layout) {
        this.layout = layout;
        this.division = layout.job().school().division();
        this.worked = layout.worked();
    }

    /** What each mark's figure is too much where a derivation was worked out like this, before rounding, inches. */
    double[] off(Derivation.Outcome wrong) {
        double[] by = new double[worked.marks().size()];
        for (int i = 0; i < by.length; i++) {
            by[i] = wrong.marks().get(i).minus(worked.marks().get(i)).inches();
        }
        return by;
    }

    /** What the cut length is too much, before rounding, inches; nothing where the far end stays open. */
    double cutOff(Derivation.Outcome wrong) {
        return worked.cut()
                .flatMap(right -> wrong.cut().map(cut -> cut.minus(right).inches()))
                .orElse(0.0);
    }

    /**
     * Marks that are off by this much, and a cut that is.
     *
     * @param by what each mark's figure is too much, before rounding, inches
     * @param cutBy what the cut length is too much, before rounding, inches
     */
    List<Hypothesis> by(CauseId cause, double amount, double weight, double[] by, double cutBy) {
        List<double[]> ways = List.of(atTheEnd(by), onTheWay(by), by);
        double[] weights = {ROUNDED_AT_THE_END, ROUNDED_ON_THE_WAY, NEVER_ROUNDED};
        double cut = cutBy == 0 ? 0 : cut(cutBy);
        List<Hypothesis> hypotheses = new ArrayList<>();
        for (int i = 0; i < weights.length; i++) {
            int way = i;
            boolean known = ways.subList(0, way).stream().anyMatch(other -> Arrays.equals(other, ways.get(way)));
            if (!known) {
                hypotheses.add(exactly(cause, amount, weight * weights[way], ways.get(way), cut));
            }
        }
        return hypotheses;
    }

    private double[] atTheEnd(double[] by) {
        double[] rounded = new double[by.length];
        for (int i = 0; i < by.length; i++) {
            rounded[i] = by[i] == 0
                    ? 0
                    : worked.marks()
                            .get(i)
                            .plus(Length.ofInches(by[i]))
                            .nearest(division)
                            .minus(layout.marks().get(i).position())
                            .inches();
        }
        return rounded;
    }

    private double[] onTheWay(double[] by) {
        return Arrays.stream(by)
                .map(each -> Length.ofInches(each).nearest(division).inches())
                .toArray();
    }

    private double cut(double by) {
        Optional<Length> wrong =
                worked.cut().map(cut -> cut.plus(Length.ofInches(by)).nearest(division));
        Length planned = layout.predicted().length();
        return wrong.map(cut -> cut.minus(planned).inches()).orElse(0.0);
    }

    /** Marks and cut that are off by exactly this. */
    static Hypothesis exactly(CauseId cause, double amount, double weight, double[] by, double cutBy) {
        Hypothesis.Change change = (making, _) -> {
            for (int i = 0; i < by.length; i++) {
                making.workOut(i, by[i]);
            }
            making.length += cutBy;
        };
        return amount == 0
                ? Hypothesis.of(cause, 0, "", weight, change)
                : Hypothesis.ofAmount(cause, 0, "", weight, amount, change);
    }
}
