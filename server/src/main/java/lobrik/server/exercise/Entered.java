package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Map;
import java.util.Optional;
import lobrik.measure.LengthUnit;
import org.jspecify.annotations.Nullable;

/**
 * What somebody typed for the sizes of a bend, so that two readings of a tape stay two readings.
 *
 * @param unit of numbers that name none
 * @param texts by input, such as {@code distanceIn}: {@code 71 1/4 − 40 5/8 − 1/8}
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Entered(@Nullable LengthUnit unit, @Nullable Map<String, @Nullable String> texts) {

    /** What was typed for a size by its path, where that is more than one length: two readings of a tape, or what goes into a fitting. */
    public Optional<String> takenOff(String input) {
        return Optional.ofNullable(texts)
                .map(each -> each.get(input))
                .filter(text -> isTakenFrom(text) || text.contains(" + "));
    }

    /**
     * A size with what goes into the fitting still to be added, as it was typed: {@code 30 + 5/8}. Adding it is the trainee's
     * work, so a sheet gives it like that.
     */
    public Optional<String> toTheFitting(String input) {
        return takenOff(input).filter(text -> !isTakenFrom(text));
    }

    private static boolean isTakenFrom(String text) {
        return text.contains(" − ") || text.contains(" - ");
    }
}
