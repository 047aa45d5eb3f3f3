package lobrik.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.fit.LeastSquares;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Tolerance;

/**
 * Tries out what can be done with a piece: every choice of bends to open or close, of ends to cut, with a dog leg taken out
 * or not. For each choice the amounts are solved so that the largest deviation, in tolerances, is small; they are rounded to
 * what hands can do; then the piece is simulated once more.
 */
final class Workbench {

    /** Nobody bends to less than half a degree. */
    private static final double HALF_DEGREE = 0.5;

    private static final double DEGREE_STEP = 0.01;
    private static final double INCH_STEP = 0.001;
    private static final double DONE = 1e-4;

    /** How many bends are put back into the shoe at most; a piece that wants more is bent anew. */
    private static final int MOST_REBENT = 4;

    /** Deviations are raised to this power before they are squared: nearly the largest alone counts. */
    private static final int POWER = 4;

    /** What an amount costs against a deviation, so that amounts that change nothing stay nothing. */
    private static final double RELUCTANCE = 0.002;

    private final Advice.Piecework work;
    private final Piece made;
    private final Map<FeatureId, Quantity> before;
    private final List<PlannedFeature> judged;
    private final Attempted asIs;

    /** Which amounts are free: one for each bend that is worked on, then the ends that are cut. */
    private record Choice(List<Integer> bends, boolean datum, boolean far, boolean untwisted) {
        int free() {
            return bends.size() + (datum ? 1 : 0) + (far ? 1 : 0);
        }

        int actions() {
            return free() + (untwisted ? 1 : 0);
        }
    }

    Workbench(Advice.Piecework work, Piece made) {
        this.work = work;
        this.made = made;
        this.before = values(made).orElse(Map.of());
        this.judged = work.layout().features().stream()
                .filter(feature -> feature.id().isOfFinishedPiece()
                        && work.readings().containsKey(feature.id())
                        && before.containsKey(feature.id()))
                .toList();
        this.asIs = attempted(List.of(), work.readings());
    }

    Attempted asIs() {
        return asIs;
    }

    /** The best of all that can be done, with as few steps as do it; doing nothing is among it. */
    Attempted best() {
        Attempted best = asIs;
        for (Choice choice : choices()) {
            if (best.outside() == 0 && choice.actions() > best.steps().size()) {
                // More work cannot save more.
                break;
            }
            Optional<Attempted> tried = tried(choice);
            if (tried.isPresent()
                    && tried.get().isNotWorseThan(asIs)
                    && Attempted.BEST_FIRST.compare(tried.get(), best) < 0) {
                best = tried.get();
            }
        }
        return best;
    }

    private List<Choice> choices() {
        List<Integer> worth = worthWorkingOn();
        boolean twisted = twist().count() != 0;
        List<Choice> choices = new ArrayList<>();
        for (int subset = 0; subset < 1 << worth.size(); subset++) {
            List<Integer> chosen = new ArrayList<>();
            for (int bend = 0; bend < worth.size(); bend++) {
                if ((subset >> bend & 1) == 1) {
                    chosen.add(worth.get(bend));
                }
            }
            for (int ends = 0; ends < 4; ends++) {
                boolean datum = (ends & 1) == 1;
                boolean far = (ends & 2) == 2;
                choices.add(new Choice(chosen, datum, far, false));
                if (twisted) {
                    choices.add(new Choice(chosen, datum, far, true));
                }
            }
        }
        choices.sort(Comparator.comparingInt(Choice::actions));
        return choices;
    }

    /** The bends, from the datum end; of more than a hand counts, those that are furthest off. */
    private List<Integer> worthWorkingOn() {
        List<Integer> bends = new ArrayList<>();
        for (int bend = 0; bend < made.bends().size(); bend++) {
            bends.add(bend);
        }
        bends.sort(Comparator.comparingLong(bend -> -off(bend)));
        List<Integer> worst = new ArrayList<>(bends.subList(0, Math.min(MOST_REBENT, bends.size())));
        worst.sort(Comparator.naturalOrder());
        return worst;
    }

    private long off(int bend) {
        Angle planned = work.layout().marks().get(bend).angle();
        return Math.abs(made.bends().get(bend).angle().minus(planned).count());
    }

