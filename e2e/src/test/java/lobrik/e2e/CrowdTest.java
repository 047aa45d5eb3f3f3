package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * How long a reading takes while a whole school is at it, and while strangers do their worst: measured and printed by
 * {@code ./lobrik crowd}. Whoever takes part does over HTTP what the pages do; all of them share the machine with the server.
 */
@EnabledIfSystemProperty(named = "lobrik.crowd", matches = "\\d+", disabledReason = "measured only when asked for")
class CrowdTest {

    private static final Duration MEASURED = Duration.ofMinutes(Integer.getInteger("lobrik.crowd", 1));

    private static final int CLASSES = 10;
    private static final int TRAINEES = 30;
    private static final int TABLETS = 3;

    private static final int HALF_BODIES = 220;
    private static final int SLOW_EXPORTS = 10;
    private static final int SIGN_INS_A_SECOND = 60;

    /** As often as the pages do by themselves, in seconds. */
    private static final int PHONE_LOOKS_EVERY = 10;

    private static final int FLOOR_LOOKS_EVERY = 15;

    /** A class does not open its sheets all at once. */
    private static final int SHEETS_ARE_OPENED_WITHIN = 60;

    /** What took how long, and what was answered. */
    private static final class Figures {

        private final Map<String, ConcurrentLinkedQueue<Double>> millis = new ConcurrentSkipListMap<>();
        private final Map<Integer, Integer> statuses = new ConcurrentHashMap<>();
        private final ConcurrentLinkedQueue<String> broken = new ConcurrentLinkedQueue<>();

        Visitor.Answer timed(String what, Visitor who, String method, String path, String body) throws IOException {
            long start = System.nanoTime();
            Visitor.Answer answer = who.send(
                    method, path, body.isEmpty() ? null : "application/json", body.getBytes(StandardCharsets.UTF_8));
            millis.computeIfAbsent(what, _ -> new ConcurrentLinkedQueue<>()).add((System.nanoTime() - start) / 1e6);
            statuses.merge(answer.status(), 1, Integer::sum);
            if (answer.status() >= 500) {
                broken.add(answer.status() + " " + method + " " + path + ": " + answer.body());
            }
            return answer;
        }

        void report(String title) {
            System.out.println(
                    "\n" + title + "\n| what | times | median | 95 % | 99 % | longest |\n|---|---|---|---|---|---|");
            millis.forEach((what, times) -> {
                List<Double> sorted = times.stream().sorted().toList();
                System.out.printf(
                        "| %s | %d | %.0f ms | %.0f ms | %.0f ms | %.0f ms |%n",
                        what, sorted.size(), at(sorted, 0.5), at(sorted, 0.95), at(sorted, 0.99), sorted.getLast());
            });
            System.out.println("answers by status: " + new TreeMap<>(statuses));
        }

        private static double at(List<Double> sorted, double part) {
            return sorted.get((int) Math.min(sorted.size() - 1L, Math.round(sorted.size() * part)));
        }
    }

    /** Something that is done again and again until the time is over. */
    @FunctionalInterface
    private interface Part {
        void play() throws Exception;
    }

    private final ConcurrentLinkedQueue<String> failed = new ConcurrentLinkedQueue<>();
    private volatile boolean over;

    private Thread plays(Part part) {
        return Thread.ofVirtual().start(() -> {
            try {
                part.play();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            } catch (Exception e) {
                if (!over) {
                    failed.add(e.toString());
                }
            }
        });
    }

    private static void sleep(double seconds) throws InterruptedException {
        TimeUnit.MICROSECONDS.sleep((long) (seconds * 1e6));
    }

    private static double between(double least, double most) {
        return ThreadLocalRandom.current().nextDouble(least, most);
    }

