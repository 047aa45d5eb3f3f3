package lobrik.server.account;

import static lobrik.server.platform.Right.EXPORT;
import static lobrik.server.platform.Right.MEASURE;
import static lobrik.server.platform.Right.OWN_ACCOUNT;
import static lobrik.server.platform.Right.OWN_PAGE;
import static lobrik.server.platform.Right.READ;
import static lobrik.server.platform.Right.READ_EVERY_COHORT;
import static lobrik.server.platform.Right.READ_RECORDS;
import static lobrik.server.platform.Right.SIGN;
import static lobrik.server.platform.Right.TEACH;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import lobrik.server.platform.Right;

/**
 * Who may what: the one place that says it. An endpoint names the right that it needs; which cohorts somebody sees with it is
 * said by {@code cohort.Cohorts}, and what was made by a colleague is changed by nobody but them and the lead
 * ({@link SignedIn#mayChangeWhatWasMadeBy}).
 */
public final class Permissions {

    private Permissions() {}

    /** The rights of a role. */
    public static Set<Right> of(Role role) {
        return Collections.unmodifiableSet(
                switch (role) {
                    case LEAD -> EnumSet.complementOf(EnumSet.of(OWN_PAGE));
                    case INSTRUCTOR -> EnumSet.of(OWN_ACCOUNT, READ, EXPORT, MEASURE, TEACH, SIGN);
                    case ASSISTANT -> EnumSet.of(OWN_ACCOUNT, READ, MEASURE);
                    case AUDITOR -> EnumSet.of(OWN_ACCOUNT, READ, READ_EVERY_COHORT, READ_RECORDS, EXPORT);
                    case TRAINEE -> EnumSet.of(OWN_ACCOUNT, OWN_PAGE);
                });
    }
}
