package lobrik.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Input;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.Role;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.Cure;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Job;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.MultiplierChart;
import lobrik.layout.Review;
import lobrik.measure.Angle;
import lobrik.shape.Obstacle;
import lobrik.shop.AngleLines;
import lobrik.verdict.MethodShare.Grade;

/**
 * What is known of an exercise before it is given out: where the right piece itself misses what is asked, and what to change
 * so that it does not.
 *
 * @param shares of all finished dimensions
 * @param gap what the right piece lacks of the room it should leave; empty where there is nothing to clear
 * @param cures each alone was tried: with it the worst that is left is less than it was
 */
public record Foresight(List<MethodShare> shares, Optional<GapShare> gap, List<Cure> cures) {

    private static final int MOST_CURES = 5;

    /**
     * Looks ahead.
     *
     * @param obstacle to clear; without one, what the bend's own inputs say
     * @param others sets of tolerances that could be taken instead, by name, in the order in which they are offered
     * @throws Refused as impossible where no marks can give what is asked
     */
    public static Foresight of(
            Job job, Optional<Obstacle> obstacle, Tolerances tolerances, Map<String, Tolerances> others) {
        Foresight seen = without(Layout.of(job), obstacle, tolerances);
        return seen.worst() == Grade.SLIGHT
                ? seen
                : new Foresight(
                        seen.shares(), seen.gap(), new Search(job, obstacle, tolerances, seen.worst()).cures(others));
    }

    /** How much the largest miss of a layout matters. */
    public static Grade worst(Layout layout, Optional<Obstacle> obstacle, Tolerances tolerances) {
        return without(layout, obstacle, tolerances).worst();
    }

    private static Foresight without(Layout layout, Optional<Obstacle> obstacle, Tolerances tolerances) {
        return new Foresight(
                MethodShare.of(layout, tolerances), GapShare.of(layout, obstacle, tolerances.length()), List.of());
    }

    /** How much the largest miss matters. */
    public Grade worst() {
        return shares.stream()
                .map(MethodShare::grade)
                .max(Comparator.naturalOrder())
                .filter(grade -> grade.compareTo(gapGrade()) > 0)
                .orElse(gapGrade());
    }

    private Grade gapGrade() {
        return gap.map(GapShare::grade).orElse(Grade.SLIGHT);
    }

    /** Tries what an instructor would: exact layout, another mark of the shoe, another angle, another set of tolerances. */
    private record Search(Job job, Optional<Obstacle> obstacle, Tolerances tolerances, Grade now) {

        /** Something to try. */
        private record Try(Cure cure, Job job, Tolerances tolerances) {}

        List<Cure> cures(Map<String, Tolerances> others) {
            List<Cure> clean = new ArrayList<>();
            List<Cure> better = new ArrayList<>();
            Set<FaultCode> known = Review.concerns(Layout.of(job), obstacle);
            for (Try each : tries(others)) {
                worst(each, known).ifPresent(worst -> {
                    if (worst == Grade.SLIGHT) {
                        clean.add(each.cure());
                    } else if (worst.compareTo(now) < 0) {
                        better.add(each.cure());
                    }
                });
            }
            List<Cure> cures = oneEach(clean.isEmpty() ? better : clean);
            return List.copyOf(cures.subList(0, Math.min(MOST_CURES, cures.size())));
        }

        /** Of several sizes of one input, the first: tries are in the order of their nearness. */
        private static List<Cure> oneEach(List<Cure> all) {
            List<Cure> cures = new ArrayList<>();
            for (Cure cure : all) {
                if (cures.stream().noneMatch(before -> before.input().equals(cure.input()))) {
                    cures.add(cure);
                }
            }
            return cures;
        }

        /** The worst that is left; empty where it cannot be laid out, or where something else would be wrong with it. */
        private Optional<Grade> worst(Try each, Set<FaultCode> known) {
            try {
                Layout layout = Layout.of(each.job());
                return known.containsAll(Review.concerns(layout, obstacle))
                        ? Optional.of(
                                without(layout, obstacle, each.tolerances()).worst())
                        : Optional.empty();
            } catch (Refused notLikeThat) {
                return Optional.empty();
            }
        }

        private List<Try> tries(Map<String, Tolerances> others) {
            List<Try> tries = new ArrayList<>();
            if (job.school().method() == Method.CHART) {
                tries.add(new Try(
                        new Cure.Choice("method", "lay it out exactly", "exact"), job.by(Method.EXACT), tolerances));
            }
            otherMark().ifPresent(tries::add);
            tries.addAll(otherAngles());
            others.forEach((name, other) -> tries.add(
                    new Try(new Cure.Choice("tolerances/preset", "judge it by “" + name + "”", name), job, other)));
            return tries;
        }

        private Optional<Try> otherMark() {
            return switch (job.bend()) {
                case Stub90 stub -> {
                    Placement other = other(stub.placement());
                    yield Optional.of(placed(new Stub90(stub.leg(), stub.otherLeg(), other), other));
                }
                case Saddle4 saddle -> {
                    Placement other = other(saddle.placement());
                    yield Optional.of(placed(saddle.placedBy(other), other));
                }
                case Saddle3 saddle -> Optional.of(spaced(saddle));
                case BackToBack90 _, Offset _, BoxOffset _, RollingOffset _, Kick _, OverBent90 _, Run _ ->
                    Optional.empty();
            };
        }

        private static Placement other(Placement placement) {
            return placement == Placement.ARROW ? Placement.STAR : Placement.ARROW;
        }

        private Try placed(Bend bend, Placement placement) {
            String option = placement == Placement.ARROW ? "arrow" : "star";
            return new Try(
                    new Cure.Choice("bend/placement", "place it by the " + option, option), job.with(bend), tolerances);
        }

        private Try spaced(Saddle3 saddle) {
            boolean byFactor = saddle.spacing() == Saddle3.Spacing.FACTOR;
            Saddle3 other = new Saddle3(
                    saddle.height(),
                    saddle.clearance(),
                    saddle.outerAngle(),
                    saddle.centre(),
                    byFactor ? Saddle3.Spacing.COSECANT : Saddle3.Spacing.FACTOR,
                    saddle.order(),
                    saddle.overall());
            return new Try(
                    new Cure.Choice(
                            "bend/spacing",
                            byFactor ? "space it by the multiplier" : "space it by 2.5 times the height",
                            byFactor ? "cosecant" : "factor"),
                    job.with(other),
                    tolerances);
        }

        /** The angles of the card, those that the shoe has lines for first, the nearest of them before the others. */
        private List<Try> otherAngles() {
            List<Try> tries = new ArrayList<>();
            for (Input input : Input.of(job.bend())) {
                if (input.field().role() != Role.ANGLE) {
                    continue;
                }
                job.school().chart().rows().stream()
                        .map(MultiplierChart.Row::angle)
                        .filter(angle -> angle.count() != input.current().count())
                        .sorted(Comparator.comparing((Angle angle) -> !AngleLines.has(angle))
                                .thenComparingLong(angle ->
                                        Math.abs(angle.count() - input.current().count())))
                        .forEach(angle -> changed(input, angle)
                                .ifPresent(bend -> tries.add(new Try(
                                        new Cure.Size(
                                                "bend/" + input.path(),
                                                "make " + input.words() + " " + angle.text(),
                                                angle),
                                        job.with(bend),
                                        tolerances))));
            }
            return tries;
        }

        private static Optional<Bend> changed(Input input, Angle angle) {
            try {
                return Optional.of(input.with().apply(angle));
            } catch (Refused outOfRange) {
                return Optional.empty();
            }
        }
    }
}
