package lobrik.bench;

import java.util.Collection;
import java.util.concurrent.ConcurrentLinkedQueue;

/** How long something took, many times over; several may add to it at once. */
final class Spread {

    private final Collection<Long> nanoseconds = new ConcurrentLinkedQueue<>();

    void add(long taken) {
        nanoseconds.add(taken);
    }

    void addAll(Spread other) {
        nanoseconds.addAll(other.nanoseconds);
    }

    int count() {
        return nanoseconds.size();
    }

    /** In milliseconds. */
    @Override
    public String toString() {
        long[] sorted = nanoseconds.stream().mapToLong(Long::longValue).sorted().toArray();
        return sorted.length == 0
                ? "never"
                : "median %.1f ms, 95 %% %.1f, 99 %% %.1f, slowest %.0f of %d"
                        .formatted(at(sorted, 0.5), at(sorted, 0.95), at(sorted, 0.99), at(sorted, 1), sorted.length);
    }

    private static double at(long[] sorted, double part) {
        return sorted[(int) Math.min(sorted.length - 1L, Math.round(part * sorted.length))] / 1e6;
    }
}
