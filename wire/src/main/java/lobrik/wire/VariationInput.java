package lobrik.wire;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the variants of an exercise differ.
 *
 * @param seed the same seed deals the same variants
 * @param ranges of some of the bend's inputs
 */
public record VariationInput(long seed, @Nullable List<@Nullable RangeInput> ranges) {

    /** Sizes that an input takes, in its own unit: {@code from}, {@code from + step} … up to {@code to}. */
    public record RangeInput(
            @Nullable String input,
            @Nullable Double from,
            @Nullable Double to,
            @Nullable Double step) {}
}
