package lobrik.server.progress;

import java.util.List;
import java.util.stream.Collectors;
import lobrik.progress.SignOffRule;

/** What a sign-off rule asks, in words. */
final class RuleWords {

    private RuleWords() {}

    /** What is there and what is asked: {@code 2 of 3 passes}; {@code 4 passes (3 asked)}. */
    static String condition(SignOffRule.Condition condition) {
        int have = condition.have();
        int want = condition.want();
        return switch (condition.ask()) {
            case PASSES -> counted(have, want, want == 1 ? " pass" : " passes", " passes");
            case DAYS -> "on " + counted(have, want, want == 1 ? " day" : " days", " days");
            case WITHOUT_REBENDING -> counted(have, want, "", "") + " without re-bending";
        };
    }

    /** Nobody says “2 of 1”. */
    private static String counted(int have, int want, String asked, String more) {
        return have <= want ? have + " of " + want + asked : have + more + " (" + want + " asked)";
    }

    /** What is not there yet. */
    static String missing(SignOffRule.Check check) {
        List<SignOffRule.Condition> missing = check.conditions().stream()
                .filter(condition -> !condition.isMet())
                .toList();
        return missing.stream().map(RuleWords::condition).collect(Collectors.joining(", "));
    }
}
