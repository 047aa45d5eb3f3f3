package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.random.RandomGenerator;

/**
 * Several people measure without end in a school of which parts are killed. What they were told has arrived must be on record
 * afterwards: once, and as it was written down.
 */
final class Proving implements AutoCloseable {

    /** What is killed, or happens. */
    enum Kind {
        SERVER("server"),
        DATABASE("database"),
        BACKEND("one backend"),
        LAUNCHER("launcher"),
        ALL("all"),
        BOTH("both at once"),
        DISK_FULL("disk full"),
        ONE_OF_TWO("one of two servers"),
        TWO_OF_TWO("two of two servers"),
        LINE_CUT("the line cut"),
        LINE_SILENT("the line silent"),
        LINE_SLOW("the line slow");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }

        /** Whether it happens between people and servers, or to one of several servers. */
        boolean needsALine() {
            return ordinal() >= ONE_OF_TWO.ordinal();
        }
    }

    /** A reading as its writer wrote it down. */
    private record Written(String feature, String text) {}

    /** What was found on record, and what not. */
    record Found(
            int acknowledged,
            int onRecord,
            int lost,
            int doubled,
            int altered,
            int outOfOrder,
            int withoutOutcome,
            int refused) {

        void assertWhole() {
            assertThat(acknowledged).isPositive();
            assertThat(this).isEqualTo(new Found(acknowledged, acknowledged, 0, 0, 0, 0, 0, 0));
        }
    }

    private static final Path WRITER = Path.of("../web/target/prove/writer.js");
    private static final Duration DISK_STAYS_FULL = Duration.ofSeconds(2);
    private static final Duration FOLLOWED_UP_WITHIN = Duration.ofSeconds(20);

    private final SmallDisk disk;
    private final Launched school;
    private final Optional<Launched> second;
    private final Optional<Line> line;
    private final List<Process> writers = new ArrayList<>();
    private final List<Thread> listeners = new ArrayList<>();
    private final Map<String, Written> arrived = new ConcurrentHashMap<>();
    private final Map<String, String> kept = new ConcurrentHashMap<>();

    /** The readings of each piece, in the order in which they were written down. */
    private final Map<String, List<String>> order = new ConcurrentHashMap<>();

    /** When something of each writer arrived last, on the clock that never jumps. */
    private final Map<Process, Long> lastArrived = new ConcurrentHashMap<>();

    private final List<Integer> refused = new ArrayList<>();
    private String cohort = "";
    private final AtomicBoolean silent = new AtomicBoolean();

    private Proving(SmallDisk disk, Launched school, Optional<Launched> second, Optional<Line> line) {
        this.disk = disk;
        this.school = school;
        this.second = second;
        this.line = line;
    }

    /** Has so many measure in this school, which lies on this disk; a reading every so many ms each. */
    static Proving in(Launched school, SmallDisk disk, int people, int pauseMs) throws IOException {
        return begun(new Proving(disk, school, Optional.empty(), Optional.empty()), people, pauseMs);
    }

    /** The same at two servers of one school, or at one, over a line. */
    static Proving over(Line line, Launched school, Optional<Launched> second, SmallDisk disk, int people, int pauseMs)
            throws IOException {
        return begun(new Proving(disk, school, second, Optional.of(line)), people, pauseMs);
    }

    private static Proving begun(Proving proving, int people, int pauseMs) throws IOException {
        proving.begin(people, pauseMs);
        return proving;
    }

    private void begin(int people, int pauseMs) throws IOException {
        try (Visitor oskar = Visitor.signedIn(school, "oskar")) {
            StubClass proved = StubClass.begin(oskar, "Proved", people);
            cohort = proved.cohort();
            for (StubClass.Sheet sheet : proved.sheets()) {
                Process writer = new ProcessBuilder(
                                "node",
                                WRITER.toString(),
                                line.map(Line::base).orElseGet(school::base),
                                "oskar",
                                school.password(),
                                sheet.traineeId(),
                                sheet.assignmentId(),
                                String.valueOf(pauseMs))
                        .redirectError(ProcessBuilder.Redirect.INHERIT)
                        .start();
                writers.add(writer);
                listeners.add(Thread.ofVirtual().start(() -> listen(writer)));
            }
        }
    }

    private void listen(Process writer) {
        try (BufferedReader lines = writer.inputReader(StandardCharsets.UTF_8)) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                JsonObject said = JsonParser.parseString(line).getAsJsonObject();
                if (said.has("kept")) {
                    String attempt = said.get("attempt").getAsString();
                    kept.put(said.get("kept").getAsString(), attempt);
                    order.computeIfAbsent(attempt, _ -> new CopyOnWriteArrayList<>())
                            .add(said.get("kept").getAsString());
                } else if (said.has("arrived")) {
                    lastArrived.put(writer, System.nanoTime());
                    arrived.put(
                            said.get("arrived").getAsString(),
                            new Written(
                                    said.get("feature").getAsString(),
                                    said.get("text").getAsString()));
                } else {
                    synchronized (refused) {
                        refused.add(said.get("refused").getAsInt());
                    }
                }
            }
        } catch (IOException e) {
            silent.set(true);
        }
    }

    /** How many readings have arrived. */
    int arrived() {
        return arrived.size();
    }

    /** Waits until so many more have arrived. */
    void awaitMore(int readings) throws InterruptedException {
        int before = arrived.size();
        while (arrived.size() < before + readings) {
            if (silent.get() || writers.stream().noneMatch(Process::isAlive)) {
                throw new IllegalStateException("nobody measures any more");
            }
            Thread.sleep(20);
        }
    }

    /** Waits until something of every writer arrived after a moment on the clock that never jumps. */
    void awaitEverybody(long since) throws InterruptedException {
        while (writers.stream().anyMatch(writer -> lastArrived.getOrDefault(writer, Long.MIN_VALUE) - since <= 0)) {
            if (silent.get() || writers.stream().noneMatch(Process::isAlive)) {
                throw new IllegalStateException("nobody measures any more");
            }
            Thread.sleep(10);
        }
    }

    /** Has something happen to the line or to servers behind it; gives how long it took until everybody's readings arrived again. */
    Duration sufferOver(Kind kind, RandomGenerator random) throws Exception {
        Line between = line.orElseThrow();
        Launched other = second.orElse(school);
        long start = System.nanoTime();
        switch (kind) {
            case SERVER -> school.server().destroyForcibly();
            case ONE_OF_TWO -> (random.nextBoolean() ? school : other).server().destroyForcibly();
            case TWO_OF_TWO -> {
                school.server().destroyForcibly();
                other.server().destroyForcibly();
            }
            case LINE_CUT -> between.cut(Duration.ofMillis(random.nextInt(100, 2_000)));
            case LINE_SILENT -> between.fallSilent(Duration.ofMillis(random.nextInt(100, 2_000)));
            case LINE_SLOW -> between.beSlow(Duration.ofSeconds(2), Duration.ofMillis(random.nextInt(50, 400)));
            default -> throw new IllegalArgumentException(kind.words());
        }
        if (kind == Kind.LINE_CUT || kind == Kind.LINE_SILENT || kind == Kind.LINE_SLOW) {
            // From when the line is whole again.
            start = System.nanoTime();
        }
        awaitEverybody(start);
        return Duration.ofNanos(System.nanoTime() - start);
    }

    /** Waits until both servers are there again, so that there is another one to kill. */
    void awaitBoth() throws IOException, InterruptedException {
        school.awaitReady();
        if (second.isPresent()) {
            second.get().awaitReady();
        }
    }

    /** Has something happen; gives how long it took until everything worked again. */
    Duration suffer(Kind kind, RandomGenerator random) throws Exception {
        int ends = ends();
        long start = System.nanoTime();
        switch (kind) {
            case SERVER -> school.server().destroyForcibly();
            case DATABASE -> school.database().destroyForcibly();
            case BACKEND -> killBackend(random);
            case LAUNCHER -> {
                school.killLauncher();
                school.again();
            }
            case ALL -> {
                school.killLauncher();
                school.database().destroyForcibly();
                school.killServer();
                school.again();
            }
            case BOTH -> {
                ProcessHandle server = school.server();
                school.database().destroyForcibly();
                server.destroyForcibly();
            }
            case DISK_FULL -> {
                disk.fill();
                Thread.sleep(DISK_STAYS_FULL);
                disk.clear();
                // From when there is room again.
                start = System.nanoTime();
            }
            case ONE_OF_TWO, TWO_OF_TWO, LINE_CUT, LINE_SILENT, LINE_SLOW -> {
                return sufferOver(kind, random);
            }
        }
        if (kind == Kind.SERVER || kind == Kind.DATABASE || kind == Kind.BOTH) {
            while (ends() == ends) {
                Thread.sleep(20);
            }
        }
        school.awaitReady();
        return Duration.ofNanos(System.nanoTime() - start);
    }

    private int ends() throws IOException {
        Path log = school.data().resolve("ends.log");
        // It keeps a hundred, so its last line counts too.
        return Files.exists(log) ? Files.readString(log).hashCode() : 0;
    }

    private void killBackend(RandomGenerator random) throws IOException, SQLException {
        List<Long> backends = new ArrayList<>();
        try (Connection owner = owner();
                Statement statement = owner.createStatement();
                ResultSet rows =
                        statement.executeQuery("select pid from pg_stat_activity where usename = 'lobrik_app'")) {
            while (rows.next()) {
                backends.add(rows.getLong(1));
            }
        }
        if (!backends.isEmpty()) {
            ProcessHandle.of(backends.get(random.nextInt(backends.size()))).ifPresent(ProcessHandle::destroyForcibly);
        }
    }

    private Connection owner() throws IOException, SQLException {
        return DriverManager.getConnection(
                school.databaseUrl(), "lobrik_owner", school.setting("spring.flyway.password"));
    }

    /** What follows from what was written down is worked out after it. */
    private static void awaitFollowedUp(Statement statement) throws SQLException, InterruptedException {
        Instant until = Instant.now().plus(FOLLOWED_UP_WITHIN);
        while (Instant.now().isBefore(until)) {
            try (ResultSet rows = statement.executeQuery("select count(*) from follow_up")) {
                rows.next();
                if (rows.getInt(1) == 0) {
                    return;
                }
            }
            Thread.sleep(200);
        }
    }

    /** Has everybody finish and compares what they were told with what is on record. */
    Found finish() throws Exception {
        for (Process writer : writers) {
            try (OutputStream input = writer.getOutputStream()) {
                input.write('\n');
            }
        }
        for (Thread listener : listeners) {
            listener.join();
        }
        Map<String, Written> record = new HashMap<>();
        int doubled = 0;
        int outOfOrder = 0;
        int withoutOutcome;
        try (Connection owner = owner();
                Statement statement = owner.createStatement()) {
            awaitFollowedUp(statement);
            try (ResultSet rows = statement.executeQuery("""
                    select r.id, r.feature, r.typed from reading r join attempt a on a.id = r.attempt_id
                    join trainee t on t.id = a.trainee_id where t.cohort_id = '%s' order by r.entry_no""".formatted(cohort))) {
                Map<String, List<String>> found = new HashMap<>();
                while (rows.next()) {
                    String id = rows.getString(1);
                    record.put(id, new Written(rows.getString(2), rows.getString(3)));
                    found.computeIfAbsent(kept.getOrDefault(id, ""), _ -> new ArrayList<>())
                            .add(id);
                }
                outOfOrder = (int) found.entrySet().stream()
                        .filter(piece -> !piece.getValue().equals(order.get(piece.getKey())))
                        .count();
            }
            try (ResultSet rows = statement.executeQuery("""
                    select count(*) - count(distinct (r.attempt_id, r.feature)) from reading r
                    join attempt a on a.id = r.attempt_id
                    join trainee t on t.id = a.trainee_id where t.cohort_id = '%s'""".formatted(cohort))) {
                rows.next();
                doubled = rows.getInt(1);
            }
            try (ResultSet rows = statement.executeQuery("""
                    select count(*) from attempt a join trainee t on t.id = a.trainee_id
                    where t.cohort_id = '%s' and a.complete
                      and not exists (select 1 from outcome o where o.attempt_id = a.id)""".formatted(cohort))) {
                rows.next();
                withoutOutcome = rows.getInt(1);
            }
        }
        int lost = 0;
        int altered = 0;
        for (Map.Entry<String, Written> one : arrived.entrySet()) {
            Written there = record.get(one.getKey());
            if (there == null) {
                lost++;
            } else if (!there.equals(one.getValue())) {
                altered++;
            }
        }
        // Whoever finished has nothing waiting: so what was kept has arrived too.
        lost += (int)
                kept.keySet().stream().filter(key -> !arrived.containsKey(key)).count();
        // Nobody else measures these people.
        doubled += (int)
                record.keySet().stream().filter(key -> !kept.containsKey(key)).count();
        synchronized (refused) {
            return new Found(
                    arrived.size(),
                    record.size(),
                    lost,
                    doubled,
                    altered,
                    outOfOrder,
                    withoutOutcome,
                    refused.stream().mapToInt(Integer::intValue).sum() + 1_000_000 * (writers.size() - refused.size()));
        }
    }

    /** Sends everybody home; the school goes on. */
    @Override
    public void close() {
        writers.forEach(Process::destroyForcibly);
    }
}
