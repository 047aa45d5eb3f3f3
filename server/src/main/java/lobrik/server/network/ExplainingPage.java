package lobrik.server.network;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What a device is told that comes by plain HTTP.
 *
 * @param authority whose certificate it has to trust first; null if it does already
 * @param addresses secure ones, the best first
 */
record ExplainingPage(@Nullable X509Certificate authority, List<String> addresses) {

    private static final String TEMPLATE = text("explaining-page.html");

    /** Its style, as a file of its own: the page allows nothing that stands in it. */
    static final String STYLE = text("explaining-page.css");

    /** Figures of a fingerprint that are read together. */
    private static final int READ_TOGETHER = 4;

    ExplainingPage {
        addresses = List.copyOf(addresses);
    }

    /** As HTML, with steps for each kind of device. */
    String html() {
        return TEMPLATE.replace("{{fingerprint}}", authority == null ? "" : fingerprint(authority))
                .replace(
                        "{{addresses}}",
                        addresses.stream()
                                .map(address -> "<li><a href=\"%1$s/\">%1$s</a></li>".formatted(address))
                                .collect(Collectors.joining("\n")));
    }

    /** SHA-256 of a certificate, in groups that can be read aloud. */
    static String fingerprint(X509Certificate certificate) {
        String hex;
        try {
            hex = HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded()))
                    .toUpperCase(Locale.ROOT);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
        return IntStream.range(0, hex.length() / READ_TOGETHER)
                .mapToObj(group -> hex.substring(group * READ_TOGETHER, (group + 1) * READ_TOGETHER))
                .collect(Collectors.joining(" "));
    }

    private static String text(String name) {
        try (InputStream in = ExplainingPage.class.getResourceAsStream("/network/" + name)) {
            if (in == null) {
                throw new IllegalStateException(name + " is not in this build");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(name + " cannot be read", e);
        }
    }
}
