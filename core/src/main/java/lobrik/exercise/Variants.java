package lobrik.exercise;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import lobrik.bend.Bend;
import lobrik.bend.Input;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Job;
import lobrik.layout.Layout;
import lobrik.layout.Review;
import lobrik.measure.Length;
import lobrik.shape.Obstacle;
import lobrik.verdict.TolerancePreset;

/**
 * Deals an exercise's variants to a row of benches. Every variant can be bent on its bender without a warning that the
 * exercise itself does not have, all are equally hard, and nobody's marks serve the two benches on either side.
 */
public final class Variants {

    /** A neighbour's marks must be further off than this: outside the widest usual tolerance, whose limit is inside. */
    public static final Length TOLD_APART =
            TolerancePreset.LEARNING.tolerances().length();

    /** How many benches to either side can be looked at. */
    public static final int NEIGHBOURS = 2;

    private static final int MOST_TRIED = 1500;

    /** What an exercise may do by the chart, and its variants then as well: they are no limits of the shoe. */
    private static final Set<FaultCode> OF_THE_CHART =
            EnumSet.of(FaultCode.ANGLE_NOT_ON_CHART, FaultCode.NOTCH_OFF_CENTRE);

    /** One of them, laid out. */
    public record Variant(Layout layout, Hardness hardness) {

        /** Whether somebody with this answer would be wrong with the other. */
        public boolean isToldApartFrom(Variant other) {
            for (int i = 0; i < layout.marks().size(); i++) {
                Length off = layout.marks()
                        .get(i)
                        .position()
                        .minus(other.layout.marks().get(i).position());
                if (off.abs().isMoreThan(TOLD_APART)) {
                    return true;
                }
            }
            return layout.cutLength()
                    .flatMap(cut -> other.layout.cutLength().map(cut::minus))
                    .filter(off -> off.abs().isMoreThan(TOLD_APART))
                    .isPresent();
        }
    }

    private final Job job;
    private final Function<Bend, Optional<Obstacle>> obstacle;
    private final List<InputRange> ranges;
    private final Chance chance;

    private Variants(Job job, Function<Bend, Optional<Obstacle>> obstacle, List<InputRange> ranges, long seed) {
        this.job = job;
        this.obstacle = obstacle;
        this.ranges = ranges;
        this.chance = new Chance(seed);
    }

    /**
     * Deals variants, bench after bench. The same question gives the same variants.
     *
     * @param job the exercise that is varied; it must be possible itself
     * @param obstacle that a variant has to clear, if it is not what its own inputs say
     * @param ranges of some inputs of the bend, each once
     * @param count how many, 1 or more
     * @throws Refused if a range is of no input of the bend, or if too few different variants lie in the ranges
     */
    public static List<Variant> deal(
            Job job, Function<Bend, Optional<Obstacle>> obstacle, List<InputRange> ranges, long seed, int count) {
        Variants variants = new Variants(job, obstacle, ranges, seed);
        variants.requireInputs();
        Layout asked = Layout.of(job);
        List<Variant> possible = variants.possible(asked);
        return variants.dealt(variants.equallyHard(possible, Hardness.of(asked)), count);
    }

    private void requireInputs() {
        Set<String> seen = new HashSet<>();
        List<String> known = Input.of(job.bend()).stream().map(Input::path).toList();
        for (InputRange range : ranges) {
            String id = range.input();
            if (!known.contains(id) || !seen.add(id)) {
                throw Refused.impossible(new Fault(
                        FaultCode.UNKNOWN_VALUE,
                        "ranges/" + id,
                        "“" + id + "” is not a size of this exercise, or given twice; there are "
                                + String.join(", ", known)));
            }
        }
        if (ranges.isEmpty()) {
            throw Refused.impossible(
                    new Fault(FaultCode.MISSING, "ranges", "name at least one size that differs between variants"));
        }
    }

