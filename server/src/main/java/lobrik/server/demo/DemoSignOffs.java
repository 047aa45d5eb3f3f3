package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import java.util.random.RandomGeneratorFactory;
import lobrik.progress.Curriculum;
import lobrik.progress.Family;
import lobrik.server.account.Account;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Trainee;
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
            transaction.executeWithoutResult(status -> sign());
        }
    }

    private void sign() {
        Ids ids = new Ids(RandomGeneratorFactory.of("L64X128MixRandom").create(SEED));
        Instant then = clock.instant().minus(DAYS_AGO, ChronoUnit.DAYS);
        boolean withdrawn = false;
        for (Cohort cohort :
                entities.createQuery("from Cohort order by name", Cohort.class).getResultList()) {
            SignedIn instructor = entities.createQuery(
                            "select a from Cohort c join c.instructors i join Account a on a.id = i where c.id = :cohort",
                            Account.class)
                    .setParameter("cohort", cohort.id())
                    .getResultList()
                    .getFirst()
                    .signedIn();
            for (Trainee trainee : entities.createQuery(
                            "from Trainee where cohortId = :cohort order by bench", Trainee.class)
                    .setParameter("cohort", cohort.id())
                    .getResultList()) {
                for (Family family : Family.all()) {
                    UUID id = ids.next();
                    boolean signed = signOffs.signedThen(instructor, id, trainee.id(), family, then);
                    if (signed
                            && !withdrawn
                            && !family.equals(Curriculum.USUAL.families().getFirst())) {
                        signOffs.withdraw(instructor, id, "The pieces of two benches had been mixed up");
                        withdrawn = true;
                    }
                }
            }
        }
    }
}
