package lobrik.bending;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shop.Former;
import lobrik.shop.HookSide;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/**
 * Looks for an order in which the bends of a piece can be made, and for the side that the hook looks to at each, by putting the
 * part-bent piece into the shoe. Of all that can be done it takes what is least work: on the floor before in the air, with the lever
 * free before leaning, without turning end for end, one bend after its neighbour.
 */
public final class BendingOrder {

    private static final double IN_THE_AIR = 4;
    private static final double LEANS = 3;
    private static final double LEANS_PER_DEGREE = 0.1;
    private static final double TURNED_ROUND = 1;
    private static final double NOT_THE_NEIGHBOUR = 0.5;
    private static final double OTHER_HOOK = 0.2;

    private static final double TO_COME = 0.8;
    private static final int SOON = 400;

    /** Where the search is: what is made, what was made last, and how. */
    private record State(int made, int last, Optional<HookSide> hook) {}

    /**
     * A state with the cheapest way there.
     *
     * @param by the last step
     * @param from where it was taken
     */
    private record Reached(State state, double cost, Optional<Standing> by, Optional<Reached> from) {

        List<Standing> steps() {
            List<Standing> steps = new ArrayList<>();
            Optional<Reached> here = Optional.of(this);
            while (here.isPresent()) {
                here.get().by().ifPresent(steps::addFirst);
                here = here.get().from();
            }
            return steps;
        }
    }

    /**
     * What was found.
     *
     * @param steps in their order; none where not everything can be bent
     * @param hindrances why what is left cannot be bent after that; empty where everything can
     */
    public record Found(List<Standing> steps, List<Hindrance> hindrances) {

        public Found {
            steps = List.copyOf(steps);
            hindrances = List.copyOf(hindrances);
        }

        /** Whether every bend can be made. */
        public boolean isFree() {
            return hindrances.isEmpty();
        }
    }

    private final List<BendMade> bends;
    private final InTheShoe piece;

    private BendingOrder(Workplace place, Tooling tooling, Length length, List<BendMade> bends) {
        this.bends = bends;
        this.piece = new InTheShoe(place, tooling, length, bends);
    }

    /**
     * Looks for an order.
     *
     * @param bends from the datum end, as they are laid out; they have room for their arcs
     * @return the bends as they stand, one after the other, where they are made with a machine or with heat: there is no floor in the
     *     way
     */
    public static Found of(Workplace place, Tooling tooling, Length length, List<BendMade> bends) {
        return switch (tooling.tool()) {
            case Shoe _ -> new BendingOrder(place, tooling, length, bends).search();
            case Machine _, Former _ -> oneAfterTheOther(bends);
        };
    }

    /**
     * Tries an order that somebody has chosen.
     *
     * @param order numbers of the bends, from 1, each once; each with its hook to the side that it is laid out for
     */
    public static Found inOrder(
            Workplace place, Tooling tooling, Length length, List<BendMade> bends, List<Integer> order) {
        return switch (tooling.tool()) {
            case Shoe _ -> new BendingOrder(place, tooling, length, bends).followed(order);
            case Machine _, Former _ -> oneAfterTheOther(bends);
        };
    }

    private Found followed(List<Integer> order) {
        List<Standing> steps = new ArrayList<>();
        int made = 0;
        for (int number : order) {
            HookSide hook = bends.get(number - 1).placing().hook().orElse(HookSide.DATUM);
            InTheShoe.Tried step = tried(number - 1, hook, made);
            if (step.standing().isEmpty()) {
                return new Found(steps, step.hindrance().stream().toList());
            }
            steps.add(step.standing().get());
            made |= 1 << (number - 1);
        }
        return new Found(steps, List.of());
    }

    private static Found oneAfterTheOther(List<BendMade> bends) {
        List<Standing> steps = new ArrayList<>();
        for (int i = 0; i < bends.size(); i++) {
            HookSide hook = bends.get(i).placing().hook().orElse(HookSide.DATUM);
            steps.add(new Standing(i + 1, hook, Stance.ON_THE_FLOOR, Angle.ZERO, Optional.empty()));
        }
        return new Found(steps, List.of());
    }

