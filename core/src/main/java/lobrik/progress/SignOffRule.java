package lobrik.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.verdict.TolerancePreset;

/**
 * What has to be shown before an instructor is asked to sign (handbook 7): so many passes among the last pieces, on several
 * days, judged closely enough, some of them without a bend going back into the shoe. A school edits it.
 *
 * @param passes how many of the last pieces have to pass
 * @param of how many pieces are looked at
 * @param days on how many different days the passes are
 * @param strictness only passes that were judged as closely count
 * @param withoutRebending how many of the passes are without re-bending
 * @param steadyPasses how many of the last pieces have to pass, by whatever tolerance, to count as steady
 */
public record SignOffRule(int passes, int of, int days, Strictness strictness, int withoutRebending, int steadyPasses) {

    /** Three of the last four, on two days, at site tolerance, one without re-bending. */
    public static final SignOffRule USUAL =
            new SignOffRule(3, 4, 2, Strictness.of(TolerancePreset.SITE.tolerances()), 1, 3);

    /** As many as are ever looked at. */
    public static final int MOST_PIECES = 12;

    /** @throws lobrik.fault.Refused with every figure that is outside its range, or that no piece could meet */
    public SignOffRule {
        Faults faults = new Faults();
        require(faults, "of", "the number of pieces looked at", of, 1, MOST_PIECES);
        require(faults, "passes", "the number of passes", passes, 1, of);
        require(faults, "days", "the number of days", days, 1, passes);
        require(faults, "withoutRebending", "the number without re-bending", withoutRebending, 0, passes);
        require(faults, "steadyPasses", "the number of passes to be steady", steadyPasses, 1, of);
        faults.refuseIfAny();
    }

    private static void require(Faults faults, String input, String name, int value, int from, int to) {
        if (value < from || value > to) {
            faults.add(
                    FaultCode.OUT_OF_RANGE, input, name + " is " + value + "; it must be from " + from + " to " + to);
        }
    }

    /** One thing that the rule asks, and how far it is there. */
    public record Condition(Ask ask, int have, int want) {

        public boolean isMet() {
            return have >= want;
        }
    }

    /** What is asked. */
    public enum Ask {
        PASSES,
        DAYS,
        WITHOUT_REBENDING
    }

    /**
     * How far somebody is.
     *
     * @param conditions in the order in which they are asked
     * @param evidence the passes that count, from the oldest
     */
    public record Check(List<Condition> conditions, List<Outcome> evidence) {

        public boolean isMet() {
            return conditions.stream().allMatch(Condition::isMet);
        }
    }

    /** How far the last of some pieces of one kind, from the oldest, show what is asked. */
    public Check check(List<Outcome> pieces) {
        List<Outcome> counted = last(pieces).stream()
                .filter(piece -> piece.passed() && piece.judgedBy().isAtLeastAsStrictAs(strictness))
                .toList();
        List<Condition> conditions = new ArrayList<>();
        conditions.add(new Condition(Ask.PASSES, counted.size(), passes));
        long onDays = counted.stream().mapToLong(Outcome::day).distinct().count();
        conditions.add(new Condition(Ask.DAYS, (int) onDays, days));
        long clean = counted.stream().filter(piece -> piece.rebent() == 0).count();
        conditions.add(new Condition(Ask.WITHOUT_REBENDING, (int) clean, withoutRebending));
        return new Check(List.copyOf(conditions), counted);
    }

    /**
     * Where somebody stands with some pieces of one kind, from the oldest.
     *
     * @param signed whether a signature stands
     */
    public Standing standing(List<Outcome> pieces, boolean signed) {
        if (signed) {
            return Standing.SIGNED;
        }
        if (pieces.isEmpty()) {
            return Standing.NOT_TRIED;
        }
        if (check(pieces).isMet()) {
            return Standing.READY;
        }
        long passed = last(pieces).stream().filter(Outcome::passed).count();
        return passed >= steadyPasses ? Standing.STEADY : Standing.LEARNING;
    }

    /** That pieces speak against a signature: so many of the last ones failed. */
    public record Against(int failed, int pieces) {}

    /**
     * Whether the pieces since a signature speak against it: so many of the last ones failed that, however the others come out, they
     * cannot count as steady any more.
     *
     * @param passedSince whether each piece passed, from the oldest
     */
    public Optional<Against> against(List<Boolean> passedSince) {
        List<Boolean> last = passedSince.subList(Math.max(0, passedSince.size() - of), passedSince.size());
        int failed = (int) last.stream().filter(passed -> !passed).count();
        return failed > of - steadyPasses ? Optional.of(new Against(failed, last.size())) : Optional.empty();
    }

    private List<Outcome> last(List<Outcome> pieces) {
        return pieces.subList(Math.max(0, pieces.size() - of), pieces.size());
    }
}
