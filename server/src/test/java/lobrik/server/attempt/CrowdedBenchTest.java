package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Eight instructors at once, with an account each, over a network that repeats, delays and breaks. Two of them always measure
 * the same pieces. At the end every reading is there once, and the server never failed. Each takes 24 readings in every build,
 * and 500 in a full run.
 */
@ExtendWith(RunningServer.class)
class CrowdedBenchTest {

    private static final int INSTRUCTORS = 8;
    private static final int READINGS_EACH = Boolean.getBoolean("lobrik.full") ? 500 : 24;
    private static final int READINGS = INSTRUCTORS * READINGS_EACH;
    private static final List<String> FEATURES = List.of(
            "mark1",
            "mark2",
            "mark3",
            "mark4",
            "height",
            "flat",
            "landing",
            "angle1",
            "angle2",
            "angle3",
            "angle4",
            "dogLeg",
            "overall",
            "tailLift");

    private record Sent(String attempt, String key, String feature, String text) {

        String path() {
            return "/api/attempts/" + attempt + "/readings/" + key;
        }

        String body() {
            return "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}";
        }
    }

    private final AtomicInteger failures = new AtomicInteger();
    private final AtomicInteger killed = new AtomicInteger();
    private final AtomicInteger repeated = new AtomicInteger();

    @Test
    void everyReading_isThereOnce_andNothingFails(RunningServer.Address server) throws Exception {
        Client runa = Client.signedIn(server, "runa");
        int perPair = (READINGS_EACH + FEATURES.size() - 1) / FEATURES.size();
        List<List<String>> attempts = new ArrayList<>();
        List<String> cohorts = new ArrayList<>();
        for (int pair = 0; pair < INSTRUCTORS / 2; pair++) {
            Bench own = Bench.of(runa, Bench.SADDLE_4, perPair);
            List<String> opened = new ArrayList<>();
            for (int i = 0; i < perPair; i++) {
                opened.add(own.open(i));
            }
            attempts.add(opened);
            cohorts.add(own.cohort());
        }
        List<String> names = accounts(server, cohorts);
        List<Sent> sent = Collections.synchronizedList(new ArrayList<>());
        try (ExecutorService shed = Executors.newFixedThreadPool(INSTRUCTORS)) {
            List<Future<?>> work = new ArrayList<>();
            for (int i = 0; i < INSTRUCTORS; i++) {
                int instructor = i;
                work.add(shed.submit(() -> {
                    measure(
                            Client.signedIn(server, names.get(instructor)),
                            server,
                            attempts.get(instructor / 2),
                            instructor,
                            sent);
                    return null;
                }));
            }
            for (Future<?> one : work) {
                one.get();
            }
        }
        assertThat(failures.get()).as("answers of 500 and above").isZero();
        assertThat(killed.get()).as("connections that were cut").isGreaterThan(READINGS / 20);
        assertThat(repeated.get()).as("requests that came again").isGreaterThan(READINGS / 10);
        assertThat(sent).hasSize(READINGS);
        assertThat(kept(runa, attempts)).isEqualTo(wanted(sent));
    }

    /** An account for each instructor, who teaches the cohort of a pair; their sign-in names. No screen makes accounts yet. */
    private static List<String> accounts(RunningServer.Address server, List<String> cohorts) throws SQLException {
        List<String> names = new ArrayList<>();
        try (Connection database =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                PreparedStatement account = database.prepareStatement("""
                        insert into account (id, centre_id, sign_in_name, full_name, role, password_hash, unit, created_at)
                        select ?::uuid, centre_id, ?, ?, 'INSTRUCTOR', password_hash, unit, now()
                        from account where sign_in_name = 'runa'""");
                PreparedStatement teaches =
                        database.prepareStatement("insert into cohort_instructor values (?::uuid, ?::uuid)")) {
            for (int i = 0; i < INSTRUCTORS; i++) {
                String id = UUID.randomUUID().toString();
                names.add("crowd-" + id);
                account.setString(1, id);
                account.setString(2, names.getLast());
                account.setString(3, "Instructor " + (i + 1));
                account.executeUpdate();
                teaches.setString(1, cohorts.get(i / 2));
                teaches.setString(2, id);
                teaches.executeUpdate();
            }
        }
        return names;
    }

