package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import lobrik.measure.Length;
import lobrik.verdict.CarriedOn.Reason;
import lobrik.verdict.CarriedOn.Target;
import org.junit.jupiter.api.Test;

/** The offset of a class: rings belong at 25 1/2 and 37 1/2. */
class CarriedOnTest {

    private static final Length FIRST = Length.ofFraction(25, 1, 2);
    private static final Length SECOND = Length.ofFraction(37, 1, 2);
    private static final Length SHRINK = Length.ofFraction(1, 1, 2);
    private static final CarriedOn MARKS =
            new CarriedOn(Map.of(1, FIRST, 2, SECOND), _ -> Tolerance.even(Length.ofFraction(0, 1, 8)), false);

    private static Target right(Length at) {
        return new Target(at, Optional.empty());
    }

    @Test
    void marksWhereTheyBelong_areHeldToTheirPlaces() {
        assertThat(MARKS.rings(Map.of(1, FIRST, 2, SECOND), Map.of())).containsValues(right(FIRST), right(SECOND));
    }

    @Test
    void ringOnTheOwnWrongFigure_isRightlyRinged() {
        Map<Integer, Length> own = Map.of(1, FIRST.minus(SHRINK));
        assertThat(MARKS.rings(own, own))
                .containsEntry(1, new Target(FIRST.minus(SHRINK), Optional.of(Reason.OWN_FIGURE)));
        assertThat(MARKS.figures(own)).containsEntry(1, right(FIRST));
    }

    @Test
    void ringInItsRightPlace_isRight_whateverTheFigureWas() {
        assertThat(MARKS.rings(Map.of(1, FIRST), Map.of(1, FIRST.minus(SHRINK))))
                .containsEntry(1, right(FIRST));
    }

    /** The shrink was forgotten in both: worked out wrong once, and carried on. */
    @Test
    void figureThatFollowsRightlyFromAWrongOne_isRight() {
        Map<Integer, Length> own = Map.of(1, FIRST.minus(SHRINK), 2, SECOND.minus(SHRINK));
        assertThat(MARKS.figures(own))
                .containsEntry(1, right(FIRST))
                .containsEntry(2, new Target(SECOND.minus(SHRINK), Optional.of(Reason.EARLIER_MARK)));
    }

    /** Half an inch beside where it would follow the first: nearer to that than to its own place, and yet a slip of its own. */
    @Test
    void secondSlip_isHeldToItsOwnPlace() {
        Length slipped = SECOND.minus(SHRINK).minus(Length.ofFraction(0, 1, 2));
        Map<Integer, Length> marks = Map.of(1, FIRST.minus(SHRINK), 2, slipped);
        assertThat(MARKS.figures(marks)).containsEntry(2, right(SECOND));
        assertThat(MARKS.rings(marks, Map.of(1, FIRST, 2, SECOND))).containsEntry(2, right(SECOND));
    }

    @Test
    void marksThatAreOffWithinTheirTolerance_areHeldToTheirOwnPlaces() {
        Length line = Length.ofFraction(0, 1, 16);
        Map<Integer, Target> held = MARKS.rings(Map.of(1, FIRST.plus(line), 2, SECOND.plus(line)), Map.of());
        assertThat(held).containsEntry(1, right(FIRST)).containsEntry(2, right(SECOND));
    }

    @Test
    void markThatFollowsWithinItsTolerance_isCarriedOn_andItsOwnDeviationStays() {
        Length nearly = SECOND.minus(SHRINK).plus(Length.ofFraction(0, 1, 16));
        Map<Integer, Target> held = MARKS.figures(Map.of(1, FIRST.minus(SHRINK), 2, nearly));
        assertThat(held).containsEntry(2, new Target(SECOND.minus(SHRINK), Optional.of(Reason.EARLIER_MARK)));
    }

    /** With the tape started at the 1 in line every ring is an inch off: that is one slip. */
    @Test
    void burnedInch_isChargedOnce() {
        Length inch = Length.ofInches(1);
        Map<Integer, Length> rings = Map.of(1, FIRST.minus(inch), 2, SECOND.minus(inch));
        Map<Integer, Target> held = MARKS.rings(rings, Map.of(1, FIRST, 2, SECOND));
        assertThat(held).containsEntry(1, right(FIRST));
        assertThat(held.get(2)).isEqualTo(new Target(SECOND.minus(inch), Optional.of(Reason.EARLIER_MARK)));
    }

    /** A run's gain left out at each of its ninetys: 3, 6 and 9 in too far. It is one slip, and charged where it was made first. */
    @Test
    void slipThatIsMadeAtEveryBend_isChargedOnce_whereThatIsTheRule() {
        Map<Integer, Length> right =
                Map.of(1, Length.ofInches(20), 2, Length.ofInches(40), 3, Length.ofInches(60), 4, Length.ofInches(80));
        Map<Integer, Length> own =
                Map.of(1, Length.ofInches(20), 2, Length.ofInches(43), 3, Length.ofInches(66), 4, Length.ofInches(89));
        Tolerance eighth = Tolerance.even(Length.ofFraction(0, 1, 8));
        Map<Integer, Target> held = new CarriedOn(right, _ -> eighth, true).figures(own);
        assertThat(held.get(1).reason()).isEmpty();
        assertThat(held.get(2)).isEqualTo(new Target(Length.ofInches(40), Optional.empty()));
        assertThat(held.get(3)).isEqualTo(new Target(Length.ofInches(66), Optional.of(Reason.SAME_SLIP)));
        assertThat(held.get(4)).isEqualTo(new Target(Length.ofInches(89), Optional.of(Reason.SAME_SLIP)));
        assertThat(new CarriedOn(right, _ -> eighth, false).figures(own).get(3).reason())
                .isEmpty();
    }
}
