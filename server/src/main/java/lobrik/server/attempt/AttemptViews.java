package lobrik.server.attempt;

import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import org.springframework.stereotype.Component;

/** Makes views of attempts. */
@Component
public class AttemptViews {

    private final Cohorts cohorts;
    private final Accounts accounts;
    private final Calculations calculations;

    AttemptViews(Cohorts cohorts, Accounts accounts, Calculations calculations) {
        this.cohorts = cohorts;
        this.accounts = accounts;
        this.calculations = calculations;
    }

    public AttemptView of(SignedIn who, Measured measured) {
        return of(measured, cohorts.trainee(who, measured.attempt().traineeId()));
    }

    /** What changed when somebody wrote on it. */
    AttemptChange of(Keeping.Written written) {
        return AttemptChange.of(written.measured(), written.trainee(), names(written.measured()));
    }

    private Names names(Measured measured) {
        return new Names(accounts.namesOf(Names.in(measured.ledger())));
    }

    private AttemptView of(Measured measured, Trainee trainee) {
        return AttemptView.of(measured, trainee, calculations.plan(measured.question()), names(measured));
    }
}
