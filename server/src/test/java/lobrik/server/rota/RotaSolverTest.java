package lobrik.server.rota;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.rota.Rota;
import lobrik.rota.RotaCheck;
import lobrik.rota.Seat;
import lobrik.rota.SeatingPlan;
import lobrik.rota.Sitting;
import org.junit.jupiter.api.Test;

/** Rotas of the size of a school, counted afresh by the core. */
class RotaSolverTest {

    private static final int PEOPLE = 24;
    private static final int WEEKS = 10;
    private static final Duration MOST = Duration.ofSeconds(20);
    private static final List<Integer> BENCHES =
            IntStream.rangeClosed(1, 8).boxed().toList();
    private static final List<Integer> BENDERS = IntStream.range(0, 6).boxed().toList();

    private static Rota school(int weeks, RandomGenerator absences, double absent, Set<Rota.Pair> apart) {
        List<Sitting> sittings = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            Set<Integer> present = IntStream.range(0, PEOPLE)
                    .filter(_ -> absences.nextDouble() >= absent)
                    .boxed()
                    .collect(Collectors.toSet());
            sittings.add(new Sitting(present, BENCHES, 3, BENDERS, Map.of(), false));
        }
        return new Rota(
                IntStream.range(0, PEOPLE).map(person -> 1 + person / 3).boxed().toList(), 6, sittings, apart);
    }

    private static RandomGenerator random() {
        return RandomGeneratorFactory.of("L64X128MixRandom").create(5);
    }

    @Test
    void schoolOf24With8BenchesAnd6BendersFor10Weeks_getsEveryBenderAsEvenlyAsCanBe() {
        Set<Rota.Pair> apart = Set.of(Rota.Pair.of(0, 1), Rota.Pair.of(0, 2), Rota.Pair.of(7, 20));
        Rota rota = school(WEEKS, random(), 0.1, apart);
        long begun = System.nanoTime();

        SeatingPlan plan = new RotaSolver().solve(rota);

        assertThat(Duration.ofNanos(System.nanoTime() - begun))
                .as("its limit, not its speed")
                .isLessThan(MOST);
        RotaCheck check = RotaCheck.of(rota, plan);
        assertThat(check.clashes()).isEmpty();
        assertThat(check.uneven())
                .as("nobody could have them more evenly alone")
                .isZero();
        assertThat(check.repeated()).isZero();
        for (int week = 0; week < WEEKS; week++) {
            assertThat(new TreeSet<>(plan.seats().get(week).keySet()))
                    .as("who is away is not seated")
                    .isEqualTo(new TreeSet<>(rota.sittings().get(week).present()));
        }
    }

    @Test
    void whatWasAndWhatWasSetByHand_staysAndIsMadeUpForLater() {
        Map<Integer, Seat> was = Map.of(0, new Seat(1, 2), 1, new Seat(2, 2), 2, new Seat(3, 2));
        Set<Integer> all = Set.of(0, 1, 2);
        List<Integer> three = List.of(1, 2, 3);
        List<Integer> benders = List.of(0, 1, 2);
        Sitting next = new Sitting(all, three, 1, benders, Map.of(1, new Seat(3, 0)), false);
        Sitting later = new Sitting(all, three, 1, benders, Map.of(), false);
        Rota rota = new Rota(
                three, 3, List.of(new Sitting(Set.of(), List.of(), 1, List.of(), was, true), next, later), Set.of());

        SeatingPlan plan = new RotaSolver().solve(rota);

        assertThat(plan.seats().getFirst()).isEqualTo(was);
        assertThat(plan.of(1, 1)).contains(new Seat(3, 0));
        RotaCheck check = RotaCheck.of(rota, plan);
        assertThat(check.clashes()).isEmpty();
        // Three sessions, three benders: one of them had by all in the first, and one of three people again after that,
        // twice.
        assertThat(check.turns()).allSatisfy(turns -> assertThat(turns.get(2)).isBetween(1, 2));
        assertThat(check.uneven()).isEqualTo(4);
    }

    @Test
    void wishesThatCannotBeMet_leaveAsFewTogetherAsCanBe() {
        Set<Rota.Pair> apart = new HashSet<>();
        for (int one = 0; one < 3; one++) {
            for (int other = one + 1; other < 3; other++) {
                apart.add(Rota.Pair.of(one, other));
            }
        }
        Rota rota = new Rota(
                List.of(1, 1, 1),
                1,
                List.of(new Sitting(Set.of(0, 1, 2), List.of(1, 2), 2, List.of(0), Map.of(), false)),
                apart);

        RotaCheck check = RotaCheck.of(rota, new RotaSolver().solve(rota));

        assertThat(check.clashes()).singleElement().isInstanceOf(RotaCheck.Together.class);
    }

    @Test
    void nothingToSeat_isNothing() {
        Rota rota = new Rota(List.of(), 0, List.of(), Set.of());

        assertThat(new RotaSolver().solve(rota).seats()).isEmpty();
    }
}
