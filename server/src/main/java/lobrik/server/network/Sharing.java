package lobrik.server.network;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import lobrik.server.platform.PublicAddress;
import org.apache.catalina.Service;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/**
 * Whether and how other devices reach this server: by HTTPS on the school's network, with plain HTTP only explaining how. Addresses and
 * certificates are looked after while it goes on. Without it the server is reached on its own machine alone.
 */
@Component
@EnableConfigurationProperties(SharingOptions.class)
class Sharing {

    private static final Logger LOG = LoggerFactory.getLogger(Sharing.class);
    private static final int SECONDS_BETWEEN = 30;
    private static final int HTTPS = 443;
    private static final int HTTP = 80;

    /** That the lead opened it, for later starts. */
    private static final String OPENED = "opened";

    /**
     * How it is reached now.
     *
     * @param addresses of this machine, at the time
     */
    record Open(
            SecureDoor secure,
            PlainDoor plain,
            MulticastName name,
            ServerCertificate certificate,
            List<InetAddress> addresses) {

        Open {
            addresses = List.copyOf(addresses);
        }
    }

    private final SharingOptions options;
    private final LanAddresses machine;
    private final PublicAddress address;
    private final WebServerApplicationContext server;
    private final Clock clock;
    private final SecureDoor.Limits limits;
    private @Nullable Open open;

    Sharing(
            SharingOptions options,
            LanAddresses machine,
            PublicAddress address,
            WebServerApplicationContext server,
            Clock clock,
            @Value("${server.tomcat.connection-timeout}") Duration wait,
            @Value("${server.tomcat.max-swallow-size}") DataSize swallowed,
            @Value("${server.compression.mime-types}") String packedTypes,
            @Value("${server.compression.min-response-size}") DataSize packedFrom) {
        this.options = options;
        this.machine = machine;
        this.address = address;
        this.server = server;
        this.clock = clock;
        this.limits = new SecureDoor.Limits(
                (int) wait.toMillis(), (int) swallowed.toBytes(), packedTypes, (int) packedFrom.toBytes());
    }

    /** Once everything else works. */
    @EventListener(ApplicationReadyEvent.class)
    synchronized void begin() {
        if (options.on() || wasOpened()) {
            open();
        }
    }

    /** Whether whoever started the server said so; then it is not for anybody on a screen to end it. */
    boolean isAskedForAtTheStart() {
        return options.on();
    }

    /** Whether it can be opened at all: there is a place for certificates. */
    boolean isPossible() {
        return options.folder() != null;
    }

    SharingOptions options() {
        return options;
    }

    synchronized @Nullable Open now() {
        return open;
    }

    /**
     * Opens both doors, now and at later starts.
     *
     * @throws CannotShare if that cannot be done, and why
     */
    synchronized void openForGood() {
        open();
        remember(true);
    }

    /** Closes both, now and at later starts. */
    synchronized void closeForGood() {
        remember(false);
        close();
    }

    private void open() {
        if (open != null) {
            return;
        }
        List<InetAddress> addresses = machine.now();
        ServerCertificate certificate = certificate(addresses);
        SecureDoor secure = SecureDoor.open(service(), options.securePort(), certificate, limits);
        PlainDoor plain;
        try {
            plain = PlainDoor.open(options.plainPort(), folder().toFile(), this::page);
        } catch (CannotShare taken) {
            secure.close();
            throw taken;
        }
        use(new Open(
                secure,
                plain,
                MulticastName.answer(options.name(), addresses, options.securePort()),
                certificate,
                addresses));
        LOG.info("Other devices reach Lobrik at {}", secureAddresses(addresses, certificate));
    }

    private ServerCertificate certificate(List<InetAddress> addresses) {
        Instant now = clock.instant();
        Path own = options.certificate();
        Path key = options.key();
        return own != null && key != null
                ? ServerCertificate.ofTheSchool(own, key, now)
                : ServerCertificate.ofOurAuthority(folder(), options.hostName(), addresses, now);
    }

    private Path folder() {
        Path folder = options.folder();
        if (folder == null) {
            throw new CannotShare("There is no folder for certificates; start Lobrik with ./lobrik start");
        }
        try {
            return Files.createDirectories(folder);
        } catch (IOException e) {
            throw new CannotShare("The folder " + folder + " cannot be made", e);
        }
    }

