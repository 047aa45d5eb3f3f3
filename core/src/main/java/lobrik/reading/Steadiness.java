package lobrik.reading;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;

/**
 * Whether a gauge stands still enough to be read.
 *
 * @param reading the middle one of what it showed while it stood still; only if it does
 * @param spread between the largest and the smallest value it showed lately
 */
public record Steadiness(State state, Optional<Quantity> reading, Quantity spread) {

    /** What a gauge does. */
    public enum State {
        /** Its values lie together: it can be read. */
        STEADY,
        /** Its values run one way: it is being put on. */
        MOVING,
        /** Its values jump to and fro: clean it, or hold it still. */
        NOISY,
        /** Nothing came for a while. */
        SILENT
    }

    /**
     * A value at a time.
     *
     * @param millis on any clock that never goes back
     */
    public record Sample(long millis, Quantity value) {}

    /** For so long it must lie together. */
    private static final long STILL_MILLIS = 600;

    /** To tell moving from noisy, more is looked at. */
    private static final long LATELY_MILLIS = 2_000;

    private static final long SILENT_MILLIS = 1_500;
    private static final int LEAST_SAMPLES = 4;

    /** How far apart values may lie: a fifth of what a tape or a level is read to. */
    private static final Length TOGETHER_LENGTH = Length.ofFraction(0, 1, 64);

    private static final Angle TOGETHER_ANGLE = Angle.ofDegrees(0.15);
    private static final Percentage TOGETHER_PERCENTAGE = Percentage.of(0.5);

    /** Of its way to and fro, noise ends up less than this part further. */
    private static final double NOISE_GETS_NOWHERE = 0.35;

    /**
     * Looks at what a gauge showed.
     *
     * @param samples from the oldest, all of one kind
     */
    public static Steadiness of(List<Sample> samples, long now) {
        List<Sample> lately = since(samples, now - LATELY_MILLIS);
        if (lately.isEmpty() || now - lately.getLast().millis() > SILENT_MILLIS) {
            Quantity nothing = samples.isEmpty() ? Length.ZERO : difference(samples.getLast(), samples.getLast());
            return new Steadiness(State.SILENT, Optional.empty(), nothing);
        }
        List<Sample> still = since(samples, lately.getLast().millis() - STILL_MILLIS);
        Quantity spread = spread(still);
        boolean longEnough = lately.getLast().millis() - lately.getFirst().millis() >= STILL_MILLIS;
        if (longEnough && still.size() >= LEAST_SAMPLES && spread.count() <= together(spread)) {
            return new Steadiness(State.STEADY, Optional.of(middle(still)), spread);
        }
        return new Steadiness(goesNowhere(lately) ? State.NOISY : State.MOVING, Optional.empty(), spread(lately));
    }

    private static List<Sample> since(List<Sample> samples, long millis) {
        return samples.stream().filter(sample -> sample.millis() >= millis).toList();
    }

    private static long together(Quantity spread) {
        return switch (spread) {
            case Length _ -> TOGETHER_LENGTH.count();
            case Angle _ -> TOGETHER_ANGLE.count();
            case Percentage _ -> TOGETHER_PERCENTAGE.count();
        };
    }

    private static Quantity middle(List<Sample> samples) {
        List<Quantity> sorted = samples.stream()
                .map(Sample::value)
                .sorted((a, b) -> Long.compare(a.count(), b.count()))
                .toList();
        return sorted.get(sorted.size() / 2);
    }

    private static Quantity spread(List<Sample> samples) {
        Sample least = samples.getFirst();
        Sample most = samples.getFirst();
        for (Sample sample : samples) {
            least = sample.value().count() < least.value().count() ? sample : least;
            most = sample.value().count() > most.value().count() ? sample : most;
        }
        return difference(most, least);
    }

    private static boolean goesNowhere(List<Sample> samples) {
        double way = 0;
        for (int i = 1; i < samples.size(); i++) {
            way += Math.abs(difference(samples.get(i), samples.get(i - 1)).count());
        }
        double got = Math.abs(difference(samples.getLast(), samples.getFirst()).count());
        return samples.size() >= LEAST_SAMPLES && got < NOISE_GETS_NOWHERE * way;
    }

    private static Quantity difference(Sample one, Sample other) {
        return one.value().minus(other.value());
    }
}
