package lobrik.server.account;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.HexFormat;
import java.util.UUID;
import java.util.random.RandomGenerator;
import lobrik.server.platform.Sha256;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Devices from which somebody signed in before. Each keeps a token of 128 bits, which says nothing but that; it lets nobody in,
 * it only spares its holder the wait that strangers' tries with their name bring about.
 */
@Service
class KnownDevices {

    private static final int TOKEN_BYTES = 16;

    private final EntityManager entities;
    private final RandomGenerator chance;
    private final Clock clock;

    KnownDevices(EntityManager entities, RandomGenerator chance, Clock clock) {
        this.entities = entities;
        this.chance = chance;
        this.clock = clock;
    }

    /** Whether the holder of this token signed in with this name before. */
    @Transactional(readOnly = true)
    boolean knows(String token, String signInName) {
        return !entities.createNativeQuery("""
                        select 1 from known_device d join account a on a.id = d.account_id
                        where d.token_hash = :hash and a.sign_in_name = :name""")
                .setParameter("hash", Sha256.of(token))
                .setParameter("name", signInName)
                .getResultList()
                .isEmpty();
    }

    /** Remembers a device; gives the token that it is to keep. */
    @Transactional
    String remember(UUID accountId) {
        byte[] bytes = new byte[TOKEN_BYTES];
        chance.nextBytes(bytes);
        String token = HexFormat.of().formatHex(bytes);
        entities.createNativeQuery("""
                        insert into known_device (token_hash, account_id, since, seen_at) values (:hash, :account, :now, :now)""")
                .setParameter("hash", Sha256.of(token))
                .setParameter("account", accountId)
                .setParameter("now", clock.instant())
                .executeUpdate();
        return token;
    }

    /** Notes that it was used again; false if it is another's. */
    @Transactional
    boolean seen(String token, UUID accountId) {
        return entities.createNativeQuery("""
                        update known_device set seen_at = :now where token_hash = :hash and account_id = :account""")
                        .setParameter("hash", Sha256.of(token))
                        .setParameter("account", accountId)
                        .setParameter("now", clock.instant())
                        .executeUpdate()
                > 0;
    }
}
