package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.http.HttpMethod;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The access rule of every endpoint that there is, also of those that somebody adds and forgets to think about. */
@ExtendWith(RunningServer.class)
class AccessTest {

    private static final Set<String> WITHOUT_ACCOUNT = Set.of(
            "POST /api/session",
            "GET /api/status",
            "GET /api/health",
            "GET /api/openapi.json",
            "POST /api/calc/layout",
            "POST /api/calc/simulate",
            "POST /api/calc/score",
            "POST /api/calc/diagnose",
            "POST /api/calc/quantity",
            "POST /api/calc/clearance",
            "POST /api/calc/offset-of-marks",
            "POST /api/calc/calibration",
            "POST /api/calc/machine-tests",
            "POST /api/calc/tooling",
            "POST /api/calc/compare",
            "POST /api/calc/divide",
            "POST /api/calc/bending",
            "POST /api/calc/rearrange",
            "POST /api/calc/parallel-runs",
            "GET /api/calc/kinds",
            "GET /api/calc/tables",
            "POST /api/calc/why",
            "POST /api/calc/drawing");

    /** The code on a sheet is the key to these, and nobody can guess one. */
    private static final Set<String> WITH_A_SHEET = Set.of(
            "GET /api/benches/{code}",
            "GET /api/benches/{code}/hints",
            "GET /api/benches/{code}/answer",
            "PUT /api/benches/{code}/steps/{key}",
            "PUT /api/benches/{code}/figures/{key}",
            "PUT /api/benches/{code}/looks/{key}",
            // The key to one's own page is another, longer code.
            "GET /api/own/{code}",
            "GET /api/own/{code}/record.pdf");

    private static Set<String> endpoints(RunningServer.Address server) {
        Set<String> endpoints = new TreeSet<>();
        server.context()
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()
                .forEach(mapping -> {
                    for (String pattern : mapping.getPatternValues()) {
                        if (pattern.startsWith("/api/") && !pattern.endsWith(".yaml")) {
                            for (RequestMethod method :
                                    mapping.getMethodsCondition().getMethods()) {
                                endpoints.add(method + " " + pattern);
                            }
                        }
                    }
                });
        return endpoints;
    }

    @Test
    void everyEndpoint_butThoseNamedHere_needsAnAccount(RunningServer.Address server) {
        Set<String> endpoints = endpoints(server);
        assertThat(endpoints)
                .hasSizeGreaterThan(15)
                .containsAll(WITHOUT_ACCOUNT)
                .containsAll(WITH_A_SHEET);
        Client stranger = new Client(server);
        for (String endpoint : endpoints) {
            // Signing out takes the token with it.
            stranger.get("/api/status");
            String[] parts = endpoint.split(" ");
            String path = parts[1].replaceAll("\\{\\w+}", UUID.randomUUID().toString());
            int status = stranger.call(HttpMethod.valueOf(parts[0]).name(), path, "{}")
                    .status();
            if (WITH_A_SHEET.contains(endpoint)) {
                assertThat(status).as(endpoint).isIn(400, 404);
            } else if (WITHOUT_ACCOUNT.contains(endpoint) && !endpoint.equals("POST /api/session")) {
                assertThat(status).as(endpoint).isIn(200, 400);
            } else {
                assertThat(status).as(endpoint).isEqualTo(401);
            }
        }
    }

    @Test
    void writingWithoutTheTokenAgainstForgery_isRefused(RunningServer.Address server) {
        assertThat(new Client(server)
                        .post("/api/session", "{\"name\":\"runa\",\"password\":\"" + "x" + "\"}")
                        .status())
                .isEqualTo(403);
    }

    @Test
    void answers_carryAStrictContentPolicy(RunningServer.Address server) {
        var headers = new Client(server).get("/api/status").response().headers();
        assertThat(headers.firstValue("content-security-policy").orElseThrow())
                .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(headers.firstValue("x-content-type-options")).contains("nosniff");
    }

    @Test
    void placesOfTheClient_areServedItsPage_butUnknownFilesAndCallsAreNot(RunningServer.Address server) {
        Client client = Client.signedIn(server, "runa");
        assertThat(client.get("/progress/abc").response().body()).contains("<div id=\"root\">");
        assertThat(client.get("/no-such-file.js").status()).isEqualTo(404);
        assertThat(client.get("/api/no-such-call").status()).isEqualTo(404);
        assertThat(client.get("/api/no-such-call").contentType()).startsWith("application/problem+json");
        assertThat(client.get("/api/attempts/not-an-id").status()).isEqualTo(400);
    }
}