    /** The cheapest way through all states first. */
    private Found search() {
        int everything = (1 << bends.size()) - 1;
        PriorityQueue<Reached> open = new PriorityQueue<>(Comparator.comparingDouble(this::likely));
        open.add(new Reached(new State(0, -1, Optional.empty()), 0, Optional.empty(), Optional.empty()));
        Set<State> done = new HashSet<>();
        while (!open.isEmpty()) {
            Reached here = open.remove();
            if (!done.add(here.state())) {
                continue;
            }
            if (done.size() == SOON) {
                // Most pieces can be bent, and soon; whether this one can is known from fewer states than the best way.
                boolean[] reachable = reachable();
                if (!reachable[everything]) {
                    return new Found(List.of(), hindrances(furthest(reachable)));
                }
            }
            if (here.state().made() == everything) {
                return new Found(here.steps(), List.of());
            }
            for (int bend = 0; bend < bends.size(); bend++) {
                if ((here.state().made() >> bend & 1) == 0) {
                    for (HookSide hook : HookSide.values()) {
                        next(here, bend, hook).ifPresent(open::add);
                    }
                }
            }
        }
        return new Found(List.of(), hindrances(furthest(reachable())));
    }

    /** What it costs so far, and about what is still to come: so that a good way is found soon, if not always the very best. */
    private double likely(Reached reached) {
        return reached.cost()
                + TO_COME * (bends.size() - Integer.bitCount(reached.state().made()));
    }

    /** Which sets of bends can be made, by a bit for each bend. */
    private boolean[] reachable() {
        boolean[] reachable = new boolean[1 << bends.size()];
        reachable[0] = true;
        for (int made = 0; made < reachable.length; made++) {
            if (reachable[made]) {
                for (int bend = 0; bend < bends.size(); bend++) {
                    int with = made | 1 << bend;
                    reachable[with] = reachable[with] || canBeMade(bend, made);
                }
            }
        }
        return reachable;
    }

    private boolean canBeMade(int bend, int made) {
        return tried(bend, HookSide.DATUM, made).standing().isPresent()
                || tried(bend, HookSide.FAR, made).standing().isPresent();
    }

    private static int furthest(boolean[] reachable) {
        int furthest = 0;
        for (int made = 0; made < reachable.length; made++) {
            if (reachable[made] && Integer.bitCount(made) > Integer.bitCount(furthest)) {
                furthest = made;
            }
        }
        return furthest;
    }

    private Optional<Reached> next(Reached here, int bend, HookSide hook) {
        return tried(bend, hook, here.state().made()).standing().map(standing -> {
            State state = new State(here.state().made() | 1 << bend, bend, Optional.of(hook));
            double cost = here.cost() + cost(here.state(), bend, hook, standing);
            return new Reached(state, cost, Optional.of(standing), Optional.of(here));
        });
    }

    private double cost(State from, int bend, HookSide hook, Standing standing) {
        double cost = 0.001 * bend;
        cost += standing.stance() == Stance.IN_THE_AIR ? IN_THE_AIR : 0;
        double lean = standing.leverLean().degrees();
        cost += lean > 0 ? LEANS + LEANS_PER_DEGREE * lean : 0;
        cost += from.hook().filter(before -> before != hook).isPresent() ? TURNED_ROUND : 0;
        cost += from.last() >= 0 && Math.abs(from.last() - bend) > 1 ? NOT_THE_NEIGHBOUR : 0;
        boolean laidOutSo =
                bends.get(bend).placing().hook().filter(hook::equals).isPresent();
        return cost + (laidOutSo ? 0 : OTHER_HOOK);
    }

    /** Of the bends that are left, why each cannot be made: the lesser of what hinders it with its hook to either side. */
    private List<Hindrance> hindrances(int made) {
        List<Hindrance> hindrances = new ArrayList<>();
        for (int bend = 0; bend < bends.size(); bend++) {
            if ((made >> bend & 1) == 0) {
                Optional<Hindrance> one = tried(bend, HookSide.DATUM, made).hindrance();
                Optional<Hindrance> other = tried(bend, HookSide.FAR, made).hindrance();
                one.ifPresent(first ->
                        hindrances.add(other.filter(second -> second.by().isLessThan(first.by()))
                                .orElse(first)));
            }
        }
        return hindrances;
    }

    private InTheShoe.Tried tried(int bend, HookSide hook, int made) {
        return piece.tried(bend, hook, made);
    }
}