    /** A live screen: asks for the benches that it is told of, one question after the other, and for the floor now and then. */
    private void screen(Visitor who, StubClass taught, boolean kit, Figures figures) {
        BlockingQueue<String> told = new LinkedBlockingQueue<>();
        plays(() -> {
            try (Visitor listening = who.again()) {
                listening.listen("/api/live?screen=" + UUID.randomUUID() + "&cohort=" + taught.cohort(), data -> {
                    if (data.startsWith("{")) {
                        told.add(data);
                    }
                });
            }
        });
        plays(() -> {
            try (Visitor asking = who.again()) {
                while (!over) {
                    Set<String> benches = new LinkedHashSet<>();
                    for (String event = told.take(); event != null; event = told.poll()) {
                        JsonElement ids =
                                JsonParser.parseString(event).getAsJsonObject().get("traineeIds");
                        (ids.isJsonNull() ? new JsonArray() : ids.getAsJsonArray())
                                .forEach(id -> benches.add(id.getAsString()));
                    }
                    sleep(0.12);
                    if (!benches.isEmpty()) {
                        figures.timed(
                                "benches that changed, for a live screen",
                                asking,
                                "GET",
                                "/api/floor/" + taught.cohort() + "/benches?kit=" + kit + "&trainees="
                                        + String.join(",", benches),
                                "");
                    }
                }
            }
        });
        plays(() -> {
            try (Visitor asking = who.again()) {
                sleep(between(0, FLOOR_LOOKS_EVERY));
                while (!over) {
                    figures.timed("a whole floor of 30", asking, "GET", "/api/floor/" + taught.cohort(), "");
                    sleep(FLOOR_LOOKS_EVERY);
                }
            }
        });
    }

