package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.ServerSocket;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;

/**
 * Two servers of one school behind a line: while people measure, either is killed, and the line cut. Nothing that was acknowledged is
 * lost, doubled, altered or out of order, and nobody waits for the one that was killed.
 */
class TwoServersAtWorkTest {

    private static final int PEOPLE = 3;
    private static final int PAUSE_MS = 60;

    @Test
    void whileOneIsKilled_theOtherGoesOn_andNothingIsLost() throws Exception {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(7);
        int databasePort;
        try (ServerSocket free = new ServerSocket(0)) {
            databasePort = free.getLocalPort();
        }
        try (SmallDisk disk = SmallDisk.make();
                Launched first = Launched.withEnvironment(
                        disk.school(),
                        Map.of("LOBRIK_MOST_ENDS", "1000"),
                        "--database-port",
                        String.valueOf(databasePort));
                Launched second = Launched.withEnvironment(
                        Launched.newFolder(),
                        Map.of("LOBRIK_MOST_ENDS", "1000"),
                        "--database",
                        "127.0.0.1:" + databasePort,
                        "--settings",
                        first.data().resolve("settings.properties").toString());
                Line line = Line.to(first.port(), second.port());
                Proving people = Proving.over(line, first, Optional.of(second), disk, PEOPLE, PAUSE_MS)) {
            assertThat(second.data().resolve("postgres")).doesNotExist();
            people.awaitMore(5);
            Duration longest = Duration.ZERO;
            for (Launched each : new Launched[] {first, second}) {
                long killed = System.nanoTime();
                each.killServer();
                people.awaitEverybody(killed);
                Duration without = Duration.ofNanos(System.nanoTime() - killed);
                longest = without.compareTo(longest) > 0 ? without : longest;
                people.awaitBoth();
            }
            System.out.println("Everybody's readings arrived again after " + longest.toMillis() + " ms at most");
            people.suffer(Proving.Kind.LINE_CUT, random);
            people.suffer(Proving.Kind.LINE_SILENT, random);
            Proving.Found found = people.finish();
            System.out.println(found);
            found.assertWhole();
        }
    }
}
