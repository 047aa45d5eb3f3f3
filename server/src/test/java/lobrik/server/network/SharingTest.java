package lobrik.server.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.Set;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLParameters;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.TrustManagerFactory;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.server.platform.PublicAddress;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A server that other devices reach: opened and closed by its lead, behind a proxy, and what nobody gets by any of it. */
@ExtendWith(RunningServer.class)
class SharingTest {

    private static final String STRICT = "Strict-Transport-Security";

    @TempDir
    private Path folder;

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @Test
    void lead_opensAndClosesIt_andBehindAProxyTheDeviceCounts(RunningServer.Address server) throws Exception {
        int secure = freePort();
        int plain = freePort();
        RunningServer.Address own = server.beside(
                "sharing",
                "--lobrik.share.folder=" + folder,
                "--lobrik.share.secure-port=" + secure,
                "--lobrik.share.plain-port=" + plain,
                "--lobrik.proxies=127.0.0.1");
        try (var _ = own.context()) {
            opensAndCloses(own, secure, plain);
            takesTheWordOfItsProxy(own);
        }
    }

    private void opensAndCloses(RunningServer.Address own, int secure, int plain) throws Exception {
        Client lead = Client.signedIn(own, "lead");
        Client.Answer before = lead.get("/api/network");
        assertThat(before.at("/reached").isNull()).isTrue();
        assertThat(before.at("/changeable").booleanValue()).isTrue();
        assertThat(new Client(own).get("/api/status").at("/secureAddress").isNull())
                .isTrue();
        Client.Answer open = lead.put("/api/network", "{\"shared\":true}");
        assertThat(open.status()).isEqualTo(200);
        assertThat(open.at("/reached/secure/0").stringValue()).isEqualTo("https://lobrik.local:" + secure);
        assertThat(open.at("/reached/certificate/schools").booleanValue()).isFalse();
        String status = overTls(secure, "lobrik.local", "GET /api/status HTTP/1.1\r\nHost: lobrik.local:" + secure);
        assertThat(status)
                .startsWith("HTTP/1.1 200")
                .contains("\"secureAddress\":\"https://lobrik.local:" + secure + "\"")
                // A device that loses the certificate can come back.
                .doesNotContain(STRICT);
        assertThat(overTls(secure, "lobrik.local", "GET /api/me HTTP/1.1\r\nHost: lobrik.local:" + secure))
                .startsWith("HTTP/1.1 401");
        assertThat(overTls(secure, "lobrik.local", "GET / HTTP/1.1\r\nHost: somewhere.example"))
                .startsWith("HTTP/1.1 421");
        plainHttpOnlyExplains(plain);
        assertThat(Files.exists(folder.resolve("opened"))).isTrue();
        assertThat(lead.put("/api/network", "{}").status()).isEqualTo(400);

        assertThat(lead.put("/api/network", "{\"shared\":false}").at("/reached").isNull())
                .isTrue();
        for (int port : new int[] {secure, plain}) {
            assertThatThrownBy(() -> new Socket(InetAddress.getLoopbackAddress(), port).close())
                    .isInstanceOf(ConnectException.class);
        }
        assertThat(Files.exists(folder.resolve("opened"))).isFalse();
        JsonNode audit = lead.get("/api/audit?subject=school").body();
        assertThat(audit.toString()).contains("On the network", "reached by other devices");
    }

    private static void plainHttpOnlyExplains(int plain) throws Exception {
        try (HttpClient device = HttpClient.newHttpClient()) {
            String base = "http://127.0.0.1:" + plain;
            for (String path : new String[] {"/api/status", "/api/me", "/index.html", "/sw.js", "/lobrik.key"}) {
                HttpResponse<String> led = device.send(
                        HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofString());
                assertThat(led.statusCode()).as(path).isEqualTo(303);
                assertThat(led.headers().firstValue("Location")).hasValue("/");
                assertThat(led.body()).isEmpty();
            }
            HttpResponse<String> sent = device.send(
                    HttpRequest.newBuilder(URI.create(base + "/"))
                            .POST(BodyPublishers.ofString("{}"))
                            .build(),
                    BodyHandlers.ofString());
            assertThat(sent.statusCode()).isEqualTo(303);
            assertThat(device.send(HttpRequest.newBuilder(URI.create(base)).build(), BodyHandlers.ofString())
                            .body())
                    .contains("Lobrik on this network");
        }
    }