    private void measure(
            Client client, RunningServer.Address server, List<String> attempts, int instructor, List<Sent> sent)
            throws Exception {
        Random chance = new Random(20_261_123L + instructor);
        for (int n = 0; n < READINGS_EACH; n++) {
            String feature = FEATURES.get(n % FEATURES.size());
            Sent one = new Sent(
                    attempts.get(n / FEATURES.size()),
                    UUID.randomUUID().toString(),
                    feature,
                    String.valueOf(2 + chance.nextInt(40)));
            send(server, client, one, chance);
            sent.add(one);
        }
    }

    /** Like a tablet's queue: again and again until it was acknowledged. */
    private void send(RunningServer.Address server, Client client, Sent one, Random chance) throws Exception {
        int fate = chance.nextInt(10);
        if (fate == 0) {
            killed.incrementAndGet();
            cutOff(server, client, one, chance);
        } else if (fate == 1) {
            Thread.sleep(chance.nextInt(20));
        }
        int times = fate <= 2 ? 1 + chance.nextInt(3) : 1;
        for (int i = 0; i < times; i++) {
            if (i > 0 || fate == 0) {
                repeated.incrementAndGet();
            }
            Answer answer = client.put(one.path(), one.body());
            if (answer.status() >= 500) {
                failures.incrementAndGet();
            }
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        }
    }

    /** The request goes out, wholly or in part, and nobody waits for the answer. */
    private void cutOff(RunningServer.Address server, Client client, Sent one, Random chance) throws IOException {
        URI base = URI.create(server.base());
        byte[] body = one.body().getBytes(StandardCharsets.UTF_8);
        String head = "PUT " + one.path() + " HTTP/1.1\r\nHost: " + base.getAuthority()
                + "\r\nContent-Type: application/json\r\nContent-Length: " + body.length + "\r\n" + client.headers()
                + "\r\n";
        try (Socket socket = new Socket(base.getHost(), base.getPort())) {
            socket.getOutputStream().write(head.getBytes(StandardCharsets.UTF_8));
            int part = chance.nextBoolean() ? body.length : chance.nextInt(body.length);
            socket.getOutputStream().write(body, 0, part);
            socket.getOutputStream().flush();
            if (part == body.length && chance.nextBoolean()) {
                String status = new BufferedReader(
                                new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))
                        .readLine();
                if (status != null && status.startsWith("HTTP/1.1 5")) {
                    failures.incrementAndGet();
                }
            }
        }
    }

    /** Keys and texts of all readings, by attempt and feature. */
    private static Map<String, List<String>> wanted(List<Sent> sent) {
        Map<String, List<String>> wanted = new TreeMap<>();
        sent.forEach(one -> wanted.computeIfAbsent(one.attempt() + " " + one.feature(), key -> new ArrayList<>())
                .add(one.key() + " " + one.text()));
        wanted.values().forEach(Collections::sort);
        return wanted;
    }

    private static Map<String, List<String>> kept(Client runa, List<List<String>> attempts) {
        Map<String, List<String>> kept = new TreeMap<>();
        for (List<String> opened : attempts) {
            for (String attempt : opened) {
                for (JsonNode feature : runa.get("/api/attempts/" + attempt).at("/features")) {
                    for (JsonNode reading : feature.at("/history")) {
                        kept.computeIfAbsent(attempt + " " + feature.at("/id").asString(), key -> new ArrayList<>())
                                .add(reading.at("/id").asString() + " "
                                        + reading.at("/typed").asString());
                    }
                }
            }
        }
        kept.values().forEach(Collections::sort);
        return kept;
    }
}
