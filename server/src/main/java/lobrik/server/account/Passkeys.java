package lobrik.server.account;

import com.webauthn4j.util.exception.WebAuthnException;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.nio.ByteBuffer;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Passkeys (WebAuthn level 2): a device shows that it has the key, after it has made sure who holds it, so that nothing else is asked for.
 * They belong to the name that the browser has in its address: one that was made at one name is of no use at another.
 */
@Service
class Passkeys {

    private static final int MOST_OF_AN_ACCOUNT = 20;
    private static final int LONGEST_LABEL = 60;
    private static final Duration GOOD_FOR = Duration.ofMinutes(5);
    private static final int MOST_WAITING = 10_000;

    private static final JsonMapper JSON =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    private static final TypeReference<Map<String, Object>> ANY = new TypeReference<>() {};
    private static final TypeReference<PublicKeyCredential<AuthenticatorAttestationResponse>> MADE =
            new TypeReference<>() {};
    private static final TypeReference<PublicKeyCredential<AuthenticatorAssertionResponse>> SHOWN =
            new TypeReference<>() {};

    /**
     * Where the browser is.
     *
     * @param host the name in its address
     * @param origin with scheme and port
     */
    record Place(String host, String origin) {}

    /** What a device is asked to do, and the name under which the question is remembered. */
    record Question(String key, Map<String, Object> options) {}

    private final EntityManager entities;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;
    private final TransactionTemplate alone;

