package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lobrik.bend.Run;
import lobrik.derivation.Derivation;
import lobrik.derivation.Part;
import lobrik.layout.Layout;
import lobrik.measure.Length;

/** What goes wrong with the figures of a run: each is its derivation worked out with a part of it forgotten, or taken for another. */
final class RunHypotheses {

    /** Seldom is only one of marks and cut worked out wrong: both come of the same column of figures. */
    private static final double MARKS_ALONE = 0.3;

    private static final double CUT_ALONE = 0.2;

    /** Legs that differ by less are the same to a tape. */
    private static final double SAME_LEGS = 1.0 / 32;

    private final Run run;
    private final Layout layout;
    private final Misworked misworked;
    private final List<Hypothesis> all = new ArrayList<>();

    private RunHypotheses(Run run, Layout layout, Misworked misworked) {
        this.run = run;
        this.layout = layout;
        this.misworked = misworked;
    }

    static List<Hypothesis> of(Run run, Layout layout, Misworked misworked) {
        RunHypotheses hypotheses = new RunHypotheses(run, layout, misworked);
        hypotheses.gains();
        hypotheses.legs();
        hypotheses.play();
        hypotheses.insertions();
        return hypotheses.all;
    }

    /** At one corner, or at all of them. */
    private void gains() {
        int corners = run.legs().size() - 1;
        omitted(CauseId.GAIN_OMITTED, "every corner", 0, 1, worked(Part.GAIN, Optional.empty()));
        if (corners > 1) {
            for (int corner = 1; corner <= corners; corner++) {
                omitted(
                        CauseId.GAIN_OMITTED,
                        "corner " + corner,
                        0,
                        1.0 / corners,
                        worked(Part.GAIN, Optional.of(corner)));
            }
        }
    }

    private void legs() {
        for (int one = 1; one < run.legs().size(); one++) {
            for (int other = one + 1; other <= run.legs().size(); other++) {
                Length first = run.legs().get(one - 1).measured().length();
                Length second = run.legs().get(other - 1).measured().length();
                if (Math.abs(first.minus(second).inches()) > SAME_LEGS) {
                    exchanged(one, first, other, second);
                }
            }
        }
    }

    private void exchanged(int one, Length first, int other, Length second) {
        Derivation.Outcome wrong = layout.derivation().with((part, leg, figure) -> {
            if (part != Part.LEG) {
                return figure;
            }
            if (leg == one) {
                return second;
            }
            return leg == other ? first : figure;
        });
        omitted(CauseId.LEGS_EXCHANGED, "legs " + one + " and " + other, 0, 1, wrong);
    }

    private void play() {
        for (int leg = 1; leg <= run.legs().size(); leg++) {
            Length play = run.legs().get(leg - 1).play();
            if (play.isPositive()) {
                omitted(CauseId.PLAY_OMITTED, "leg " + leg, play.inches(), 1, worked(Part.PLAY, Optional.of(leg)));
            }
        }
    }

    private void insertions() {
        insertion(1, run.startInsertion());
        insertion(2, run.endInsertion());
        if (run.startInsertion().isPositive() && run.endInsertion().isPositive()) {
            Length both = run.startInsertion().plus(run.endInsertion());
            omitted(CauseId.INSERTION_OMITTED, "", both.inches(), 0.5, worked(Part.INSERTION, Optional.empty()));
        }
    }

    private void insertion(int end, Length insertion) {
        if (insertion.isPositive()) {
            omitted(CauseId.INSERTION_OMITTED, "", insertion.inches(), 1, worked(Part.INSERTION, Optional.of(end)));
        }
    }

    /** Worked out without a part: everywhere, or where it has this number. */
    private Derivation.Outcome worked(Part without, Optional<Integer> number) {
        return layout.derivation()
                .with((part, which, figure) ->
                        part == without && number.filter(only -> only != which).isEmpty() ? Length.ZERO : figure);
    }

    private void omitted(CauseId cause, String detail, double amount, double weight, Derivation.Outcome wrong) {
        double[] by = misworked.off(wrong);
        double cutBy = misworked.cutOff(wrong);
        boolean inMarks = Arrays.stream(by).anyMatch(each -> each != 0);
        add(cause, detail, amount, weight, by, cutBy);
        if (inMarks && cutBy != 0) {
            add(cause, detail, amount, MARKS_ALONE * weight, by, 0);
            add(cause, detail, amount, CUT_ALONE * weight, new double[by.length], cutBy);
        }
    }

    private void add(CauseId cause, String detail, double amount, double weight, double[] by, double cutBy) {
        misworked.by(cause, amount, weight, by, cutBy).forEach(hypothesis -> all.add(hypothesis.called(detail)));
    }
}
