package lobrik.e2e;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * People measure while parts of the school are killed, many times: nothing that was acknowledged is lost, doubled or altered.
 * Only {@code ./lobrik prove} does it, and writes what it measured; in each build {@link CrashTest} kills each part once
 * while people measure.
 */
@EnabledIfSystemProperty(named = "lobrik.prove", matches = "[1-9]\\d*")
class ProveTest {

    private static final int KILLS = Integer.getInteger("lobrik.prove", 0);
    private static final int PEOPLE = 6;
    private static final int PAUSE_MS = 40;

    /** Over a line it counts when everybody's readings arrive again: they must not be what the server waits for while it starts. */
    private static final int PAUSE_OVER_MS = 150;

    private static final int MOST_READINGS_BETWEEN = 30;

    /** Over a line. */
    private static final int READINGS = Integer.getInteger("lobrik.prove.readings", 10_000);

    private static final int MOST_READINGS_BETWEEN_OVER = 300;

    /** What the launcher puts into docs/reliability.md. */
    private static final Path OF_PARTS = Path.of("target/prove-parts.md");

    private static final Path OF_THE_LINE = Path.of("target/prove-line.md");

    @Test
    @Timeout(value = 12, unit = TimeUnit.HOURS)
    void nothingIsLost_whateverIsKilled() throws Exception {
        long seed = Long.getLong("lobrik.seed", System.nanoTime());
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        System.out.println("Proving with -Dlobrik.seed=" + seed);
        Map<Proving.Kind, List<Duration>> times = new EnumMap<>(Proving.Kind.class);
        try (SmallDisk disk = SmallDisk.make();
                Launched school = Launched.withEnvironment(disk.school(), Map.of("LOBRIK_MOST_ENDS", "100000"));
                Proving proving = Proving.in(school, disk, PEOPLE, PAUSE_MS)) {
            proving.awaitMore(5);
            for (Proving.Kind kind : kinds(disk)) {
                for (int i = 0; i < KILLS; i++) {
                    times.computeIfAbsent(kind, _ -> new ArrayList<>()).add(proving.suffer(kind, random));
                    proving.awaitMore(1 + random.nextInt(MOST_READINGS_BETWEEN));
                }
                System.out.println(line(kind, times.get(kind)) + " " + proving.arrived() + " readings so far");
            }
            Proving.Found found = proving.finish();
            System.out.println(found);
            report(OF_PARTS, "Parts of a school with one server", times, found);
            found.assertWhole();
        }
    }

    /** Two servers behind a line, and one: killed as often, and the line cut, silent or slow. */
    @Test
    @Timeout(value = 12, unit = TimeUnit.HOURS)
    void nothingIsLost_betweenPeopleAndServers() throws Exception {
        RandomGenerator random =
                RandomGeneratorFactory.of("L64X128MixRandom").create(Long.getLong("lobrik.seed", System.nanoTime()));
        prove(false, random);
        prove(true, random);
    }

    private static void prove(boolean two, RandomGenerator random) throws Exception {
        Map<Proving.Kind, List<Duration>> times = new EnumMap<>(Proving.Kind.class);
        Map<String, String> patient = Map.of("LOBRIK_MOST_ENDS", "100000");
        int databasePort = Launched.freePort();
        try (SmallDisk disk = SmallDisk.make();
                Launched school = Launched.withEnvironment(
                        disk.school(), patient, "--database-port", String.valueOf(databasePort));
                Launched second = two
                        ? Launched.withEnvironment(
                                Launched.newFolder(),
                                patient,
                                "--database",
                                "127.0.0.1:" + databasePort,
                                "--settings",
                                school.data().resolve("settings.properties").toString())
                        : null;
                Line line = two ? Line.to(school.port(), second.port()) : Line.to(school.port());
                Proving proving =
                        Proving.over(line, school, Optional.ofNullable(second), disk, PEOPLE, PAUSE_OVER_MS)) {
            proving.awaitMore(5);
            for (int i = 0; i < KILLS || proving.arrived() < READINGS; i++) {
                Proving.Kind kind = over(two).get(i % over(two).size());
                times.computeIfAbsent(kind, _ -> new ArrayList<>()).add(proving.sufferOver(kind, random));
                proving.awaitBoth();
                proving.awaitMore(1 + random.nextInt(MOST_READINGS_BETWEEN_OVER));
            }
            Proving.Found found = proving.finish();
            System.out.println(found);
            report(OF_THE_LINE, two ? "Two servers behind a line" : "One server behind a line", times, found);
            found.assertWhole();
        }
    }

    private static List<Proving.Kind> over(boolean two) {
        return two
                ? List.of(
                        Proving.Kind.ONE_OF_TWO,
                        Proving.Kind.LINE_CUT,
                        Proving.Kind.ONE_OF_TWO,
                        Proving.Kind.LINE_SILENT,
                        Proving.Kind.TWO_OF_TWO,
                        Proving.Kind.LINE_SLOW)
                : List.of(Proving.Kind.SERVER, Proving.Kind.LINE_CUT, Proving.Kind.LINE_SILENT, Proving.Kind.LINE_SLOW);
    }

    private static List<Proving.Kind> kinds(SmallDisk disk) {
        List<Proving.Kind> kinds = new ArrayList<>(List.of(Proving.Kind.values()));
        kinds.removeIf(Proving.Kind::needsALine);
        if (!disk.mounted()) {
            kinds.remove(Proving.Kind.DISK_FULL);
        }
        return kinds;
    }

    private static String line(Proving.Kind kind, List<Duration> times) {
        List<Duration> sorted = times.stream().sorted().toList();
        return "| %s | %d | %s | %s | %s |"
                .formatted(
                        kind.words(),
                        times.size(),
                        seconds(sorted.get(sorted.size() / 2)),
                        seconds(sorted.get((int) Math.min(sorted.size() - 1L, Math.round(sorted.size() * 0.95)))),
                        seconds(sorted.getLast()));
    }

    private static String seconds(Duration time) {
        return "%.1f s".formatted(time.toMillis() / 1000.0);
    }

    /** One part of the report beneath the other, in whatever order they are proved. */
    private static void report(Path to, String title, Map<Proving.Kind, List<Duration>> times, Proving.Found found)
            throws IOException {
        try (PrintStream out = new PrintStream(
                Files.newOutputStream(to, StandardOpenOption.CREATE, StandardOpenOption.APPEND),
                true,
                StandardCharsets.UTF_8)) {
            out.println("**" + title + "**");
            out.println();
            out.println("| killed | times | works again after: median | 95 % | longest |");
            out.println("|---|---|---|---|---|");
            times.forEach((kind, each) -> out.println(line(kind, each)));
            out.println();
            out.println(
                    "Acknowledged readings: %d. Lost %d, doubled %d, altered %d, out of order %d; finished pieces without an outcome %d."
                            .formatted(
                                    found.acknowledged(),
                                    found.lost(),
                                    found.doubled(),
                                    found.altered(),
                                    found.outOfOrder(),
                                    found.withoutOutcome()));
            out.println();
        }
    }
}
