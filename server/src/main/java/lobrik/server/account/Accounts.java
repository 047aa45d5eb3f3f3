package lobrik.server.account;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.measure.LengthUnit;
import lobrik.server.platform.Allowance;
import lobrik.server.platform.TurnedDown;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signing in, and what an account prefers. */
@Service
public class Accounts {

    private static final int TRIES = 10;
    private static final Duration TRIES_COME_BACK_IN = Duration.ofMinutes(5);

    private final EntityManager entities;
    private final PasswordEncoder passwords;

    /** A hash that no password has: checked for unknown names, so that they take as long as known ones. */
    private final String nobodysHash;

    private final Allowance tries = new Allowance(TRIES, TRIES_COME_BACK_IN);

    Accounts(EntityManager entities, PasswordEncoder passwords) {
        this.entities = entities;
        this.passwords = passwords;
        this.nobodysHash = String.valueOf(passwords.encode(UUID.randomUUID().toString()));
    }

    /**
     * Who has this name and password.
     *
     * @throws TurnedDown if nobody has, or after ten failures in five minutes
     */
    @Transactional(readOnly = true)
    public SignedIn verify(String signInName, String password) {
        String name = signInName.strip().toLowerCase(Locale.ROOT);
        if (!tries.hasLeft(name)) {
            throw TurnedDown.tooOften("Too many wrong tries for this name; wait half a minute and try again");
        }
        List<Account> found = entities.createQuery("from Account where signInName = :name", Account.class)
                .setParameter("name", name)
                .getResultList();
        String hash = found.isEmpty() ? nobodysHash : found.getFirst().passwordHash();
        if (!passwords.matches(password, hash) || found.isEmpty()) {
            tries.use(name);
            throw TurnedDown.unauthorised("Name and password do not belong together");
        }
        return found.getFirst().signedIn();
    }

    /** How the account likes bare numbers to be read and lengths to be shown. */
    @Transactional(readOnly = true)
    public LengthUnit unitOf(SignedIn who) {
        return entities.find(Account.class, who.accountId()).unit();
    }

    @Transactional
    void prefer(SignedIn who, LengthUnit unit) {
        entities.find(Account.class, who.accountId()).prefer(unit);
    }

    /** The full names of accounts, by id. */
    @Transactional(readOnly = true)
    public Map<UUID, String> namesOf(Collection<UUID> ids) {
        return entities.createQuery("from Account where id in :ids", Account.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(
                        Account::id, account -> account.signedIn().fullName()));
    }
}