    /** Laid out without a warning; all of them while they are few, else as many as are tried. */
    private List<Variant> possible(Layout asked) {
        Set<FaultCode> accepted = EnumSet.copyOf(OF_THE_CHART);
        accepted.retainAll(Review.concerns(asked, obstacle.apply(job.bend())));
        long all = ranges.stream().mapToLong(InputRange::size).reduce(1, Variants::product);
        List<Variant> possible = new ArrayList<>();
        for (long i = 0; i < Math.min(all, MOST_TRIED); i++) {
            bend(all <= MOST_TRIED ? i : -1)
                    .flatMap(bend -> laidOut(bend, accepted))
                    .ifPresent(possible::add);
        }
        return possible;
    }

    private static long product(long a, long b) {
        return a > Long.MAX_VALUE / b ? Long.MAX_VALUE : a * b;
    }

    /** The bend with this number among all, or one by chance for −1; empty where a size is outside its input's range. */
    private Optional<Bend> bend(long number) {
        long left = number;
        Bend bend = job.bend();
        for (InputRange range : ranges) {
            int index = number < 0 ? chance.below(range.size()) : (int) (left % range.size());
            left /= range.size();
            Input input = Input.of(bend).stream()
                    .filter(each -> each.path().equals(range.input()))
                    .findFirst()
                    .orElseThrow();
            try {
                bend = input.with().apply(range.at(index));
            } catch (Refused outOfRange) {
                return Optional.empty();
            }
        }
        return Optional.of(bend);
    }

    private Optional<Variant> laidOut(Bend bend, Set<FaultCode> accepted) {
        try {
            Layout layout = Layout.of(job.with(bend));
            return accepted.containsAll(Review.concerns(layout, obstacle.apply(bend)))
                    ? Optional.of(new Variant(layout, Hardness.of(layout)))
                    : Optional.empty();
        } catch (Refused impossible) {
            return Optional.empty();
        }
    }

    /** Those as hard as the exercise; where that is out of line with its own ranges, as hard as the middle one of them. */
    private List<Variant> equallyHard(List<Variant> possible, Hardness asked) {
        List<Variant> alike = within(possible, asked);
        if (alike.size() >= Math.min(possible.size(), NEIGHBOURS + 1) || possible.isEmpty()) {
            return alike;
        }
        List<Variant> sorted = possible.stream()
                .sorted(Comparator.comparingDouble(variant -> variant.hardness().points()))
                .toList();
        return within(possible, sorted.get(sorted.size() / 2).hardness());
    }

    /** Half the allowance to each side, so that no two differ by more than all of it. */
    private static List<Variant> within(List<Variant> possible, Hardness middle) {
        return possible.stream()
                .filter(variant -> variant.hardness().equals(middle, Hardness.EQUAL / 2))
                .toList();
    }

    /** Each bench gets the variant used least so far that its neighbours cannot serve, by chance among equals. */
    private List<Variant> dealt(List<Variant> alike, int count) {
        List<Variant> deck = shuffled(alike);
        int[] used = new int[deck.size()];
        List<Variant> dealt = new ArrayList<>(count);
        while (dealt.size() < count) {
            int best = -1;
            for (int i = 0; i < deck.size(); i++) {
                if ((best < 0 || used[i] < used[best]) && isToldApart(deck.get(i), dealt)) {
                    best = i;
                }
            }
            if (best < 0) {
                throw tooFew(alike.size());
            }
            used[best]++;
            dealt.add(deck.get(best));
        }
        return List.copyOf(dealt);
    }

    private static boolean isToldApart(Variant variant, List<Variant> dealt) {
        return dealt.subList(Math.max(0, dealt.size() - NEIGHBOURS), dealt.size()).stream()
                .allMatch(variant::isToldApartFrom);
    }

    private List<Variant> shuffled(List<Variant> variants) {
        List<Variant> deck = new ArrayList<>(variants);
        for (int i = deck.size() - 1; i > 0; i--) {
            Collections.swap(deck, i, chance.below(i + 1));
        }
        return deck;
    }

    private static Refused tooFew(int found) {
        return Refused.impossible(new Fault(
                FaultCode.TOO_FEW_VARIANTS,
                "ranges",
                "only " + found
                        + " equally hard variants lie in these ranges, too few or too much alike for neighbours to"
                        + " differ by more than " + TOLD_APART.inWords() + "; widen a range or take a smaller step"));
    }
}