    private Service service() {
        TomcatWebServer tomcat = (TomcatWebServer) Objects.requireNonNull(server.getWebServer());
        return tomcat.getTomcat().getService();
    }

    private void use(Open now) {
        open = now;
        Set<String> names = new HashSet<>(now.certificate().names());
        names.add(options.hostName());
        LanAddresses.texts(now.addresses()).forEach(names::add);
        address.share(new PublicAddress.Shared(
                secureAddresses(now.addresses(), now.certificate()).getFirst(),
                names,
                now.certificate().isTheSchools()));
    }

    /**
     * Where it is reached, the best first: by the name that the school's own certificate has, else by the one on the network, then by
     * the addresses that the certificate vouches for.
     */
    List<String> secureAddresses(List<InetAddress> addresses, ServerCertificate certificate) {
        Set<String> vouchedFor = certificate.names();
        Stream<String> names = certificate.isTheSchools()
                ? vouchedFor.stream().filter(name -> !name.contains("*") && Character.isLetter(name.charAt(0)))
                : Stream.of(options.hostName());
        List<String> hosts = Stream.concat(names, LanAddresses.texts(addresses).filter(vouchedFor::contains))
                .distinct()
                .toList();
        // One for a whole domain names no host that we could know.
        return (hosts.isEmpty() ? List.of(options.hostName()) : hosts)
                .stream()
                        .map(host -> "https://" + host + port(options.securePort(), HTTPS))
                        .toList();
    }

    /** Where the page that explains is, by figures: every device can open that. */
    List<String> plainAddresses(List<InetAddress> addresses) {
        return LanAddresses.texts(addresses)
                .map(host -> "http://" + host + port(options.plainPort(), HTTP) + "/")
                .toList();
    }

    private static String port(int port, int usual) {
        return port == usual ? "" : ":" + port;
    }

    private synchronized ExplainingPage page() {
        Open now = open;
        return now == null
                ? new ExplainingPage(null, List.of("https://" + options.hostName()))
                : new ExplainingPage(
                        now.certificate().authority(), secureAddresses(now.addresses(), now.certificate()));
    }

    /** A machine gets other addresses, and certificates end: both are followed without a restart. */
    @Scheduled(initialDelay = SECONDS_BETWEEN, fixedDelay = SECONDS_BETWEEN, timeUnit = TimeUnit.SECONDS)
    synchronized void lookAfter() {
        Open before = open;
        if (before == null) {
            return;
        }
        List<InetAddress> addresses = machine.now();
        ServerCertificate certificate;
        try {
            certificate = certificate(addresses);
        } catch (CannotShare unusable) {
            // The one that was good goes on; a half-written new one is whole the next time.
            LOG.warn(unusable.getMessage());
            certificate = before.certificate();
        }
        boolean moved = !addresses.equals(before.addresses());
        boolean renewed = !certificate.chain().equals(before.certificate().chain());
        if (renewed) {
            before.secure().show(certificate);
            LOG.info("The secure address shows a certificate until {}", certificate.endsAt());
        }
        MulticastName name = before.name();
        if (moved) {
            name.close();
            name = MulticastName.answer(options.name(), addresses, options.securePort());
            LOG.info("Other devices reach Lobrik at {} now", secureAddresses(addresses, certificate));
        }
        if (moved || renewed) {
            use(new Open(before.secure(), before.plain(), name, certificate, addresses));
        }
    }

    /** Before the server waits for its open requests to end. */
    @EventListener(ContextClosedEvent.class)
    synchronized void end(ContextClosedEvent closed) {
        if (closed.getApplicationContext().equals(server) && open != null) {
            open.name().close();
            open.plain().close();
            open = null;
        }
    }

    private void close() {
        Open before = open;
        if (before != null) {
            open = null;
            address.share(null);
            before.name().close();
            before.plain().close();
            before.secure().close();
        }
    }

    private boolean wasOpened() {
        return options.folder() != null && Files.exists(options.folder().resolve(OPENED));
    }

    private void remember(boolean opened) {
        try {
            if (opened && !wasOpened()) {
                Files.createFile(folder().resolve(OPENED));
            } else if (!opened) {
                Files.deleteIfExists(folder().resolve(OPENED));
            }
        } catch (IOException e) {
            throw new CannotShare("That could not be written down for later starts: " + e.getMessage(), e);
        }
    }
}
