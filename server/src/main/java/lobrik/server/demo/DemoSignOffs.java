package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.random.RandomGeneratorFactory;
import lobrik.progress.Curriculum;
import lobrik.progress.Family;
import lobrik.server.account.Account;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.progress.SignOffs;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The made-up school's signatures: who had shown enough a week and a half ago was signed off then, so that there are signatures to
 * look at and, from the days since, people who are proposed. One signature was withdrawn.
 */
@Component
@Order(3) // After it is worked out what the pieces came to.
class DemoSignOffs implements ApplicationRunner {

    private static final long SEED = 20_261_128;
    private static final int DAYS_AGO = 10;

    private final FirstContents contents;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final SignOffs signOffs;
    private final Clock clock;

    DemoSignOffs(
            FirstContents contents,
            EntityManager entities,
            TransactionTemplate transaction,
            SignOffs signOffs,
            Clock clock) {
        this.contents = contents;
        this.entities = entities;
        this.transaction = transaction;
        this.signOffs = signOffs;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (contents.isFresh()) {
            Ids ids = new Ids(RandomGeneratorFactory.of("L64X128MixRandom").create(SEED));
            Instant then = clock.instant().minus(DAYS_AGO, ChronoUnit.DAYS);
            AtomicBoolean withdrawn = new AtomicBoolean();
            for (Taught taught : Objects.requireNonNull(transaction.execute(status -> taught()))) {
                // One by one: what is written of one is not looked through for changes at the next.
                transaction.executeWithoutResult(status -> sign(taught, ids, then, withdrawn));
            }
        }
    }

    /** A trainee with one of their instructors. */
    private record Taught(UUID trainee, SignedIn instructor) {}

    private List<Taught> taught() {
        List<Taught> all = new ArrayList<>();
        for (Cohort cohort :
                entities.createQuery("from Cohort order by name", Cohort.class).getResultList()) {
            SignedIn instructor = entities.createQuery(
                            "select a from Cohort c join c.instructors i join Account a on a.id = i where c.id = :cohort",
                            Account.class)
                    .setParameter("cohort", cohort.id())
                    .getResultList()
                    .getFirst()
                    .signedIn();
            entities.createQuery("select id from Trainee where cohortId = :cohort order by bench", UUID.class)
                    .setParameter("cohort", cohort.id())
                    .getResultStream()
                    .forEach(trainee -> all.add(new Taught(trainee, instructor)));
        }
        return all;
    }

    private void sign(Taught taught, Ids ids, Instant then, AtomicBoolean withdrawn) {
        List<Family> bent = signOffs.bent(taught.trainee());
        for (Family family : bent) {
            UUID id = ids.next();
            boolean signed = signOffs.signedThen(taught.instructor(), id, taught.trainee(), family, then);
            boolean first = family.equals(Curriculum.USUAL.families().getFirst());
            if (signed && !first && withdrawn.compareAndSet(false, true)) {
                signOffs.withdraw(taught.instructor(), id, "The pieces of two benches had been mixed up");
            }
        }
    }
}
