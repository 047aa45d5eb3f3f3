package lobrik.server.account;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Waiting;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.function.SingletonSupplier;

/**
 * Finds out whether somebody is who they say. Working a password out is meant to be slow, so it is done outside of any
 * transaction, by one at a time, and never for those who have to wait: whoever floods it takes half the machine at most.
 */
@Service
class SignIn {

    private static final Logger LOG = LoggerFactory.getLogger(SignIn.class);

    private static final Duration PATIENCE = Duration.ofSeconds(5);
    private static final int MOST_WAITING = 30;
    private static final int LONGEST_NAME = 100;
    private static final int FREE_TRIES = 10;

    private final Accounts accounts;
    private final KnownDevices devices;
    private final SecondFactors factors;
    private final Audit audit;
    private final PasswordEncoder passwords;

    /** A hash that no password has: checked for unknown names, so that they take as long as known ones. */
    private final Supplier<String> nobodysHash;

    /** As many as several devices that sign in with one name at the same moment; each counts until it is worked out. */
    private final Tries byName;

    /** A whole room may share one, and sign in at the same moment: more than may wait. */
    private final Tries byAddress;

    private final Tries byDevice;

    /** Which hold-ups were noted. */
    private final Tries noted;

    private final EntityManager entities;
    private final TransactionTemplate own;
    private final Semaphore working = new Semaphore(1, true);
    private final AtomicInteger waiting = new AtomicInteger();

    SignIn(
            Accounts accounts,
            KnownDevices devices,
            SecondFactors factors,
            Audit audit,
            PasswordEncoder passwords,
            EntityManager entities,
            PlatformTransactionManager transactions) {
        this.entities = entities;
        this.byName = new Tries(entities, transactions, "name", FREE_TRIES);
        this.byAddress = new Tries(entities, transactions, "address", MOST_WAITING + FREE_TRIES);
        this.byDevice = new Tries(entities, transactions, "device", FREE_TRIES);
        this.noted = new Tries(entities, transactions, "noted", 1);
        this.own = new TransactionTemplate(transactions);
        this.accounts = accounts;
        this.factors = factors;
        this.devices = devices;
        this.audit = audit;
        this.passwords = passwords;
        // When it is asked for first, since it is as slow as any other and would hold up the start.
        this.nobodysHash = SingletonSupplier.of(
                () -> String.valueOf(passwords.encode(UUID.randomUUID().toString())));
    }

    /**
     * The hash of a password that somebody chooses.
     *
     * @throws TurnedDown if too many passwords are being worked out
     */
    String hash(String password) {
        return inTurn(() -> String.valueOf(passwords.encode(password)));
    }

    /** Whether this is the password of whoever is signed in; tries are counted as when signing in. */
    boolean isPasswordOf(SignedIn who, String password) {
        String name = accounts.signInNameOf(who);
        // By the account itself: what strangers try with the name does not hold its holder up.
        begin(byDevice, name, name, "");
        if (!matches(password, accounts.credential(name))) {
            return false;
        }
        byDevice.forgive(name);
        return true;
    }

    /**
     * Who has this name and password.
     *
     * @param address of the device that asks
     * @param code of their app or from paper; only looked at where somebody has a second factor
     * @param device its token, if it signed in before
     * @throws TurnedDown if nobody has, after too many wrong tries, or if a code is missing or wrong
     */
    SignedIn verify(
            String signInName, String password, @Nullable String code, String address, @Nullable String device) {
        String name = signInName.strip().toLowerCase(Locale.ROOT);
        if (name.length() > LONGEST_NAME) {
            // Nobody has such a one; it would only be remembered.
            throw wrong();
        }
        String owner = device != null && devices.knows(device, name) ? device : "";
        begin(name, address, owner);
        Accounts.@Nullable Credential credential = accounts.credential(name);
        boolean right;
        try {
            right = matches(password, credential) && credential != null;
        } catch (TurnedDown busy) {
            takeBack(name, address, owner);
            throw busy;
        }
        if (!right || credential == null) {
            audit.note(Audit.What.SIGN_IN_FAILED, centreOf(credential), null, name, address);
            throw wrong();
        }
        if (factors.isOn(credential.who().accountId())) {
            requireCode(credential.who(), code, name, address, owner);
        }
        forgive(name, address, owner);
        audit.note(
                Audit.What.SIGNED_IN,
                credential.who().centreId(),
                credential.who().accountId(),
                name,
                address);
        return credential.who();
    }