    Passkeys(EntityManager entities, Audit audit, Turns turns, Clock clock, PlatformTransactionManager transactions) {
        this.alone = new TransactionTemplate(transactions);
        this.alone.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.entities = entities;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /** The account as devices know it. */
    static Bytes handle(UUID accountId) {
        return new Bytes(ByteBuffer.allocate(16)
                .putLong(accountId.getMostSignificantBits())
                .putLong(accountId.getLeastSignificantBits())
                .array());
    }

    private static @Nullable UUID account(Bytes handle) {
        byte[] bytes = handle.getBytes();
        if (bytes.length != 16) {
            return null;
        }
        ByteBuffer both = ByteBuffer.wrap(bytes);
        return new UUID(both.getLong(), both.getLong());
    }

    /** Somebody's keys, the newest first. */
    @Transactional(readOnly = true)
    List<Passkey> of(SignedIn who) {
        return of(who.accountId());
    }

    private List<Passkey> of(@Nullable UUID accountId) {
        return entities.createQuery("from Passkey where accountId = :account order by createdAt desc", Passkey.class)
                .setParameter("account", accountId)
                .getResultList();
    }

    /** What a device is asked to make. */
    @Transactional
    Question toMake(SignedIn who, Place place) {
        if (of(who).size() >= MOST_OF_AN_ACCOUNT) {
            throw TurnedDown.conflict("too-many", "You have " + MOST_OF_AN_ACCOUNT + " passkeys; take one away first");
        }
        PublicKeyCredentialCreationOptions options = making(who, place, Bytes.random());
        return new Question(keep(who.accountId(), options.getChallenge()), JSON.convertValue(options, ANY));
    }

    private PublicKeyCredentialCreationOptions making(SignedIn who, Place place, Bytes challenge) {
        return party(place, challenge)
                .createPublicKeyCredentialCreationOptions(new ImmutablePublicKeyCredentialCreationOptionsRequest(
                        UsernamePasswordAuthenticationToken.authenticated(
                                who.accountId().toString(), null, List.of())));
    }

    /** Remembers a question for whichever server is answered; what nobody answered in time goes. */
    private String keep(@Nullable UUID accountId, Bytes challenge) {
        UUID key = UUID.randomUUID();
        entities.createNativeQuery("delete from passkey_question where good_until < :now")
                .setParameter("now", clock.instant())
                .executeUpdate();
        entities.createNativeQuery("insert into passkey_question (id, account_id, challenge, good_until)"
                        + " values (:key, cast(:account as uuid), :challenge, :until)")
                .setParameter("key", key)
                .setParameter("account", accountId)
                .setParameter("challenge", challenge.getBytes())
                .setParameter("until", clock.instant().plus(GOOD_FOR))
                .executeUpdate();
        return key.toString();
    }

    /**
     * What was asked under a name, once.
     *
     * @param accountId of whoever was asked to make a key; null for whoever shows one
     * @throws TurnedDown if nothing was, or too long ago
     */
    private Bytes asked(@Nullable UUID accountId, String key) {
        UUID id;
        try {
            id = UUID.fromString(key);
        } catch (IllegalArgumentException e) {
            throw notInTime();
        }
        // In a transaction of its own, so that whatever becomes of the answer, nobody can answer the same question
        // again.
        Optional<byte[]> challenge = Objects.requireNonNull(alone.execute(_ -> Rows.listed(entities.createNativeQuery(
                                "delete from passkey_question where id = :key and good_until >= :now"
                                        + " and account_id is not distinct from cast(:account as uuid) returning challenge",
                                Tuple.class)
                        .setParameter("key", id)
                        .setParameter("now", clock.instant())
                        .setParameter("account", accountId))
                .stream()
                .map(row -> row.get("challenge", byte[].class))
                .findFirst()));
        return new Bytes(challenge.orElseThrow(Passkeys::notInTime));
    }

    /**
     * Keeps a key that a device made.
     *
     * @param label what its holder calls the device
     * @throws TurnedDown if it is not what was asked for
     */
    @Transactional
    void keep(SignedIn who, Place place, String key, String label, Map<String, Object> credential) {
        String name = label.strip();
        if (name.isEmpty() || name.length() > LONGEST_LABEL) {
            throw TurnedDown.badInput(
                    "/label", "missing", "call it something of 1 to " + LONGEST_LABEL + " characters");
        }
        turns.take(who.accountId());
        Bytes challenge = asked(who.accountId(), key);
        PublicKeyCredentialCreationOptions options = making(who, place, challenge);
        try {
            party(place, challenge)
                    .registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                            options, new RelyingPartyPublicKey(JSON.convertValue(credential, MADE), name)));
        } catch (JacksonException | IllegalArgumentException | WebAuthnException refused) {
            throw TurnedDown.badInput("", "wrong-key", "this key is not what your device was asked for; try again");
        }
        note(who, null, name);
    }

    /**
     * Takes a key away: nobody gets in with it any more.
     *
     * @throws TurnedDown if they have none of this id
     */
    @Transactional
    void takeAway(SignedIn who, String id) {
        turns.take(who.accountId());
        Passkey passkey = of(who).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("passkey"));
        entities.remove(passkey);
        note(who, passkey.label(), null);
    }

    private void note(SignedIn who, @Nullable String from, @Nullable String to) {
        Account account = entities.find(Account.class, who.accountId());
        audit.changed(who, People.subject(account), List.of(new Audit.Change("passkey", from, to)), null);
    }

    /** What any device is asked to show. */
    @Transactional
    Question toShow(Place place) {
        long waiting = (Long)
                entities.createNativeQuery("select count(*) from passkey_question where good_until >= :now", Long.class)
                        .setParameter("now", clock.instant())
                        .getSingleResult();
        if (waiting >= MOST_WAITING) {
            throw TurnedDown.tooOften("Too many are signing in just now; wait a minute and try again");
        }
        PublicKeyCredentialRequestOptions options = showing(place, Bytes.random());
        return new Question(keep(null, options.getChallenge()), JSON.convertValue(options, ANY));
    }

    private PublicKeyCredentialRequestOptions showing(Place place, Bytes challenge) {
        return party(place, challenge)
                .createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(null));
    }

    /**
     * Who showed a key.
     *
     * @throws TurnedDown if it is not what was asked for, or nobody's who is let in
     */
    @Transactional
    SignedIn shown(Place place, String key, Map<String, Object> credential, String address) {
        Bytes challenge = asked(null, key);
        PublicKeyCredentialRequestOptions options = showing(place, challenge);
        PublicKeyCredentialUserEntity user;
        try {
            user = party(place, challenge)
                    .authenticate(new RelyingPartyAuthenticationRequest(options, JSON.convertValue(credential, SHOWN)));
        } catch (JacksonException | IllegalArgumentException | WebAuthnException refused) {
            throw unknown();
        }
        UUID id = account(user.getId());
        Account account = id == null ? null : entities.find(Account.class, id);
        if (account == null || account.isDisabled()) {
            throw unknown();
        }
        SignedIn who = account.signedIn();
        audit.note(
                Audit.What.SIGNED_IN, who.centreId(), who.accountId(), account.signInName() + ", by passkey", address);
        return who;
    }

    private static TurnedDown notInTime() {
        return TurnedDown.conflict("not-in-time", "That took too long, or was used already; try again");
    }

    private static TurnedDown unknown() {
        return TurnedDown.unauthorised("This passkey opens nothing here");
    }

    /** @param challenge what its questions ask to be signed */
    private Webauthn4JRelyingPartyOperations party(Place place, Bytes challenge) {
        Webauthn4JRelyingPartyOperations party = new Webauthn4JRelyingPartyOperations(
                new Holders(),
                new Keys(),
                PublicKeyCredentialRpEntity.builder()
                        .id(place.host())
                        .name("Lobrik")
                        .build(),
                Set.of(place.origin()));
        // The device makes sure who holds it: a key is both factors.
        party.setCustomizeCreationOptions(options -> options.challenge(challenge)
                .authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        party.setCustomizeRequestOptions(
                options -> options.challenge(challenge).userVerification(UserVerificationRequirement.REQUIRED));
        return party;
    }

    /** Accounts, as keys know them: by name they are asked for by their id. */
    private final class Holders implements PublicKeyCredentialUserEntityRepository {

        @Override
        public @Nullable PublicKeyCredentialUserEntity findById(Bytes id) {
            UUID accountId = account(id);
            Account account = accountId == null ? null : entities.find(Account.class, accountId);
            return account == null
                    ? null
                    : ImmutablePublicKeyCredentialUserEntity.builder()
                            .id(id)
                            .name(account.signInName())
                            .displayName(account.fullName())
                            .build();
        }

        @Override
        public @Nullable PublicKeyCredentialUserEntity findByUsername(String accountId) {
            return findById(handle(UUID.fromString(accountId)));
        }

        @Override
        public void save(PublicKeyCredentialUserEntity user) {
            throw new UnsupportedOperationException("accounts are made by those who invite");
        }

        @Override
        public void delete(Bytes id) {
            throw new UnsupportedOperationException("accounts stay");
        }
    }

    private final class Keys implements UserCredentialRepository {

        @Override
        public void delete(Bytes credentialId) {
            throw new UnsupportedOperationException("keys are taken away by their holders");
        }

        @Override
        public void save(CredentialRecord made) {
            Passkey known = entities.find(Passkey.class, made.getCredentialId().getBytes());
            if (known != null) {
                known.used(made, clock.instant());
                return;
            }
            UUID accountId = account(made.getUserEntityUserId());
            if (accountId == null) {
                throw new IllegalArgumentException("a key of nobody");
            }
            entities.persist(new Passkey(accountId, made, clock.instant()));
        }

        @Override
        public @Nullable CredentialRecord findByCredentialId(Bytes credentialId) {
            Passkey found = entities.find(Passkey.class, credentialId.getBytes());
            return found == null ? null : found.toRecord();
        }

        @Override
        public List<CredentialRecord> findByUserId(Bytes userId) {
            return of(account(userId)).stream().map(Passkey::toRecord).toList();
        }
    }
}
