package lobrik.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.TreeMap;
import java.util.stream.Stream;

/** How much memory a command and all that it started hold while it runs, looked at each second. */
final class Memory implements Runnable {

    private static final long LOOKED_AT_EVERY_MS = 1_000;
    private static final String RESIDENT = "VmRSS:";

    private final Process command;
    private final TreeMap<Long, Long> kilobytesAtSecond = new TreeMap<>();

    Memory(Process command) {
        this.command = command;
    }

    @Override
    public void run() {
        long begun = System.nanoTime();
        try {
            while (command.isAlive()) {
                long all = Stream.concat(Stream.of(command.toHandle()), command.descendants())
                        .mapToLong(each -> resident(each.pid()))
                        .sum();
                synchronized (this) {
                    kilobytesAtSecond.put((System.nanoTime() - begun) / 1_000_000_000L, all);
                }
                Thread.sleep(LOOKED_AT_EVERY_MS);
            }
        } catch (InterruptedException over) {
            Thread.currentThread().interrupt();
        }
    }

    /** Of a process, in kB; 0 if it has just ended. */
    static long resident(long pid) {
        try (Stream<String> lines = Files.lines(Path.of("/proc/" + pid + "/status"))) {
            return lines.filter(line -> line.startsWith(RESIDENT))
                    .map(line -> line.replaceAll("\\D", ""))
                    .mapToLong(Long::parseLong)
                    .sum();
        } catch (IOException | java.io.UncheckedIOException ended) {
            return 0;
        }
    }

    /** The most in each fifth of its time: what does not grow is constant. */
    @Override
    public synchronized String toString() {
        if (kilobytesAtSecond.isEmpty()) {
            return "unknown";
        }
        StringBuilder said = new StringBuilder();
        long end = kilobytesAtSecond.lastKey() + 1;
        for (int fifth = 0; fifth < 5; fifth++) {
            long most = kilobytesAtSecond.subMap(end * fifth / 5, end * (fifth + 1) / 5).values().stream()
                    .mapToLong(Long::longValue)
                    .max()
                    .orElse(0);
            said.append(fifth == 0 ? "" : ", ").append(most / 1024);
        }
        return said + " MB at most in each fifth of its time";
    }
}
