package lobrik.server.platform;

import java.net.URI;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Where Lobrik is to be found: by which names it answers, and where the codes that are printed lead to. */
@Component
public class PublicAddress {

    /**
     * How other devices reach it.
     *
     * @param base without a slash at its end
     * @param names of hosts by which it may be called there
     * @param forGood whether browsers are told never to ask for it otherwise again
     */
    public record Shared(String base, Set<String> names, boolean forGood) {

        public Shared {
            names = Set.copyOf(names);
        }
    }

    private final String said;
    private final Set<String> ownNames;
    private volatile @Nullable Shared shared;

    PublicAddress(@Value("${lobrik.public-address:}") String said, @Value("${lobrik.hosts}") Set<String> hosts) {
        this.said = said.replaceAll("/+$", "");
        this.ownNames = Stream.concat(hosts.stream(), Stream.of(this.said).flatMap(PublicAddress::hostOf))
                .collect(Collectors.toUnmodifiableSet());
    }

    private static Stream<String> hostOf(String address) {
        return address.isEmpty()
                ? Stream.empty()
                : Stream.ofNullable(URI.create(address).getHost()).map(name -> name.toLowerCase(Locale.ROOT));
    }

    /**
     * Where printed codes lead: where the school says, else to where other devices reach it, else to where the request came. Without a
     * slash at its end; asked while a request is served.
     */
    public String base() {
        if (!said.isEmpty()) {
            return said;
        }
        Shared now = shared;
        return now != null
                ? now.base()
                : ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
    }

    /** The secure address at which other devices reach it; null if there is none. */
    public @Nullable String secureBase() {
        if (said.startsWith("https:")) {
            return said;
        }
        Shared now = shared;
        return now == null ? null : now.base();
    }

    /** From now on it is reached by other devices so, or no longer. */
    public void share(@Nullable Shared now) {
        shared = now;
    }

    /** Whether a request that names this host is meant for this server; another site may have its name lead here. */
    boolean isOurs(String host) {
        String name = host.toLowerCase(Locale.ROOT);
        Shared now = shared;
        return ownNames.contains(name) || (now != null && now.names().contains(name));
    }

    /** Whether browsers that came by this name are told to come by a secure address only from now on. */
    boolean isForGood(String host) {
        Shared now = shared;
        return now != null && now.forGood() && now.names().contains(host.toLowerCase(Locale.ROOT));
    }
}
