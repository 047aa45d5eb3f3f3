package lobrik.rota;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a rota comes to, counted afresh from its seats, however they were found.
 *
 * @param clashes what must not be; of seats that come, not of those that were
 * @param turns for each person how often they have each bender
 * @param uneven by how much the squares of these turns are more than the least that each person could have alone; 0 is as even as
 *     can be
 * @param repeated how often somebody has the same bender in two of their sessions that follow one another
 * @param carried to how many more benches benders go than they must for so many people
 * @param away how often somebody sits at another bench than their own
 */
public record RotaCheck(
        List<Clash> clashes, List<List<Integer>> turns, int uneven, int repeated, int carried, int away) {

    /** What must not be, in one session. */
    public sealed interface Clash {

        /** Place of the session in the rota. */
        int sitting();
    }

    /** A session without benches or without benders, so that nobody can be seated. */
    public record NoRoom(int sitting) implements Clash {}

    /** Somebody who is there has no seat. */
    public record NoSeat(int sitting, int person) implements Clash {}

    /** A bench, or a bender, that is not in the room. */
    public record NotThere(int sitting, int person) implements Clash {}

    /** More people at a bench than it has places. */
    public record Crowded(int sitting, int bench, int people, int places) implements Clash {}

    /** More people on a bender than there have to be. */
    public record Queue(int sitting, int bender, int people, int most) implements Clash {}

    /** Two at one bench who do not share one. */
    public record Together(int sitting, int bench, Rota.Pair pair) implements Clash {}

    public RotaCheck {
        clashes = List.copyOf(clashes);
        turns = turns.stream().map(List::copyOf).toList();
    }

    /** Counts a plan. */
    public static RotaCheck of(Rota rota, SeatingPlan plan) {
        List<Clash> clashes = new ArrayList<>();
        int carried = 0;
        for (int sitting = 0; sitting < rota.sittings().size(); sitting++) {
            clashes(rota, plan, sitting, clashes);
            carried +=
                    carried(plan.seats().get(sitting).values(), rota.sittings().get(sitting));
        }
        List<List<Integer>> turns = new ArrayList<>();
        int uneven = 0;
        int repeated = 0;
        int away = 0;
        for (int person = 0; person < rota.people(); person++) {
            int[] own = plan.turnsBefore(rota.sittings().size(), person, rota.benders());
            turns.add(Arrays.stream(own).boxed().toList());
            List<List<Integer>> choices = rota.choices(person);
            // Of somebody without a seat there is a clash, and nothing to be even about.
            if (Arrays.stream(own).sum() == choices.size()) {
                uneven += Arrays.stream(own).map(count -> count * count).sum()
                        - EvenTurns.leastSquares(choices, rota.benders());
            }
            Optional<Seat> last = Optional.empty();
            for (int sitting = 0; sitting < rota.sittings().size(); sitting++) {
                Optional<Seat> seat = plan.of(sitting, person);
                if (seat.isPresent()) {
                    repeated += last.map(Seat::bender).equals(seat.map(Seat::bender)) ? 1 : 0;
                    away += seat.get().bench() == rota.ownBench().get(person) ? 0 : 1;
                    last = seat;
                }
            }
        }
        return new RotaCheck(clashes, turns, uneven, repeated, carried, away);
    }

    /** The difference between the bender that somebody has most and the one that they have least. */
    public int spread(int person) {
        List<Integer> own = turns.get(person);
        return own.stream().mapToInt(count -> count).max().orElse(0)
                - own.stream().mapToInt(count -> count).min().orElse(0);
    }

    private static void clashes(Rota rota, SeatingPlan plan, int number, List<Clash> clashes) {
        Sitting sitting = rota.sittings().get(number);
        if (sitting.isOver() || sitting.present().isEmpty()) {
            return;
        }
        Map<Integer, Seat> seats = plan.seats().get(number);
        if (!sitting.hasRoom()) {
            clashes.add(new NoRoom(number));
            return;
        }
        SortedMap<Integer, SortedSet<Integer>> atBench = new TreeMap<>();
        SortedMap<Integer, Integer> onBender = new TreeMap<>();
        new TreeMap<>(seats).forEach((person, seat) -> {
            atBench.computeIfAbsent(seat.bench(), bench -> new TreeSet<>()).add(person);
            onBender.merge(seat.bender(), 1, Integer::sum);
            if (!sitting.benches().contains(seat.bench()) || !sitting.benders().contains(seat.bender())) {
                clashes.add(new NotThere(number, person));
            }
        });
        for (int person : new TreeSet<>(sitting.present())) {
            if (!seats.containsKey(person)) {
                clashes.add(new NoSeat(number, person));
            }
        }
        atBench.forEach((bench, people) -> {
            if (people.size() > sitting.places()) {
                clashes.add(new Crowded(number, bench, people.size(), sitting.places()));
            }
            rota.apart().stream()
                    .filter(pair -> people.contains(pair.first()) && people.contains(pair.second()))
                    .sorted(Comparator.comparingInt(Rota.Pair::first).thenComparingInt(Rota.Pair::second))
                    .forEach(pair -> clashes.add(new Together(number, bench, pair)));
        });
        onBender.forEach((bender, people) -> {
            if (people > sitting.mostOnABender()) {
                clashes.add(new Queue(number, bender, people, sitting.mostOnABender()));
            }
        });
    }

    private static int carried(Collection<Seat> seats, Sitting sitting) {
        SortedMap<Integer, SortedSet<Integer>> benches = new TreeMap<>();
        SortedMap<Integer, Integer> people = new TreeMap<>();
        for (Seat seat : seats) {
            benches.computeIfAbsent(seat.bender(), bender -> new TreeSet<>()).add(seat.bench());
            people.merge(seat.bender(), 1, Integer::sum);
        }
        int more = 0;
        for (Map.Entry<Integer, SortedSet<Integer>> each : benches.entrySet()) {
            int least = Math.ceilDiv(people.get(each.getKey()), Math.max(1, sitting.mostAtABench()));
            more += each.getValue().size() - least;
        }
        return more;
    }
}
