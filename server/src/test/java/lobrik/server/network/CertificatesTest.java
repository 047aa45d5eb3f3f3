package lobrik.server.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.cert.CertificateException;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import javax.net.ssl.TrustManagerFactory;
import javax.net.ssl.X509TrustManager;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What Lobrik vouches for, and what it says of a certificate that it is given. */
class CertificatesTest {

    private static final Instant NOW = Instant.parse("2026-12-01T08:00:00Z");

    @TempDir
    private Path folder;

    private static List<InetAddress> addresses(String... texts) throws IOException {
        List<InetAddress> addresses = new ArrayList<>();
        for (String text : texts) {
            addresses.add(InetAddress.getByName(text));
        }
        return addresses;
    }

    /** Whether a device that trusts this authority believes a server with this chain, by the rules of the Java library. */
    private static boolean isBelieved(X509Certificate authority, List<X509Certificate> chain) throws Exception {
        KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
        trusted.load(null, null);
        trusted.setCertificateEntry("lobrik", authority);
        TrustManagerFactory factory = TrustManagerFactory.getInstance("PKIX");
        factory.init(trusted);
        try {
            ((X509TrustManager) factory.getTrustManagers()[0])
                    .checkServerTrusted(chain.toArray(X509Certificate[]::new), "ECDHE_ECDSA");
            return true;
        } catch (CertificateException unbelieved) {
            return false;
        }
    }

    @Test
    void ourAuthority_isBelievedOnANetworkOfASchool_andNowhereElse() throws Exception {
        OwnAuthority authority = OwnAuthority.in(folder, Instant.now(), addresses("203.0.113.4"));
        X509Certificate root = authority.certificate();
        for (String address : new String[] {"10.1.2.3", "192.168.0.7", "172.31.255.1", "169.254.9.9", "203.0.113.4"}) {
            assertThat(authority.mayVouchFor(InetAddress.getByName(address)))
                    .as(address)
                    .isTrue();
            assertThat(isBelieved(
                            root,
                            authority
                                    .issue("lobrik.local", addresses(address), Instant.now())
                                    .chain()))
                    .as(address)
                    .isTrue();
        }
        for (String address : new String[] {"203.0.113.5", "8.8.8.8", "172.32.0.1", "192.169.0.1"}) {
            assertThat(authority.mayVouchFor(InetAddress.getByName(address)))
                    .as(address)
                    .isFalse();
        }
        // As whoever stole its key would.
        assertThat(isBelieved(
                        root,
                        authority
                                .issue("bank.example", List.of(), Instant.now())
                                .chain()))
                .isFalse();
    }

    @Test
    void certificate_isKeptWhileItSaysWhatItMust_andMadeAnewByTheSameAuthorityOtherwise() throws Exception {
        ServerCertificate first = ServerCertificate.ofOurAuthority(folder, "lobrik.local", addresses("10.0.0.7"), NOW);
        assertThat(first.names()).containsExactly("10.0.0.7", "lobrik.local");
        assertThat(Duration.between(NOW, first.endsAt())).isLessThan(Duration.ofDays(398));
        assertThat(ServerCertificate.ofOurAuthority(folder, "lobrik.local", addresses("10.0.0.7"), NOW)
                        .chain())
                .isEqualTo(first.chain());
        ServerCertificate moved = ServerCertificate.ofOurAuthority(folder, "lobrik.local", addresses("10.0.0.8"), NOW);
        assertThat(moved.names()).containsExactly("10.0.0.8", "lobrik.local");
        ServerCertificate renewed = ServerCertificate.ofOurAuthority(
                folder, "lobrik.local", addresses("10.0.0.8"), NOW.plus(Duration.ofDays(370)));
        assertThat(renewed.endsAt()).isAfter(moved.endsAt());
        assertThat(List.of(moved.authority(), renewed.authority())).containsOnly(first.authority());
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("authority.key"))))
                .isEqualTo("rw-------");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("server.key"))))
                .isEqualTo("rw-------");
    }

    @Test
    void damagedFile_isSaid_andNothingIsMadeInItsPlace() throws Exception {
        ServerCertificate.ofOurAuthority(folder, "lobrik.local", List.of(), NOW);
        Files.writeString(folder.resolve("authority.key"), "of no use");
        assertThatThrownBy(() -> ServerCertificate.ofOurAuthority(folder, "lobrik.local", addresses("10.0.0.9"), NOW))
                .isInstanceOf(CannotShare.class)
                .hasMessageContaining(folder.toString())
                .hasMessageContaining("no key");
        assertThat(folder.resolve("authority.key")).hasContent("of no use");
    }

    @Test
    void certificateOfTheSchool_isTakenWithItsKey_orTurnedDownWithTheReason() throws Exception {
        OwnAuthority another = OwnAuthority.in(folder, NOW, List.of());
        OwnAuthority.Issued given = another.issue("bending.school.example", List.of(), NOW);
        Path certificate = folder.resolve("given.crt");
        Path key = folder.resolve("given.key");
        PemFiles.write(certificate, given.chain());
        PemFiles.write(key, given.key());
        ServerCertificate taken = ServerCertificate.ofTheSchool(certificate, key, NOW);
        assertThat(taken.isTheSchools()).isTrue();
        assertThat(taken.names()).containsExactly("bending.school.example");
        assertThatThrownBy(() -> ServerCertificate.ofTheSchool(certificate, key, NOW.plus(Duration.ofDays(500))))
                .hasMessageContaining("ended at 2028");
        assertThatThrownBy(() -> ServerCertificate.ofTheSchool(folder.resolve("none"), key, NOW))
                .hasMessageContaining("there is no such file");
        assertThatThrownBy(() -> ServerCertificate.ofTheSchool(certificate, certificate, NOW))
                .hasMessageContaining("no key without a password");
        assertThatThrownBy(() -> ServerCertificate.ofTheSchool(key, key, NOW)).hasMessageContaining("cannot be used");
        KeyPairGenerator rsa = KeyPairGenerator.getInstance("RSA");
        rsa.initialize(2048);
        Path wrong = folder.resolve("wrong.key");
        PemFiles.write(wrong, rsa.generateKeyPair().getPrivate());
        assertThatThrownBy(() -> ServerCertificate.ofTheSchool(certificate, wrong, NOW))
                .hasMessageContaining("does not belong to the certificate");
    }

    @Test
    void optionsThatMakeNoSense_areSaid() {
        assertThatThrownBy(() -> new SharingOptions(true, 8443, 8081, "Tern Quay", null, null, folder))
                .hasMessageContaining("“Tern Quay” is no name");
        assertThatThrownBy(() -> new SharingOptions(true, 8443, 8081, "lobrik", folder, null, folder))
                .hasMessageContaining("needs both");
    }
}
