package lobrik.server.gauge;

import java.util.Optional;

/**
 * A line of a gauge (docs/formats/gauges.md).
 */
sealed interface GaugeLine {

    /** {@code gauge 1 <id> <angle|height> <label>}: who it is. */
    record Hello(String id, GaugeKind kind, String label) implements GaugeLine {}

    /** {@code read <number> <value> <unit>}: what it shows. Numbers grow; a line that comes twice is one. */
    record Shown(long number, String figure, String unit) implements GaugeLine {}

    int LONGEST = 200;

    /** A line as it came; nothing if it is none of these. */
    static Optional<GaugeLine> read(String line) {
        String[] words = line.strip().split(" +", 5);
        if (words.length == 5 && words[0].equals("gauge") && words[1].equals("1") && words[2].matches("[\\w-]{1,40}")) {
            String label = words[4].substring(0, Math.min(words[4].length(), 40));
            return GaugeKind.named(words[3]).map(kind -> new Hello(words[2], kind, label));
        }
        if (words.length == 4
                && words[0].equals("read")
                && words[1].matches("\\d{1,15}")
                && words[2].matches("-?\\d{1,6}(\\.\\d{1,6})?")) {
            return Optional.of(new Shown(Long.parseLong(words[1]), words[2], words[3]));
        }
        return Optional.empty();
    }
}
