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

    /** As it stands since somebody wrote on it. */
    AttemptView of(Keeping.Written written) {
        return of(written.measured(), written.trainee());
    }

    private AttemptView of(Measured measured, Trainee trainee) {
        Names names = new Names(accounts.namesOf(Names.in(measured.ledger())));
        return AttemptView.of(measured, trainee, calculations.plan(measured.question()), names);
    }
}
