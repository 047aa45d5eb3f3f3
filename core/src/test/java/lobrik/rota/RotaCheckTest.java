package lobrik.rota;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RotaCheckTest {

    private static final RotaWords WORDS =
            new RotaWords(List.of("Ana", "Bo", "Cy"), List.of("Red", "Blue"), List.of("On 3 Dec", "On 5 Dec"));

    private static Sitting sitting(Set<Integer> present, Map<Integer, Seat> fixed) {
        return new Sitting(present, List.of(1, 2), 2, List.of(0, 1), fixed, false);
    }

    private static Rota rota(Set<Rota.Pair> apart, Sitting... sittings) {
        return new Rota(List.of(1, 2, 2), 2, List.of(sittings), apart);
    }

    @Test
    void evenPlan_hasNoClashAndNothingUneven() {
        Sitting both = sitting(Set.of(0, 1, 2), Map.of());
        SeatingPlan plan = new SeatingPlan(List.of(
                Map.of(0, new Seat(1, 0), 1, new Seat(2, 1), 2, new Seat(2, 1)),
                Map.of(0, new Seat(1, 1), 1, new Seat(2, 0), 2, new Seat(2, 0))));

        RotaCheck check = RotaCheck.of(rota(Set.of(), both, both), plan);

        assertThat(check)
                .isEqualTo(new RotaCheck(List.of(), List.of(List.of(1, 1), List.of(1, 1), List.of(1, 1)), 0, 0, 0, 0));
    }

    @Test
    void sameBenderTwice_isUnevenAndRepeated() {
        Sitting both = sitting(Set.of(0), Map.of());
        SeatingPlan plan = new SeatingPlan(List.of(Map.of(0, new Seat(1, 0)), Map.of(0, new Seat(2, 0))));

        RotaCheck check = RotaCheck.of(rota(Set.of(), both, both), plan);

        assertThat(check.uneven()).as("2² where 1² + 1² would do").isEqualTo(2);
        assertThat(check.repeated()).isEqualTo(1);
        assertThat(check.away()).isEqualTo(1);
        assertThat(check.spread(0)).isEqualTo(2);
    }

    @Test
    void whatMustNotBe_isNamedWithItsCause() {
        Rota rota = rota(
                Set.of(Rota.Pair.of(1, 0), Rota.Pair.of(1, 2), Rota.Pair.of(0, 2)),
                sitting(Set.of(0, 1, 2), Map.of(0, new Seat(1, 0), 2, new Seat(1, 0))));
        SeatingPlan plan = new SeatingPlan(List.of(Map.of(0, new Seat(1, 0), 1, new Seat(1, 0), 2, new Seat(1, 0))));

        List<String> said = RotaCheck.of(rota, plan).clashes().stream()
                .map(clash -> WORDS.clash(rota, clash))
                .toList();

        assertThat(said)
                .containsExactly(
                        "On 3 Dec: bench 1 has 3 people and 2 places; some of them were set by hand",
                        "On 3 Dec: Ana and Bo are both at bench 1: Ana, Bo and Cy are all to be kept apart, and there are 2 benches",
                        "On 3 Dec: Ana and Cy are both at bench 1; both were set there by hand",
                        "On 3 Dec: Bo and Cy are both at bench 1: Ana, Bo and Cy are all to be kept apart, and there are 2 benches",
                        "On 3 Dec: 3 people on Red, where 2 would do; some of them were set by hand");
    }

    @Test
    void sessionWithoutBenders_isNamed() {
        Rota rota = rota(Set.of(), new Sitting(Set.of(0), List.of(1), 1, List.of(), Map.of(), false));

        RotaCheck check = RotaCheck.of(rota, new SeatingPlan(List.of(Map.of())));

        assertThat(check.clashes()).containsExactly(new RotaCheck.NoRoom(0));
        assertThat(WORDS.clash(rota, check.clashes().getFirst())).contains("choose benders for the session");
    }

    @Test
    void whoHasNoSeat_andWhatIsNotThere_isNamed() {
        Rota rota = rota(Set.of(), sitting(Set.of(0, 1), Map.of()));

        RotaCheck check = RotaCheck.of(rota, new SeatingPlan(List.of(Map.of(0, new Seat(7, 0)))));

        assertThat(check.clashes()).containsExactly(new RotaCheck.NotThere(0, 0), new RotaCheck.NoSeat(0, 1));
        assertThat(WORDS.clash(rota, check.clashes().getFirst()))
                .isEqualTo("On 3 Dec: Ana sits at a bench or on a bender that is not there any more; work it out anew");
    }

    @Test
    void moreThanThePlaces_areNamedWithBothFigures() {
        Rota rota = new Rota(
                List.of(1, 1, 1),
                1,
                List.of(new Sitting(Set.of(0, 1, 2), List.of(1), 2, List.of(0), Map.of(), false)),
                Set.of());
        SeatingPlan plan = new SeatingPlan(List.of(Map.of(0, new Seat(1, 0), 1, new Seat(1, 0), 2, new Seat(1, 0))));

        assertThat(RotaCheck.of(rota, plan).clashes().stream().map(clash -> WORDS.clash(rota, clash)))
                .containsExactly(
                        "On 3 Dec: bench 1 has 3 people and 2 places: 3 are there, and there are 2 places in all");
    }

    @Test
    void whatWas_isNotAskedAbout_butCounts() {
        Sitting was = new Sitting(Set.of(0), List.of(), 1, List.of(), Map.of(0, new Seat(9, 1)), true);
        SeatingPlan plan = new SeatingPlan(List.of(Map.of(0, new Seat(9, 1)), Map.of(0, new Seat(1, 0))));

        RotaCheck check = RotaCheck.of(rota(Set.of(), was, sitting(Set.of(0), Map.of())), plan);

        assertThat(check.clashes()).isEmpty();
        assertThat(check.turns().getFirst()).containsExactly(1, 1);
        assertThat(check.uneven()).isZero();
    }

    @Test
    void reason_saysHowOftenAndWhyNotAnother() {
        Sitting each = sitting(Set.of(0, 1), Map.of());
        Rota rota = rota(Set.of(Rota.Pair.of(0, 1)), each, each, each);
        SeatingPlan plan = new SeatingPlan(List.of(
                Map.of(0, new Seat(1, 0), 1, new Seat(2, 1)),
                Map.of(0, new Seat(1, 0), 1, new Seat(2, 0)),
                Map.of(0, new Seat(1, 1), 1, new Seat(2, 1))));

        assertThat(WORDS.why(rota, plan, 0, 0)).isEqualTo("Red for the first time. Not at the bench of Bo.");
        assertThat(WORDS.why(rota, plan, 1, 0))
                .isEqualTo("Red for the 2nd time; Blue follows later. Not at the bench of Bo.");
        assertThat(WORDS.why(rota, plan, 2, 1))
                .isEqualTo(
                        "Blue for the 2nd time: no bender that is there was had less often. Not at the bench of Ana.");
    }

    /** By trying every way to deal the turns of one person. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void leastUnevenness_isThatOfTheBestOfAllWays(long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int round = 0; round < 40; round++) {
            int benders = 2 + random.nextInt(3);
            List<List<Integer>> choices = new ArrayList<>();
            for (int session = 0; session < 1 + random.nextInt(6); session++) {
                List<Integer> some = IntStream.range(0, benders)
                        .filter(_ -> random.nextBoolean())
                        .boxed()
                        .toList();
                choices.add(some.isEmpty() ? List.of(random.nextInt(benders)) : some);
            }
            assertThat(EvenTurns.leastSquares(choices, benders)).isEqualTo(best(choices, new int[benders], 0));
        }
    }

    private static int best(List<List<Integer>> choices, int[] turns, int session) {
        if (session == choices.size()) {
            return IntStream.of(turns).map(count -> count * count).sum();
        }
        int best = Integer.MAX_VALUE;
        for (int bender : choices.get(session)) {
            turns[bender]++;
            best = Math.min(best, best(choices, turns, session + 1));
            turns[bender]--;
        }
        return best;
    }
}