    /**
     * Whoever chooses another password by an invitation shows their second factor all the same.
     *
     * @throws TurnedDown if they have one and its code is missing or wrong, or after too many wrong tries
     */
    void requireCode(String signInName, @Nullable String code, String address) {
        Accounts.@Nullable Credential credential = accounts.credential(signInName);
        if (credential == null || !factors.isOn(credential.who().accountId())) {
            return;
        }
        begin(signInName, address, "");
        requireCode(credential.who(), code, signInName, address, "");
        forgive(signInName, address, "");
    }

    /** A wrong code counts as a wrong try; none at all does not, as whoever is asked for it could not know. */
    private void requireCode(SignedIn who, @Nullable String code, String name, String address, String owner) {
        if (code == null || code.isBlank()) {
            takeBack(name, address, owner);
            throw TurnedDown.codeNeeded("Give the code that your app shows now, or one of your recovery codes");
        }
        if (!factors.opens(who.accountId(), code)) {
            audit.note(Audit.What.SIGN_IN_FAILED, who.centreId(), null, name, address);
            throw TurnedDown.codeNeeded(
                    "This is not the code that your app shows now; each works once, so wait for the next");
        }
    }

    /** A device that is known counts for itself: what strangers try elsewhere does not hold it up. */
    private void begin(String name, String address, String owner) {
        if (!owner.isEmpty()) {
            begin(byDevice, owner, name, address);
            return;
        }
        begin(byAddress, address, name, address);
        begin(byName, name, name, address);
    }

    private void begin(Tries tries, String who, String name, String address) {
        if (tries.begin(who)) {
            return;
        }
        long seconds = tries.pause(who).toSeconds() + 1;
        // Once for each pause, however often somebody tries meanwhile.
        if (noted.begin(name + " " + address)) {
            audit.note(Audit.What.SIGN_IN_HELD_UP, null, null, name, address);
        }
        throw TurnedDown.tooOften(
                "Too many wrong tries; wait " + seconds + (seconds == 1 ? " second" : " seconds") + " and try again");
    }

    private void forgive(String name, String address, String owner) {
        if (owner.isEmpty()) {
            byAddress.forgive(address);
            byName.forgive(name);
        } else {
            byDevice.forgive(owner);
        }
    }

    private void takeBack(String name, String address, String owner) {
        if (owner.isEmpty()) {
            byAddress.takeBack(address);
            byName.takeBack(name);
        } else {
            byDevice.takeBack(owner);
        }
    }

    private boolean matches(String password, Accounts.@Nullable Credential credential) {
        String hash = credential == null ? null : credential.hash();
        // Whoever is not let in any more finds that out as slowly as anybody who mistypes.
        return inTurn(() -> passwords.matches(password, hash == null ? nobodysHash.get() : hash)) && hash != null;
    }

    private <T> T inTurn(Supplier<T> work) {
        if (waiting.incrementAndGet() > MOST_WAITING) {
            waiting.decrementAndGet();
            throw busy();
        }
        try {
            if (!Waiting.forTurn(working, PATIENCE)) {
                throw busy();
            }
            try {
                return work.get();
            } finally {
                working.release();
            }
        } finally {
            waiting.decrementAndGet();
        }
    }

    /** What is forgotten need not be kept. */
    @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
    void forget() {
        try {
            own.executeWithoutResult(
                    _ -> entities.createNativeQuery("delete from tried where forgotten_at < clock_timestamp()")
                            .executeUpdate());
        } catch (RuntimeException e) {
            LOG.debug("The database is away; what is forgotten goes the next time", e);
        }
    }

    private static @Nullable UUID centreOf(Accounts.@Nullable Credential credential) {
        return credential == null ? null : credential.who().centreId();
    }

    private static TurnedDown wrong() {
        return TurnedDown.unauthorised("Name and password do not belong together");
    }

    private static TurnedDown busy() {
        return TurnedDown.unavailable("Many are signing in just now; try again in a moment");
    }
}
