package lobrik.server.judging;

import java.util.Optional;
import java.util.UUID;
import lobrik.cause.Cause;
import lobrik.measure.LengthUnit;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.BenderRecords;
import lobrik.server.attempt.Measured;
import lobrik.server.attempt.OnBender;
import lobrik.verdict.KnownBender;
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
    private final BenderRecords benders;

    Judging(Attempts attempts, Accounts accounts, BenderRecords benders) {
        this.attempts = attempts;
        this.accounts = accounts;
        this.benders = benders;
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
        KnownBender bender = measured.attempt().onBender().map(OnBender::toCore).orElse(KnownBender.NONE);
        return new Judge(measured, bender, LengthUnit.INCH).named();
    }

    /** The verdict on a piece for the trainee who bent it, who has no account. */
    public Judgement forTrainee(Measured measured, LengthUnit unit) {
        return new Judge(measured, bender(measured.exercise().centreId(), measured), unit).judgement();
    }

    Judge judge(SignedIn who, UUID attemptId) {
        Measured measured = attempts.get(who, attemptId);
        return new Judge(measured, bender(who.centreId(), measured), accounts.unitOf(who));
    }

    /** As it was known when the piece was begun; of a piece of which nobody asked then, what is known now. */
    private KnownBender bender(UUID centreId, Measured measured) {
        return measured.attempt()
                .onBender()
                .map(OnBender::toCore)
                .orElseGet(() -> benders.known(
                        centreId,
                        measured.attempt().benderRevisionId(),
                        measured.exercise().benderLabel()));
    }
}
