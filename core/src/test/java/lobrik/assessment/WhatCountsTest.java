package lobrik.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Which of several entries about one thing count. */
class WhatCountsTest {

    private static final long NOON = 1_796_040_000_000_000L;
    private static final long SECOND = 1_000_000;

    /** An entry that says a number, or that nothing was measured. */
    private record Said(
            UUID id, Optional<UUID> correctionOf, long takenAtMicros, Optional<Long> number, Optional<Integer> value)
            implements Entry {

        static Said first(int id, Integer value) {
            return new Said(
                    id(id), Optional.empty(), NOON + id * SECOND, Optional.of((long) id), Optional.ofNullable(value));
        }

        static Said correction(int id, int of, Integer value) {
            return new Said(
                    id(id), Optional.of(id(of)), NOON + id * SECOND, Optional.of((long) id), Optional.of(value));
        }

        Said at(long when) {
            return new Said(id, correctionOf, when, number, value);
        }

        private static UUID id(int number) {
            return new UUID(0, number);
        }
    }

    @Test
    void correction_standsForWhatItCorrects_howeverLongTheChain() {
        List<Said> chain = List.of(Said.first(1, 10), Said.correction(2, 1, 11), Said.correction(3, 2, 12));
        assertThat(WhatCounts.standing(chain, Set.of())).containsExactly(chain.get(2));
    }

    @Test
    void correction_comesAfterWhatItCorrects_whateverTheClocksSaid() {
        Said first = Said.first(1, 10);
        Said early = Said.correction(2, 1, 11).at(NOON - 9_000 * SECOND);
        Said last = Said.correction(3, 2, 12).at(NOON - 99_000 * SECOND);
        List<Said> shuffled = new ArrayList<>(List.of(first, early, last));
        Random random = new Random(3);
        for (int i = 0; i < 20; i++) {
            Collections.shuffle(shuffled, random);
            assertThat(WhatCounts.inOrder(shuffled)).containsExactly(first, early, last);
        }
    }

    @Test
    void whatIsSetAside_doesNotCount_andWhatItCorrectedDoesNotComeBack() {
        List<Said> entries = List.of(Said.first(1, 10), Said.correction(2, 1, 11), Said.first(4, 12));
        assertThat(WhatCounts.standing(entries, Set.of(Said.id(2)))).containsExactly(entries.get(2));
    }

    @Test
    void twoCorrectionsOfOne_bothStand_untilSomebodyDecides() {
        List<Said> entries = List.of(Said.first(1, 10), Said.correction(2, 1, 11), Said.correction(3, 1, 12));
        List<Said> standing = WhatCounts.standing(entries, Set.of());
        assertThat(WhatCounts.readings(standing, Said::value)).containsExactly(entries.get(1), entries.get(2));
        List<Said> decided = WhatCounts.standing(entries, Set.of(Said.id(3)));
        assertThat(WhatCounts.readings(decided, Said::value)).containsExactly(entries.get(1));
    }

    @Test
    void sameReadingOfTwo_isOne_andWhoeverMeasuredKnowsMoreThanWhoeverDidNot() {
        List<Said> same = List.of(Said.first(1, 10), Said.first(2, 10));
        assertThat(WhatCounts.readings(same, Said::value)).containsExactly(same.getFirst());
        List<Said> oneDidNot = List.of(Said.first(1, null), Said.first(2, 10));
        assertThat(WhatCounts.readings(oneDidNot, Said::value)).containsExactly(oneDidNot.getLast());
        List<Said> nobody = List.of(Said.first(1, null), Said.first(2, null));
        assertThat(WhatCounts.readings(nobody, Said::value)).containsExactly(nobody.getFirst());
        assertThat(WhatCounts.readings(List.<Said>of(), Said::value)).isEmpty();
    }

    @Test
    void newest_isTheOneThatWasWrittenDownLast_andWhatIsNotOnRecordYetIsNewest() {
        Said first = Said.first(1, 10).at(NOON + 500 * SECOND);
        Said second = Said.first(2, 11);
        assertThat(WhatCounts.newest(List.of(first, second))).contains(second);
        assertThat(WhatCounts.newest(List.of(second, first))).contains(second);
        Said onItsWay = new Said(Said.id(3), Optional.empty(), NOON - 500 * SECOND, Optional.empty(), Optional.of(12));
        assertThat(WhatCounts.newest(List.of(first, onItsWay, second))).contains(onItsWay);
    }

    @Test
    void whatHoldsForLaterEntries_isTheNewestBefore_howeverItWasCorrectedSince() {
        List<Said> floors = List.of(Said.first(2, 10), Said.first(5, 20), Said.correction(9, 2, 11));
        assertThat(WhatCounts.holding(floors, Set.of(), Said.first(1, 0)))
                .as("nothing was read before it")
                .isEmpty();
        assertThat(WhatCounts.holding(floors, Set.of(), Said.first(3, 0)))
                .as("what was misread was wrong from the beginning")
                .contains(floors.get(2));
        assertThat(WhatCounts.holding(floors, Set.of(), Said.first(7, 0))).contains(floors.get(1));
        assertThat(WhatCounts.holding(floors, Set.of(Said.id(5)), Said.first(7, 0)))
                .as("what is set aside gives way to the one before")
                .contains(floors.get(2));
    }

    @Test
    void origin_isWhatAChainOfCorrectionsBeganWith() {
        List<Said> chain = List.of(Said.first(1, 10), Said.correction(2, 1, 11), Said.correction(3, 2, 12));
        assertThat(WhatCounts.origin(chain.get(2), chain)).isEqualTo(chain.getFirst());
    }
}
