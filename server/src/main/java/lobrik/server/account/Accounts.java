package lobrik.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.measure.LengthUnit;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts, and what each prefers. */
@Service
public class Accounts {

    /** Names stand on every record; a new one is seen everywhere within a minute. */
    private final Cache<UUID, String> names = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofMinutes(1))
            .build();

    private final EntityManager entities;

    Accounts(EntityManager entities) {
        this.entities = entities;
    }

    /** Whose name it is, and the hash of their password; null if it lets nobody in. */
    record Credential(SignedIn who, @Nullable String hash) {}

    @Transactional(readOnly = true)
    @Nullable
    Credential credential(String signInName) {
        return entities.createQuery("from Account where signInName = :name", Account.class)
                .setParameter("name", signInName)
                .getResultStream()
                .findFirst()
                .map(account ->
                        new Credential(account.signedIn(), account.isDisabled() ? null : account.passwordHash()))
                .orElse(null);
    }

    /**
     * What its holder's screens begin with.
     *
     * @param heldBack whether they would be a lead if they had a second factor
     */
    record Preferences(LengthUnit unit, boolean heldBack) {}

    @Transactional(readOnly = true)
    Preferences preferences(SignedIn who) {
        Account account = entities.find(Account.class, who.accountId());
        return new Preferences(account.unit(), account.isHeldBack());
    }

    /** How the account likes bare numbers to be read and lengths to be shown. */
    @Transactional(readOnly = true)
    public LengthUnit unitOf(SignedIn who) {
        return entities.find(Account.class, who.accountId()).unit();
    }

    @Transactional(readOnly = true)
    String signInNameOf(SignedIn who) {
        return entities.find(Account.class, who.accountId()).signInName();
    }

    /** The trainee whose account it is; null for everybody else's. */
    @Transactional(readOnly = true)
    public @Nullable UUID traineeOf(SignedIn who) {
        return entities.find(Account.class, who.accountId()).traineeId();
    }

    @Transactional
    void prefer(SignedIn who, LengthUnit unit) {
        entities.find(Account.class, who.accountId()).prefer(unit);
    }

    /**
     * Lets only those pass who may change something of the school's.
     *
     * @param what it is, to begin a sentence with
     * @param cure what to do instead
     * @throws TurnedDown if somebody else made it, with their name
     */
    @Transactional(readOnly = true)
    public void requireMayChange(SignedIn who, UUID maker, String what, String cure) {
        if (!who.mayChangeWhatWasMadeBy(maker)) {
            throw TurnedDown.forbidden(what + " was made by "
                    + namesOf(List.of(maker)).getOrDefault(maker, "a colleague")
                    + "; only they and the centre lead change it or put it away. " + cure);
        }
    }

    /** Those of a school who are let in and may do something, by name. */
    @Transactional(readOnly = true)
    public List<Account> whoMay(UUID centreId, Right right) {
        return entities.createQuery(
                        "from Account where centreId = :centre and disabledAt is null order by fullName", Account.class)
                .setParameter("centre", centreId)
                .getResultStream()
                .filter(account -> account.signedIn().may(right))
                .toList();
    }

    /** The full names of accounts, by id. */
    @Transactional(readOnly = true)
    public Map<UUID, String> namesOf(Collection<UUID> ids) {
        return names.getAll(ids, this::read);
    }

    private Map<UUID, String> read(Collection<? extends UUID> ids) {
        return entities.createQuery("from Account where id in :ids", Account.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(
                        Account::id, account -> account.signedIn().fullName()));
    }
}
