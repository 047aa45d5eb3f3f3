package lobrik.e2e;

import java.io.IOException;
import java.time.Duration;
import java.util.stream.Stream;

/** How much of the processors' time a school's server and its database have taken so far, and when that was looked at. */
record Spent(Duration server, Duration database, long atNanos) {

    static Spent by(Launched school) throws IOException {
        return new Spent(of(school.server()), of(school.database()), System.nanoTime());
    }

    /** Of a process and those that it started and that still run. */
    private static Duration of(ProcessHandle process) {
        return Stream.concat(Stream.of(process), process.descendants())
                .map(each -> each.info().totalCpuDuration().orElse(Duration.ZERO))
                .reduce(Duration.ZERO, Duration::plus);
    }

    /** In cores: 1 is one that was busy all the time. */
    String since(Spent before) {
        double seconds = (atNanos - before.atNanos) / 1e9;
        return "server %.2f cores, database %.2f"
                .formatted(
                        server.minus(before.server).toMillis() / 1e3 / seconds,
                        database.minus(before.database).toMillis() / 1e3 / seconds);
    }
}
