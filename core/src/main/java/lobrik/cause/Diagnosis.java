package lobrik.cause;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import lobrik.cause.Fitting.Fitted;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.verdict.InspectionPoint;

/**
 * What most likely went wrong with a piece.
 *
 * @param causes by the probability that they played a part, most probable first, and of those that are as good as equally
 *     probable what was done first; among them {@code none} and {@code no-clear-cause}
 * @param explanations by their probability, most probable first; they exclude one another
 * @param further the reading that would decide best between them, if one would
 */
public record Diagnosis(
        Case seen, List<Cause> causes, List<Explanation> explanations, Optional<FurtherReading> further) {

    /** What is less probable is not worth a line. */
    private static final double NEGLIGIBLE = 1e-4;

    /** A cause that is less probable than this is not claimed. */
    public static final double CLEAR = 0.5;

    /** The part of a dog leg's probability that one bend must have to be named. */
    private static final double LOCATED = 0.8;

    /** Pairs that fall this far behind the best explanation, in natural logarithms, are not looked at. */
    private static final double FAR_BEHIND = 6;

    /** So far behind, in natural logarithms, is what a curve cannot make up for where a straight line has lost. */
    private static final double HOPELESS = 60;

    /** How often somebody has the right figure on the sheet and forgets on the conduit what made it right. */
    private static final double WORKED_RIGHT = 0.2;

    /** How surely a bender still adds to this piece what it is known to add: it may have been put right since. */
    private static final double STILL_ADDS = 0.95;

    /** For each stage of the work that a cause is later than another, it has to be so much more probable to be named before it. */
    private static final double LATER = 0.005;

    /** How far off a reading is when nobody knows why. */
    private static final double UNKNOWN_LENGTH = 0.75;

    private static final double UNKNOWN_ANGLE = 4;
    private static final double UNKNOWN_PERCENTAGE = 8;

    /** Finds the causes. */
    public static Diagnosis of(Case seen) {
        return new Search(seen).run();
    }

    /** The cause that is clear: a fault, or that nothing went wrong; empty where nothing stands out. */
    public Optional<Cause> clear() {
        return Optional.of(causes.getFirst())
                .filter(cause -> cause.id() != CauseId.UNCLEAR && cause.probability() >= CLEAR);
    }

    private static final class Search {

        private final Case seen;
        private final Scene scene;
        private final Fitting fitting;
        private final List<Weighed> weighed = new ArrayList<>();

        /** An explanation before probabilities are known; {@code log} is the natural logarithm of its weight. */
        private record Weighed(Optional<Fitted> fitted, double log) {}

        Search(Case seen) {
            this.seen = seen;
            this.scene = new Scene(seen);
            this.fitting = new Fitting(scene);
        }

        Diagnosis run() {
            boolean benderAdds = seen.bender().isThere();
            Hypothesis nothing = Hypothesis.of(benderAdds ? CauseId.BENDER : CauseId.NONE, 0, "", 1, (_, _) -> {});
            Fitted asPlanned = fitting.fit(List.of(nothing)).orElseThrow();
            weighNothing(asPlanned, benderAdds ? STILL_ADDS : 1);
            if (benderAdds) {
                Hypothesis mended = Hypothesis.of(CauseId.NONE, 0, "", 1, (making, _) -> making.withoutBender = true);
                weighNothing(fitting.fit(List.of(mended)).orElseThrow(), 1 - STILL_ADDS);
            }
            double unclear = Math.log(seen.priors().unclear()) + unclear(asPlanned);
            weighed.add(new Weighed(Optional.empty(), unclear));
            Pairs pairs = new Pairs(scene, asPlanned);
            Prior prior = new Prior(hypotheses());
            prior.hypotheses().stream()
                    .filter(hypothesis -> hypothesis.free().isEmpty())
                    .forEach(hypothesis -> fitting.fit(List.of(hypothesis))
                            .ifPresent(fitted -> take(fitted, prior.log(hypothesis), pairs, asPlanned)));
            prior.hypotheses().stream()
                    .filter(hypothesis -> hypothesis.free().isPresent())
                    .forEach(hypothesis -> fitted(hypothesis, prior.log(hypothesis), pairs, asPlanned));
            pairs(pairs, prior);
            return told();
        }

        private void weighNothing(Fitted nothing, double howOften) {
            double log = Math.log(seen.priors().none() * howOften);
            weighed.add(new Weighed(Optional.of(nothing), log + nothing.logEvidence()));
        }

        private void take(Fitted fitted, double logPrior, Pairs pairs, Fitted asPlanned) {
            weighed.add(new Weighed(Optional.of(fitted), logPrior + fitted.logEvidence()));
            pairs.add(fitted, asPlanned, logPrior);
        }

        /** Fits a figure, unless a first look says that no figure can make it worth that; then it still may go with another. */
        private void fitted(Hypothesis hypothesis, double logPrior, Pairs pairs, Fitted asPlanned) {
            Optional<Fitted> look = fitting.look(hypothesis);
            if (look.isPresent() && pairs.alone(look.get(), asPlanned, logPrior) < best() - HOPELESS) {
                pairs.add(look.get(), asPlanned, logPrior);
                return;
            }
            fitting.fit(List.of(hypothesis)).ifPresent(fitted -> take(fitted, logPrior, pairs, asPlanned));
        }

        private double best() {
            return weighed.stream().mapToDouble(Weighed::log).max().orElseThrow();
        }

        /** Simulates the pairs that may be likelier than what is known so far, the likeliest first. */
        private void pairs(Pairs pairs, Prior prior) {
            double best = best();
            double pair = Math.log(seen.priors().pair());
            for (Pairs.Guess guess : pairs.worthwhile(best - FAR_BEHIND - pair)) {
                if (guess.log() + pair < best - FAR_BEHIND) {
                    break;
                }
                List<Hypothesis> both = guess.hypotheses();
                double log = pair + prior.log(both.getFirst()) + prior.log(both.getLast());
                Optional<Fitted> fitted = fitting.fit(both);
                if (fitted.isPresent()) {
                    weighed.add(new Weighed(fitted, log + fitted.get().logEvidence()));
                    best = Math.max(best, log + fitted.get().logEvidence());
                }
            }
        }

        private List<Hypothesis> hypotheses() {
            List<Hypothesis> all = new ArrayList<>(MarkHypotheses.of(seen));
            if (!seen.own().isEmpty()) {
                List<Hypothesis> workedRight = all.stream()
                        .filter(hypothesis -> hypothesis.cause().stage() == CauseId.Stage.ARITHMETIC
                                && hypothesis.cause() != CauseId.FIGURE_WRONG)
                        .map(hypothesis -> hypothesis.workedRight(WORKED_RIGHT))
                        .toList();
                all.addAll(workedRight);
            }
            all.addAll(BendHypotheses.of(seen.layout(), seen.readings().keySet()));
            if (seen.faulty().contains(InspectionPoint.SCORCH)) {
                all.add(FormerHypotheses.tooHot());
            }
            return List.copyOf(all);
        }

        /** Shares what the faults have together by how common they are. */
        private final class Prior {

            private final List<Hypothesis> hypotheses;
            private final Map<CauseId, Double> ofCause = new EnumMap<>(CauseId.class);
            private final double all;

            Prior(List<Hypothesis> hypotheses) {
                this.hypotheses = hypotheses;
                hypotheses.forEach(hypothesis -> ofCause.merge(hypothesis.cause(), hypothesis.weight(), Double::sum));
                this.all = ofCause.keySet().stream()
                        .mapToDouble(seen.priors()::weight)
                        .sum();
            }

            List<Hypothesis> hypotheses() {
                return hypotheses;
            }

            double log(Hypothesis hypothesis) {
                double faults = 1 - seen.priors().none() - seen.priors().unclear();
                double cause = seen.priors().weight(hypothesis.cause()) / all;
                double share = hypothesis.weight() / ofCause.getOrDefault(hypothesis.cause(), 1.0);
                return Math.log(faults * cause * share) + Findings.log(hypothesis.cause(), seen.faulty());
            }
        }

        /** Every reading is off by itself, as far as pieces are when something unknown happened. */
        private double unclear(Fitted asPlanned) {
            double log = 0;
            for (int i = 0; i < scene.size(); i++) {
                Scene.Slot slot = scene.slots().get(i);
                double spread = unknown(slot.feature().measured());
                double variance = slot.sigma() * slot.sigma();
                double off = slot.read() - asPlanned.predicted(i);
                log -= 0.5 * Math.log((variance + spread * spread) / variance)
                        + 0.5 * off * off / (variance + spread * spread);
            }
            return log;
        }

        private static double unknown(QuantityKind measured) {
            return switch (measured) {
                case LENGTH -> UNKNOWN_LENGTH;
                case ANGLE -> UNKNOWN_ANGLE;
                case PERCENTAGE -> UNKNOWN_PERCENTAGE;
            };
        }

        private Diagnosis told() {
            double best = best();
            double sum = weighed.stream()
                    .mapToDouble(each -> Math.exp(each.log() - best))
                    .sum();
            List<Explanation> explanations = weighed.stream()
                    .filter(each -> Math.exp(each.log() - best) / sum >= NEGLIGIBLE)
                    .sorted(Comparator.comparingDouble(Weighed::log).reversed())
                    .map(each -> explanation(each, Math.exp(each.log() - best) / sum))
                    .toList();
            return new Diagnosis(seen, causes(explanations), explanations, FurtherReading.of(seen, explanations));
        }

        private Explanation explanation(Weighed each, double probability) {
            if (each.fitted().isEmpty()) {
                Cause unclear = new Cause(CauseId.UNCLEAR, OptionalInt.empty(), Optional.empty(), "", probability);
                return new Explanation(List.of(unclear), probability, Map.of(), Map.of());
            }
            Fitted fitted = each.fitted().get();
            List<Cause> causes = new ArrayList<>();
            for (int i = 0; i < fitted.hypotheses().size(); i++) {
                causes.add(cause(fitted.hypotheses().get(i), fitted.amount(i), probability));
            }
            Map<FeatureId, Double> predicted = new TreeMap<>();
            for (int i = 0; i < scene.size(); i++) {
                predicted.putIfAbsent(scene.slots().get(i).feature(), fitted.predicted(i));
            }
            return new Explanation(causes, probability, predicted, scene.unread(fitted.making()));
        }

        private static Cause cause(Hypothesis hypothesis, double fitted, double probability) {
            double amount = hypothesis.fixed().orElse(fitted);
            Optional<Quantity> quantity =
                    hypothesis.fixed().isEmpty() && hypothesis.free().isEmpty()
                            ? Optional.empty()
                            : switch (hypothesis.cause().unit()) {
                                case LENGTH -> Optional.of(Length.ofInches(amount));
                                case ANGLE ->
                                    Optional.of(Angle.ofDegrees(
                                            hypothesis.cause() == CauseId.DOG_LEG ? Math.abs(amount) : amount));
                                case NONE -> Optional.empty();
                            };
            OptionalInt bend = hypothesis.bend() == 0 ? OptionalInt.empty() : OptionalInt.of(hypothesis.bend());
            return new Cause(hypothesis.cause(), bend, quantity, hypothesis.detail(), probability);
        }

        /** Every cause once, with the probabilities of all explanations that it is a part of. */
        private static List<Cause> causes(List<Explanation> explanations) {
            List<Cause> causes = new ArrayList<>();
            for (Explanation explanation : explanations) {
                for (Cause cause : explanation.causes()) {
                    int known = indexOf(causes, cause);
                    if (known < 0) {
                        causes.add(cause);
                    } else {
                        Cause before = causes.get(known);
                        causes.set(known, before.with(Math.min(1, before.probability() + cause.probability())));
                    }
                }
            }
            causes.replaceAll(cause -> cause.id() == CauseId.DOG_LEG ? located(cause, explanations) : cause);
            // Of two that happened together, what was done first is told first.
            causes.sort(Comparator.comparingDouble(Search::rank).reversed());
            return List.copyOf(causes);
        }

        /** With its bend only where most of its probability lies at that one. */
        private static Cause located(Cause dogLeg, List<Explanation> explanations) {
            double here = explanations.stream()
                    .filter(each -> each.causes().stream()
                            .anyMatch(cause -> cause.id() == CauseId.DOG_LEG
                                    && cause.bend().equals(dogLeg.bend())))
                    .mapToDouble(Explanation::probability)
                    .sum();
            return here >= LOCATED * dogLeg.probability() ? dogLeg : dogLeg.somewhere();
        }

        private static double rank(Cause cause) {
            return cause.probability() - LATER * cause.id().stage().order();
        }

        private static int indexOf(List<Cause> causes, Cause cause) {
            for (int i = 0; i < causes.size(); i++) {
                if (causes.get(i).isSameAs(cause)) {
                    return i;
                }
            }
            return -1;
        }
    }
}
