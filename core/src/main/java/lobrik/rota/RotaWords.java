package lobrik.rota;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Why somebody sits where they sit, and which wishes a rota cannot meet, in words.
 *
 * @param people their names
 * @param benders what they are called
 * @param sittings when they are, as in “on 3 Dec”
 */
public record RotaWords(List<String> people, List<String> benders, List<String> sittings) {

    public RotaWords {
        people = List.copyOf(people);
        benders = List.copyOf(benders);
        sittings = List.copyOf(sittings);
    }

    /** Why somebody has the bender and the bench that they have in a session; they have a seat there. */
    public String why(Rota rota, SeatingPlan plan, int sitting, int person) {
        Sitting asked = rota.sittings().get(sitting);
        Seat seat = plan.of(sitting, person).orElseThrow();
        List<String> parts = new ArrayList<>();
        if (asked.fixed().containsKey(person)) {
            parts.add("Set by hand.");
        }
        parts.add(bender(rota, plan, sitting, person, seat));
        bench(rota, plan, sitting, person, seat).ifPresent(parts::add);
        return String.join(" ", parts);
    }

    private String bender(Rota rota, SeatingPlan plan, int sitting, int person, Seat seat) {
        int[] before = plan.turnsBefore(sitting, person, rota.benders());
        String name = benders.get(seat.bender());
        int had = before[seat.bender()];
        List<Integer> seldomer = rota.sittings().get(sitting).benders().stream()
                .filter(bender -> before[bender] < had)
                .toList();
        if (had == 0) {
            return name + " for the first time.";
        }
        String times = name + " for the " + ordinal(had + 1) + " time";
        if (seldomer.isEmpty()) {
            return times + ": no bender that is there was had less often.";
        }
        int[] whole = plan.turnsBefore(rota.sittings().size(), person, rota.benders());
        List<Integer> others = seldomer.stream()
                .filter(bender -> whole[bender] == before[bender])
                .toList();
        if (others.isEmpty()) {
            return times + "; " + named(seldomer) + (seldomer.size() == 1 ? " follows" : " follow") + " later.";
        }
        int most = rota.sittings().get(sitting).mostOnABender();
        return times + ", though " + named(others) + " was had less often: there "
                + (most == 1 ? "is one place" : "are " + most + " places") + " on each, and they went to others.";
    }

    private Optional<String> bench(Rota rota, SeatingPlan plan, int sitting, int person, Seat seat) {
        List<String> kept = rota.apart().stream()
                .filter(pair -> pair.first() == person || pair.second() == person)
                .map(pair -> pair.first() == person ? pair.second() : pair.first())
                .filter(other -> plan.of(sitting, other).isPresent())
                .sorted()
                .map(people::get)
                .toList();
        if (!kept.isEmpty()) {
            return Optional.of("Not at the bench of " + listed(kept) + ".");
        }
        if (seat.bench() == rota.ownBench().get(person)) {
            return Optional.of("At their own bench.");
        }
        boolean withBender = plan.seats().get(sitting).entrySet().stream()
                .anyMatch(other -> other.getKey() != person && other.getValue().equals(seat));
        return withBender ? Optional.of("At a bench that has this bender.") : Optional.empty();
    }

    /** What is wrong with a session, and where it can be put right. */
    public String clash(Rota rota, RotaCheck.Clash clash) {
        Sitting sitting = rota.sittings().get(clash.sitting());
        String when = sittings.get(clash.sitting());
        return when + ": "
                + switch (clash) {
                    case RotaCheck.NoRoom(int _) ->
                        sitting.benders().isEmpty()
                                ? "no bender was chosen, so nobody can be seated; choose benders for the session"
                                : "there is no bench, so nobody can be seated; choose benches for the session";
                    case RotaCheck.NoSeat(int _, int person) -> people.get(person) + " has no seat";
                    case RotaCheck.NotThere(int _, int person) ->
                        people.get(person)
                                + (sitting.fixed().containsKey(person)
                                        ? " was set by hand at a bench or on a bender that is not there"
                                        : " sits at a bench or on a bender that is not there any more; work it out anew");
                    case RotaCheck.Crowded(int _, int bench, int there, int places) ->
                        "bench " + bench + " has " + there + " people and "
                                + (places == 1 ? "one place" : places + " places") + crowdedBy(sitting);
                    case RotaCheck.Queue(int _, int bender, int there, int most) ->
                        there + " people on " + benders.get(bender) + ", where " + most
                                + " would do; some of them were set by hand";
                    case RotaCheck.Together(int _, int bench, Rota.Pair pair) ->
                        people.get(pair.first()) + " and " + people.get(pair.second()) + " are both at bench " + bench
                                + together(rota, sitting, pair);
                };
    }

    private static String crowdedBy(Sitting sitting) {
        int places = sitting.benches().size() * sitting.places();
        int there = sitting.present().size();
        return there > places
                ? ": " + there + " are there, and there are " + places + " places in all"
                : "; some of them were set by hand";
    }

    private String together(Rota rota, Sitting sitting, Rota.Pair pair) {
        boolean one = sitting.fixed().containsKey(pair.first());
        boolean other = sitting.fixed().containsKey(pair.second());
        if (one && other) {
            return "; both were set there by hand";
        }
        // Everybody who is kept apart from everybody else of them needs a bench of their own.
        List<Integer> clique = new ArrayList<>(List.of(pair.first(), pair.second()));
        for (int person = 0; person < rota.people(); person++) {
            int candidate = person;
            if (sitting.present().contains(person)
                    && clique.stream()
                            .allMatch(each ->
                                    rota.apart().contains(Rota.Pair.of(each, candidate)) && each != candidate)) {
                clique.add(person);
            }
        }
        int benches = sitting.benches().size();
        if (clique.size() > benches) {
            return ": " + listed(clique.stream().sorted().map(people::get).toList())
                    + " are all to be kept apart, and there "
                    + (benches == 1 ? "is one bench" : "are " + benches + " benches");
        }
        return ", and no other bench is free for either of them";
    }

    private String named(List<Integer> some) {
        return listed(some.stream().map(benders::get).toList());
    }

    private static String listed(List<String> names) {
        return names.size() < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.getLast();
    }

    private static String ordinal(int number) {
        int last = number % 10;
        boolean teen = number / 10 % 10 == 1;
        String ending =
                teen || last == 0 || last > 3 ? "th" : List.of("st", "nd", "rd").get(last - 1);
        return number + ending;
    }
}