    /** Somebody with a tablet measures one trainee's piece after the other. */
    private void measure(Visitor who, List<StubClass.Sheet> sheets, double pause, Figures figures) throws Exception {
        sleep(between(0, pause));
        for (int i = 0; !over; i = (i + 1) % sheets.size()) {
            String attempt = UUID.randomUUID().toString();
            Visitor.Answer opened = figures.timed(
                    "a piece opened",
                    who,
                    "PUT",
                    "/api/attempts/" + attempt,
                    "{\"traineeId\":\"" + sheets.get(i).traineeId() + "\"}");
            attempt = opened.json().getAsJsonObject().get("id").getAsString();
            for (Map.Entry<String, String> reading : StubClass.RIGHT) {
                sleep(between(0.5 * pause, 1.5 * pause));
                Visitor.Answer kept = figures.timed(
                        "a reading kept",
                        who,
                        "PUT",
                        "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                        "{\"feature\":\"" + reading.getKey() + "\",\"text\":\"" + reading.getValue()
                                + "\",\"bare\":\"in\"}");
                if (kept.status() != 200 && !over) {
                    failed.add(kept.toString());
                }
            }
        }
    }

    /** A trainee's phone looks at its sheet, sends its figures, and says now and then where it is. */
    private void phone(int port, String code, Figures figures) throws Exception {
        String sheet = "/api/benches/" + code;
        try (Visitor phone = new Visitor(port)) {
            sleep(between(0, SHEETS_ARE_OPENED_WITHIN));
            figures.timed("a sheet on a phone", phone, "GET", sheet, "");
            figures.timed(
                    "figures from a phone",
                    phone,
                    "PUT",
                    sheet + "/figures/" + UUID.randomUUID(),
                    "{\"texts\":[\"11 5/8\"],\"bare\":\"in\"}");
            for (int i = 1; !over; i++) {
                sleep(PHONE_LOOKS_EVERY);
                Visitor.Answer seen = figures.timed("a sheet on a phone", phone, "GET", sheet, "");
                // With a piece that is judged there is nothing to say.
                boolean judged = seen.json().getAsJsonObject().get("judged").getAsBoolean();
                if (i % 9 == 0 && !judged) {
                    figures.timed(
                            "a step from a phone",
                            phone,
                            "PUT",
                            sheet + "/steps/" + UUID.randomUUID(),
                            "{\"step\":\"" + (i % 2 == 0 ? "called" : "bending") + "\"}");
                }
            }
        }
    }

    private static Launched school() throws IOException {
        // As a school runs it, not as the tests do.
        return Launched.withEnvironment(PreparedSchool.copy(), Map.of("JAVA_TOOL_OPTIONS", ""));
    }

    private void warmUp(Launched school, Visitor oskar, double seconds) throws Exception {
        StubClass taught = StubClass.begin(oskar, "Warming up", 6);
        Figures nobodys = new Figures();
        screen(oskar, taught, true, nobodys);
        taught.sheets().forEach(sheet -> plays(() -> phone(school.port(), sheet.code(), nobodys)));
        taught.sheets()
                .forEach(sheet -> plays(() -> {
                    try (Visitor tablet = oskar.again()) {
                        measure(tablet, List.of(sheet), 0.1, nobodys);
                    }
                }));
        sleep(seconds);
        over = true;
        sleep(1);
        over = false;
    }

    @Test
    @Timeout(value = 2, unit = TimeUnit.HOURS)
    void thirtyTabletsAndThreeHundredPhones_atAClasssOwnPace() throws Exception {
        Figures figures = new Figures();
        try (Launched school = school();
                Visitor oskar = Visitor.signedIn(school, "oskar")) {
            warmUp(school, oskar, 30);
            for (int number = 1; number <= CLASSES; number++) {
                StubClass taught = StubClass.begin(oskar, "Class " + number, TRAINEES);
                screen(oskar, taught, false, figures);
                for (int tablet = 0; tablet < TABLETS; tablet++) {
                    List<StubClass.Sheet> own = new ArrayList<>();
                    for (int i = tablet; i < TRAINEES; i += TABLETS) {
                        own.add(taught.sheets().get(i));
                    }
                    screen(oskar, taught, true, figures);
                    plays(() -> {
                        try (Visitor measuring = oskar.again()) {
                            measure(measuring, own, 8, figures);
                        }
                    });
                }
                taught.sheets().forEach(sheet -> plays(() -> phone(school.port(), sheet.code(), figures)));
            }
            // Everybody has come in before it counts what they cost.
            sleep(SHEETS_ARE_OPENED_WITHIN);
            Spent before = Spent.by(school);
            Thread.sleep(MEASURED);
            over = true;
            System.out.println(Spent.by(school).since(before));
            figures.report("%d tablets and %d phones, %d walls, %d min"
                    .formatted(CLASSES * TABLETS, CLASSES * TRAINEES, CLASSES, MEASURED.toMinutes()));
        }
        assertThat(figures.broken).isEmpty();
        assertThat(failed).isEmpty();
    }

    @Test
    @Timeout(value = 2, unit = TimeUnit.HOURS)
    void reading_whileStrangersDoTheirWorst() throws Exception {
        Figures figures = new Figures();
        Figures strangers = new Figures();
        try (Launched school = school();
                Visitor dessa = Visitor.signedIn(school, "dessa");
                Visitor oskar = Visitor.signedIn(school, "oskar");
                Visitor runa = Visitor.signedIn(school, "runa")) {
            warmUp(school, oskar, 20);
            StubClass taught = StubClass.begin(dessa, "Not put off", 6);
            for (int i = 0; i < HALF_BODIES; i++) {
                plays(() -> halfBodies(school));
            }
            for (int i = 0; i < SLOW_EXPORTS; i++) {
                Visitor who = (i % 2 == 0 ? oskar : runa).again();
                plays(() -> {
                    while (!over) {
                        strangers.statuses.merge(
                                who.readSlowly("/api/readings.csv", 4096, Duration.ofMillis(500)), 1, Integer::sum);
                        sleep(0.5);
                    }
                });
            }
            for (int i = 0; i < SIGN_INS_A_SECOND; i++) {
                plays(() -> signIns(school, strangers));
            }
            plays(() -> measure(dessa, taught.sheets(), 0.2, figures));
            Thread.sleep(MEASURED);
            over = true;
            figures.report("readings under %d half-sent bodies, %d slow exports, %d sign-ins a second, %d min"
                    .formatted(HALF_BODIES, SLOW_EXPORTS, SIGN_INS_A_SECOND, MEASURED.toMinutes()));
            strangers.report("the strangers meanwhile");
        }
        assertThat(figures.broken).isEmpty();
        assertThat(failed).isEmpty();
    }

    /** Sends half of a body and waits until the server has had enough of it, again and again. */
    private void halfBodies(Launched school) throws Exception {
        try (Visitor stranger = new Visitor(school.port())) {
            stranger.get("/api/status");
            while (!over) {
                try (Socket open = stranger.sendHalf("POST", "/api/session", 100_000, new byte[1000])) {
                    open.getInputStream().readAllBytes();
                } catch (IOException closed) {
                    sleep(0.1);
                }
            }
        }
    }

    /** A sign-in a second, with names that nobody has and some that somebody has. */
    private void signIns(Launched school, Figures strangers) throws Exception {
        try (Visitor stranger = new Visitor(school.port())) {
            stranger.get("/api/status");
            sleep(between(0, 1));
            while (!over) {
                long start = System.nanoTime();
                String name = ThreadLocalRandom.current().nextInt(5) == 0
                        ? "oskar"
                        : "stranger-" + ThreadLocalRandom.current().nextInt(1000);
                strangers.timed(
                        "a stranger's sign-in",
                        stranger,
                        "POST",
                        "/api/session",
                        "{\"name\":\"" + name + "\",\"password\":\"wrong\"}");
                sleep(Math.max(0, 1 - (System.nanoTime() - start) / 1e9));
            }
        }
    }
}
