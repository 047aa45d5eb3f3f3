package lobrik.server.judging;

import java.util.Optional;
import java.util.UUID;
import lobrik.cause.Cause;
import lobrik.measure.LengthUnit;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Attempts.Measured;
import org.springframework.stereotype.Service;

/** Judges attempts. */
@Service
public class Judging {

    /**
     * An attempt with its verdict.
     *
     * @param unit that its sentences say lengths in
     */
    public record Judged(Measured measured, Judgement judgement, LengthUnit unit) {}

    private final Attempts attempts;
    private final Accounts accounts;

    Judging(Attempts attempts, Accounts accounts) {
        this.attempts = attempts;
        this.accounts = accounts;
    }

    /**
     * The verdict on an attempt, in the unit of the one who asks.
     *
     * @throws lobrik.server.platform.TurnedDown if there is none for the one who asks
     */
    public Judged of(SignedIn who, UUID attemptId) {
        Judge judge = judge(who, attemptId);
        return new Judged(judge.measured(), judge.judgement(), judge.unit());
    }

    /**
     * The cause that the verdict names; empty where none stands out, or where nothing is read. Where everything is within
     * tolerance, only that nothing went wrong.
     */
    public static Optional<Cause> namedCause(Measured measured) {
        // Nothing is said here, so that the unit does not matter.
        return new Judge(measured, LengthUnit.INCH).named();
    }

    Judge judge(SignedIn who, UUID attemptId) {
        return new Judge(attempts.get(who, attemptId), accounts.unitOf(who));
    }
}
