package lobrik.server.network;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.List;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.CameraCode;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** How other devices reach this server, for the lead of the school. */
@RestController
@Tag(name = "server")
class NetworkResource {

    /**
     * The certificate that the server shows.
     *
     * @param schools whether it is the school's own
     * @param fingerprint SHA-256 of the one that devices are told to trust; of the server's own where that is the school's
     * @param names that it vouches for
     */
    record ShownCertificate(boolean schools, String fingerprint, List<String> names, Instant endsAt) {}

    /**
     * Where it is reached.
     *
     * @param secure addresses by HTTPS, the best first
     * @param plain addresses of the page that explains
     * @param codeRows of the first of these for a camera, 1 for black; null if this machine has no address on a network
     * @param nameIsOurs whether nothing else on the network has the name
     */
    record WhereReached(
            List<String> secure,
            List<String> plain,
            @Nullable List<String> codeRows,
            boolean nameIsOurs,
            ShownCertificate certificate) {}

    /**
     * How the server stands on the network.
     *
     * @param reached null if it is reached on its own machine only
     * @param changeable whether the lead may open and close it here
     * @param whyNot if not, in a sentence
     */
    record NetworkView(
            @Nullable WhereReached reached,
            String hostName,
            int securePort,
            int plainPort,
            boolean changeable,
            @Nullable String whyNot) {}

    /** Whether other devices are to reach it. */
    record ToShare(@Nullable Boolean shared) {}

    private final Sharing sharing;
    private final SharingByTheLead byTheLead;

    NetworkResource(Sharing sharing, SharingByTheLead byTheLead) {
        this.sharing = sharing;
        this.byTheLead = byTheLead;
    }

    @Operation(summary = "How other devices reach this server")
    @Needs(Right.LEAD)
    @GetMapping("/api/network")
    NetworkView network() {
        Sharing.Open open = sharing.now();
        SharingOptions options = sharing.options();
        String whyNot = byTheLead.whyNot();
        return new NetworkView(
                open == null ? null : reached(open),
                options.hostName(),
                options.securePort(),
                options.plainPort(),
                whyNot == null,
                whyNot);
    }

    private WhereReached reached(Sharing.Open open) {
        List<String> plain = sharing.plainAddresses(open.addresses());
        ServerCertificate certificate = open.certificate();
        X509Certificate trusted =
                certificate.authority() == null ? certificate.chain().getFirst() : certificate.authority();
        return new WhereReached(
                sharing.secureAddresses(open.addresses(), certificate),
                plain,
                plain.isEmpty() ? null : CameraCode.rows(plain.getFirst()),
                open.name().isOurs(),
                new ShownCertificate(
                        certificate.isTheSchools(),
                        ExplainingPage.fingerprint(trusted),
                        List.copyOf(certificate.names()),
                        certificate.endsAt()));
    }

    @Operation(summary = "Have other devices reach this server, or its own machine only, now and at later starts")
    @Needs(Right.LEAD)
    @PutMapping("/api/network")
    NetworkView share(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody ToShare asked) {
        byTheLead.change(who, TurnedDown.required("/shared", asked.shared()));
        return network();
    }
}
