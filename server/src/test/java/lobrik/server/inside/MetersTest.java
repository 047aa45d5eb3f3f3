package lobrik.server.inside;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;

/** What whoever looks after the server sees of it: figures on a port of their own, and a log without people in it. */
@ExtendWith(RunningServer.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MetersTest {

    private static final Path MONITORING = Path.of("..", "..", "docs", "monitoring");

    private final HttpClient http = HttpClient.newHttpClient();
    private RunningServer.Address metered;

    @BeforeAll
    void start(RunningServer.Address server) throws IOException {
        metered = server.beside("metered", "--management.server.port=0", "--lobrik.slow-question-millis=0");
    }

    @AfterAll
    void end(RunningServer.Address server) throws IOException {
        metered.context().close();
        server.dropped("metered");
    }

    private HttpResponse<String> figures(String path) throws IOException, InterruptedException {
        String port = metered.context().getEnvironment().getRequiredProperty("local.management.port");
        return http.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                        .build(),
                BodyHandlers.ofString());
    }

    private static Path monitoring(String file) {
        Path found = MONITORING.resolve(file);
        return Files.exists(found) ? found : Path.of("..", "docs", "monitoring").resolve(file);
    }

    @Test
    void dashboardAndAlerts_nameOnlyWhatIsMeasured() throws Exception {
        Client lead = Client.byPassword(metered, "lead");
        lead.get("/api/server");
        lead.put(
                "/api/attempts/00000000-0000-0000-0000-000000000000/readings/00000000-0000-0000-0000-000000000001",
                "{}");
        String measured = figures("/metrics").body();
        Set<String> names = measured.lines()
                .filter(line -> !line.startsWith("#"))
                .map(line -> line.split("[{ ]", 2)[0])
                .collect(Collectors.toSet());
        Set<String> missing = new TreeSet<>();
        for (String file : new String[] {"dashboard.json", "alerts.yml"}) {
            Matcher named = Pattern.compile("\\b(?:lobrik|http_server|hikaricp|jvm|process)_[a-z_]+\\b")
                    .matcher(Files.readString(monitoring(file)));
            while (named.find()) {
                if (!names.contains(named.group())) {
                    missing.add(named.group());
                }
            }
        }
        assertThat(missing).isEmpty();
        assertThat(measured)
                .contains("lobrik_servers")
                .contains("uri=\"/api/attempts/{id}/readings/{key}\"")
                .as("nobody stands in it")
                .doesNotContain("00000000-0000")
                .doesNotContain("Centre lead");
    }

    @Test
    void health_isSaidToWhoeverWatches_andNowhereElse() throws Exception {
        assertThat(figures("/health/liveness").statusCode()).isEqualTo(200);
        HttpResponse<String> ready = figures("/health/readiness");
        assertThat(ready.statusCode()).isEqualTo(200);
        assertThat(ready.body()).contains("\"record\":{\"status\":\"UP\"}");
        // Whatever else there might be is not there; an address that nobody knows is the page of the screens.
        for (String other : new String[] {"/env", "/heapdump", "/configprops", "/loggers", "/beans", "/mappings"}) {
            assertThat(figures(other).headers().firstValue("content-type").orElse(""))
                    .as(other)
                    .startsWith("text/html");
        }
        assertThat(figures("/api/me").statusCode()).isEqualTo(401);
        Client anybody = new Client(metered);
        assertThat(anybody.call("GET", "/metrics", "").response().body()).doesNotContain("jvm_memory");
    }

    @Test
    void requestHasAnId_inItsAnswerAndInTheLog_whichSaysNothingOfWho() {
        ListAppender<ILoggingEvent> heard = new ListAppender<>() {
            @Override
            protected void append(ILoggingEvent line) {
                // With what stands beside it on this thread.
                line.prepareForDeferredProcessing();
                super.append(line);
            }
        };
        heard.start();
        Logger requests = (Logger) LoggerFactory.getLogger("lobrik.requests");
        requests.addAppender(heard);
        try {
            Answer answer = Client.byPassword(metered, "lead").get("/api/benches/7K2M-9QXD-04TB");
            String id =
                    answer.response().headers().firstValue("X-Lobrik-Request").orElseThrow();
            ILoggingEvent line = heard(heard, id);
            assertThat(line.getKeyValuePairs())
                    .extracting(pair -> pair.key + "=" + pair.value)
                    .contains("method=GET", "route=/api/benches/{code}", "status=404");
            assertThat(heard.list.stream().map(each -> each.getKeyValuePairs() + each.getFormattedMessage()))
                    .allSatisfy(text -> assertThat(text).doesNotContain("7K2M", "lead", "127.0.0.1"));
        } finally {
            requests.detachAppender(heard);
        }
    }

    /** The line is written when the answer has gone. */
    private static ILoggingEvent heard(ListAppender<ILoggingEvent> lines, String id) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
        while (System.nanoTime() < until) {
            Optional<ILoggingEvent> line = List.copyOf(lines.list).stream()
                    .filter(each -> id.equals(each.getMDCPropertyMap().get("request")))
                    .findFirst();
            if (line.isPresent()) {
                return line.get();
            }
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
        }
        throw new AssertionError("no line for request " + id);
    }

    @Test
    void slowQuestion_isNamedByWhoAsked_withoutWhatWasAskedFor() throws Exception {
        ListAppender<ILoggingEvent> heard = new ListAppender<>();
        heard.start();
        Logger slow = (Logger) LoggerFactory.getLogger(SlowQuestions.class);
        slow.addAppender(heard);
        try {
            Client.byPassword(metered, "lead").get("/api/server");
        } finally {
            slow.detachAppender(heard);
        }
        assertThat(heard.list)
                .extracting(ILoggingEvent::getFormattedMessage)
                .anySatisfy(text -> assertThat(text).matches("ServerStand\\.\\w+ took \\d+ ms for: select .*\\?.*"));
        assertThat(figures("/metrics").body())
                .contains("lobrik_questions_slow_total{application=\"lobrik\",asked_by=\"ServerStand.");
    }
}
