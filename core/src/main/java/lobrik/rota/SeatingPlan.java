package lobrik.rota;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Who sits where.
 *
 * @param seats for each session of a rota the seats of those who are there, by person
 */
public record SeatingPlan(List<Map<Integer, Seat>> seats) {

    public SeatingPlan {
        seats = seats.stream().map(Map::copyOf).toList();
    }

    /** Where somebody sits in a session, if anywhere. */
    public Optional<Seat> of(int sitting, int person) {
        return Optional.ofNullable(seats.get(sitting).get(person));
    }

    /** How often somebody has had each bender before a session. */
    int[] turnsBefore(int sitting, int person, int benders) {
        int[] turns = new int[benders];
        for (int i = 0; i < sitting; i++) {
            of(i, person).ifPresent(seat -> turns[seat.bender()]++);
        }
        return turns;
    }
}