    /** Somebody who mistypes is noted and slowed by where they are, not by where the proxy is; and HTTPS is what it says it is. */
    private static void takesTheWordOfItsProxy(RunningServer.Address own) throws Exception {
        mistype(own, "nobody-at-all");
        assertThat(Client.signedIn(own, "lead")
                        .get("/api/audit?what=signInFailed")
                        .body()
                        .toString())
                .contains("203.0.113.9");
        own.context()
                .getBean(PublicAddress.class)
                .share(new PublicAddress.Shared("https://bending.example", Set.of("127.0.0.1"), true));
        assertThat(asIfByTls(own).headers().firstValue(STRICT))
                .hasValueSatisfying(
                        strict -> assertThat(strict).contains("max-age=").doesNotContain("includeSubDomains"));
    }

    @Test
    void whatAnybodyElseSaysOfAddresses_isTheirOwnInvention(RunningServer.Address server) throws Exception {
        String name = "invented-" + System.nanoTime();
        mistype(server, name);
        assertThat(Client.signedIn(server, "oskar")
                        .get("/api/audit?text=" + name)
                        .body()
                        .toString())
                .doesNotContain("203.0.113.9");
        assertThat(asIfByTls(server).headers().firstValue(STRICT)).isEmpty();
    }

    @Test
    void serverOfSeveralSchools_isNotForALeadToOpen(RunningServer.Address server) {
        Client.Answer refused = Client.signedIn(server, "oskar").put("/api/network", "{\"shared\":true}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.at("/errors/0/message").stringValue()).contains("no folder for certificates");
    }

    private static void mistype(RunningServer.Address server, String name) throws Exception {
        Client client = new Client(server);
        client.get("/api/me");
        try (HttpClient http = HttpClient.newHttpClient()) {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(server.base() + "/api/session"))
                    .header("Content-Type", "application/json")
                    .header("X-Forwarded-For", "203.0.113.9")
                    .header("X-XSRF-TOKEN", client.cookie("XSRF-TOKEN"))
                    .header("Cookie", "XSRF-TOKEN=" + client.cookie("XSRF-TOKEN"));
            assertThat(http.send(
                                    request.POST(BodyPublishers.ofString(
                                                    "{\"name\":\"" + name + "\",\"password\":\"wrong\"}"))
                                            .build(),
                                    BodyHandlers.discarding())
                            .statusCode())
                    .isEqualTo(401);
        }
    }

    private static HttpResponse<String> asIfByTls(RunningServer.Address server) throws Exception {
        try (HttpClient http = HttpClient.newHttpClient()) {
            return http.send(
                    HttpRequest.newBuilder(URI.create(server.base() + "/api/status"))
                            .header("X-Forwarded-For", "203.0.113.9")
                            .header("X-Forwarded-Proto", "https")
                            .build(),
                    BodyHandlers.ofString());
        }
    }

    /** By a device that trusts the authority and nobody else, and asks for the name. */
    private String overTls(int port, String name, String head) throws Exception {
        KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
        trusted.load(null, null);
        try (InputStream in = Files.newInputStream(folder.resolve("authority.crt"))) {
            trusted.setCertificateEntry(
                    "lobrik", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory trust = TrustManagerFactory.getInstance("PKIX");
        trust.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        Socket line = new Socket(InetAddress.getLoopbackAddress(), port);
        try (SSLSocket socket = (SSLSocket) context.getSocketFactory().createSocket(line, name, port, true)) {
            SSLParameters checks = socket.getSSLParameters();
            checks.setEndpointIdentificationAlgorithm("HTTPS");
            socket.setSSLParameters(checks);
            socket.getOutputStream()
                    .write((head + "\r\nConnection: close\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
