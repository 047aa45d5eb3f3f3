package lobrik.server.network;

import java.nio.file.Path;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How Lobrik is to be reached from other devices, as whoever starts it says.
 *
 * @param on whether from the start; the lead of a school that has the server for itself may open and close it, too
 * @param securePort of HTTPS
 * @param plainPort of the page that explains
 * @param name on the network, without {@code .local}
 * @param certificate of the school itself with its chain, as PEM; null for one of our own authority
 * @param key that belongs to it, as PEM without a password
 * @param folder where our own authority is kept; null only where nothing is ever shared
 */
@ConfigurationProperties("lobrik.share")
record SharingOptions(
        @DefaultValue("false") boolean on,
        @DefaultValue("8443") int securePort,
        @DefaultValue("8081") int plainPort,
        @DefaultValue("lobrik") String name,
        @Nullable Path certificate,
        @Nullable Path key,
        @Nullable Path folder) {

    /** What stands before a dot in a name on the network. */
    private static final Pattern LABEL = Pattern.compile("[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?");

    SharingOptions {
        if (!LABEL.matcher(name).matches()) {
            throw new CannotShare(
                    "“" + name + "” is no name on a network: up to 63 small letters, figures and hyphens");
        }
        if ((certificate == null) != (key == null)) {
            throw new CannotShare(
                    "A certificate of the school's own needs both: the file of the certificate, and that of its key");
        }
    }

    /** As other devices ask for it. */
    String hostName() {
        return name + ".local";
    }
}