    private Optional<Attempted> tried(Choice choice) {
        double[] steps = new double[choice.free()];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = i < choice.bends().size() ? DEGREE_STEP : INCH_STEP;
        }
        if (steps.length == 0) {
            return choice.untwisted() ? evaluated(choice, steps) : Optional.empty();
        }
        return new LeastSquares(amounts -> deviations(choice, amounts, 1), steps, DONE)
                .from(new double[steps.length])
                .flatMap(start ->
                        new LeastSquares(amounts -> deviations(choice, amounts, POWER), steps, DONE).from(start))
                .flatMap(amounts -> evaluated(choice, amounts));
    }

    /** Deviations of the reworked piece in tolerances, raised to a power that keeps their sign; then the amounts. */
    private Optional<double[]> deviations(Choice choice, double[] amounts, int power) {
        return after(choice, amounts).map(values -> {
            double[] all = new double[judged.size() + amounts.length];
            for (int i = 0; i < judged.size(); i++) {
                double ratio = ratio(judged.get(i), values);
                all[i] = Math.signum(ratio) * Math.pow(Math.abs(ratio), power);
            }
            for (int i = 0; i < amounts.length; i++) {
                all[judged.size() + i] = RELUCTANCE * amounts[i];
            }
            return all;
        });
    }

    private double ratio(PlannedFeature feature, Map<FeatureId, Quantity> values) {
        Quantity off = values.getOrDefault(feature.id(), target(feature)).minus(target(feature));
        return (double) off.count() / tolerance(feature.id()).on(off).count();
    }

    private Quantity target(PlannedFeature feature) {
        return work.yardstick().target(feature);
    }

    private Tolerance tolerance(FeatureId feature) {
        return work.tolerances().of(kind(), feature);
    }

    private BendKind kind() {
        return work.layout().job().bend().kind();
    }

    /** Rounds the amounts to what hands can do; empty where that is more than may be done, or nothing at all. */
    private Optional<Attempted> evaluated(Choice choice, double[] amounts) {
        double[] rounded = new double[amounts.length];
        List<RemedyStep> steps = new ArrayList<>();
        if (choice.untwisted()) {
            steps.add(new RemedyStep.Untwist(made.bends().size(), twist()));
        }
        for (int i = 0; i < choice.bends().size(); i++) {
            rounded[i] = Math.rint(amounts[i] / HALF_DEGREE) * HALF_DEGREE;
            Angle by = Angle.ofDegrees(rounded[i]);
            if (rounded[i] == 0 || !isAllowed(by)) {
                return Optional.empty();
            }
            steps.add(new RemedyStep.Rebend(choice.bends().get(i) + 1, by));
        }
        for (int i = choice.bends().size(); i < amounts.length; i++) {
            Length off = Length.ofInches(amounts[i]).nearest(TapeDivision.SIXTEENTH);
            if (!off.isPositive()) {
                return Optional.empty();
            }
            rounded[i] = off.inches();
            boolean datum = choice.datum() && i == choice.bends().size();
            steps.add(new RemedyStep.Trim(datum ? RemedyStep.End.DATUM : RemedyStep.End.FAR, off));
        }
        return after(choice, rounded).map(values -> attempted(steps, values));
    }

    private boolean isAllowed(Angle by) {
        return by.count() < 0
                ? !Angle.ZERO.minus(by).isMoreThan(work.tolerances().rebending().mostEased())
                : !by.isMoreThan(work.tolerances().rebending().mostAdded());
    }

    private Attempted attempted(List<RemedyStep> steps, Map<FeatureId, Quantity> values) {
        List<Advice.Predicted> predicted = new ArrayList<>();
        double worst = 0;
        for (PlannedFeature feature : judged) {
            FeatureId id = feature.id();
            Quantity after = values.getOrDefault(id, target(feature));
            Judged now = reading(feature, read(id))
                    .judged(work.tolerances().judging().scheme());
            Judged then =
                    reading(feature, after).judged(work.tolerances().judging().scheme());
            predicted.add(new Advice.Predicted(id, target(feature), now, then, after));
            worst = Math.max(worst, Math.abs(ratio(feature, values)));
        }
        return Attempted.of(List.copyOf(steps), List.copyOf(predicted), work.tolerances(), worst);
    }

    private Reading reading(PlannedFeature feature, Quantity value) {
        return Reading.of(kind(), feature.id(), target(feature), value, work.tolerances());
    }

    private Quantity read(FeatureId feature) {
        Quantity read = work.readings().get(feature);
        if (read == null) {
            throw new IllegalArgumentException(feature.id() + " was not read");
        }
        return read;
    }

    /** A dog leg is drawn at the last bend. */
    private Angle twist() {
        int last = made.bends().size() - 1;
        return work.readings().get(FeatureId.DOG_LEG) instanceof Angle read && read.isMoreThan(Angle.ZERO) && last > 0
                ? read
                : Angle.ZERO;
    }

    /** What would be read after the work: what was read, changed by what the simulation changes. */
    private Optional<Map<FeatureId, Quantity>> after(Choice choice, double[] amounts) {
        return reworked(choice, amounts).flatMap(this::values).map(values -> {
            Map<FeatureId, Quantity> after = new TreeMap<>();
            for (PlannedFeature feature : judged) {
                FeatureId id = feature.id();
                Quantity then = values.get(id);
                Quantity now = before.get(id);
                if (then != null && now != null) {
                    Quantity change = then.minus(now);
                    Quantity read = read(id);
                    Quantity expected = read.withCount(read.count() + change.count());
                    boolean unsigned = !id.isSigned() && expected.count() < 0;
                    after.put(id, unsigned ? expected.withCount(0) : expected);
                }
            }
            return after;
        });
    }

    private Optional<Piece> reworked(Choice choice, double[] amounts) {
        int next = choice.bends().size();
        Length datum = choice.datum() ? Length.ofInches(Math.max(0, amounts[next])) : Length.ZERO;
        next += choice.datum() ? 1 : 0;
        Length far = choice.far() ? Length.ofInches(Math.max(0, amounts[next])) : Length.ZERO;
        List<BendMade> bends = new ArrayList<>();
        for (int i = 0; i < made.bends().size(); i++) {
            BendMade bend = made.bends().get(i);
            int chosen = choice.bends().indexOf(i);
            Angle angle = chosen < 0 ? bend.angle() : bend.angle().plus(Angle.ofDegrees(amounts[chosen]));
            boolean straightened = choice.untwisted() && i == made.bends().size() - 1;
            Angle roll = straightened ? bend.roll().minus(twist()) : bend.roll();
            bends.add(new BendMade(bend.position().minus(datum), bend.placing(), angle, roll));
        }
        try {
            return Optional.of(
                    Piece.simulate(made.tooling(), made.length().minus(datum).minus(far), bends));
        } catch (Refused | IllegalArgumentException notPossible) {
            return Optional.empty();
        }
    }

    private Optional<Map<FeatureId, Quantity>> values(Piece piece) {
        try {
            Map<FeatureId, Quantity> values = new TreeMap<>();
            for (Feature feature : Features.of(work.layout().job().bend(), piece)) {
                values.put(feature.id(), feature.value());
            }
            return Optional.of(values);
        } catch (Refused notANinety) {
            return Optional.empty();
        }
    }
}
