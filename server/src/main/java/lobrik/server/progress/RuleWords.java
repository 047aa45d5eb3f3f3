package lobrik.server.progress;

import java.util.List;
import java.util.stream.Collectors;
import lobrik.progress.SignOffRule;

/** What a sign-off rule asks, in words. */
final class RuleWords {

    private RuleWords() {}

    /** What is there and what is asked: {@code 2 of 3 passes}. */
    static String condition(SignOffRule.Condition condition) {
        int have = condition.have();
        int want = condition.want();
        return switch (condition.ask()) {
            case PASSES -> have + " of " + want + (want == 1 ? " pass" : " passes");
            case DAYS -> "on " + have + " of " + want + (want == 1 ? " day" : " days");
            case WITHOUT_REBENDING -> have + " of " + want + " without re-bending";
        };
    }

    /** What is not there yet. */
    static String missing(SignOffRule.Check check) {
        List<SignOffRule.Condition> missing = check.conditions().stream()
                .filter(condition -> !condition.isMet())
                .toList();
        return missing.stream().map(RuleWords::condition).collect(Collectors.joining(", "));
    }
}
