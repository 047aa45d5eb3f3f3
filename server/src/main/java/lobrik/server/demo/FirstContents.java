package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import lobrik.server.account.Account;
import lobrik.server.account.Role;
import lobrik.server.attempt.Bases;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Centre;
import lobrik.server.platform.Turns;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty database once, in one transaction: the made-up school, or a centre with one account to begin with. */
@Component
@Order(1)
class FirstContents implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(FirstContents.class);
    /** Two servers may find it empty at the same moment. */
    private static final UUID EMPTY = new UUID(0, 0);

    private static final long SEED = 20_261_123;

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final PasswordEncoder passwords;
    private final Calculations calculations;
    private final Bases bases;
    private final Clock clock;
    private final Turns turns;
    private final boolean demo;
    private final String firstPassword;
    private boolean fresh;

    FirstContents(
            EntityManager entities,
            TransactionTemplate transaction,
            PasswordEncoder passwords,
            Calculations calculations,
            Bases bases,
            Clock clock,
            Turns turns,
            @Value("${lobrik.demo}") boolean demo,
            @Value("${lobrik.first-password:}") String firstPassword) {
        this.entities = entities;
        this.transaction = transaction;
        this.passwords = passwords;
        this.calculations = calculations;
        this.bases = bases;
        this.clock = clock;
        this.turns = turns;
        this.demo = demo;
        this.firstPassword = firstPassword;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        transaction.executeWithoutResult(status -> {
            turns.take(EMPTY);
            long centres = entities.createQuery("select count(*) from Centre", Long.class)
                    .getSingleResult();
            if (centres == 0) {
                fill();
            }
        });
    }

    private void fill() {
        if (firstPassword.isBlank()) {
            throw new IllegalStateException(
                    "The database is empty and lobrik.first-password is not set: nobody could sign in");
        }
        String hash = String.valueOf(passwords.encode(firstPassword));
        if (demo) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(SEED);
            Ids ids = new Ids(random);
            LOG.info("Loading the demo school");
            new DemoSchool(entities, bases, calculations, ids, random, clock.instant(), hash).load();
            fresh = true;
        } else {
            // No other school has these: one may be brought into the place of another.
            Ids ids = new Ids(new SecureRandom());
            Centre centre = new Centre(ids.next(), "Our training centre", clock.instant());
            entities.persist(centre);
            entities.persist(
                    new Account(ids.next(), centre.id(), "lead", "Centre lead", Role.LEAD, hash, clock.instant()));
            new GenericShed(entities, ids, centre.id(), clock.instant()).load();
        }
    }

    /** Whether the made-up school was filled in at this start. */
    boolean isFresh() {
        return fresh;
    }
}
