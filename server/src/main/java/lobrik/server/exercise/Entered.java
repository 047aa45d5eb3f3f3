package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Map;
import lobrik.server.calc.QuantityRequest.BareUnit;
import org.jspecify.annotations.Nullable;

/**
 * What somebody typed for the sizes of a bend, so that two readings of a tape stay two readings.
 *
 * @param unit of numbers that name none
 * @param texts by input, such as {@code distanceIn}: {@code 71 1/4 − 40 5/8 − 1/8}
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Entered(@Nullable BareUnit unit, @Nullable Map<String, @Nullable String> texts) {}
