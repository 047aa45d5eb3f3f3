package lobrik.wire;

import java.util.List;
import lobrik.layout.Method;
import org.jspecify.annotations.Nullable;

/**
 * A piece of which the cause of its faults is asked for.
 *
 * @param multipliers rows of the school's card that differ from the usual one
 * @param sigmaIn standard deviation of a reading of a length
 * @param sigmaDeg standard deviation of a reading of an angle
 * @param insertionIn how far an end goes into its fitting
 * @param readings any subset of the bend's features
 * @param own the trainee's own figures for the marks, if they are known
 * @param faulty what was found wrong when it was looked over, by the ids of workmanship, if anybody looked
 */
public record DiagnoseRequest(
        @Nullable Method method,
        @Nullable Double tapeDivisionIn,
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable BendInput bend,
        @Nullable List<LayoutRequest.@Nullable MultiplierRow> multipliers,
        @Nullable Double sigmaIn,
        @Nullable Double sigmaDeg,
        @Nullable Double insertionIn,
        @Nullable List<@Nullable FeatureReading> readings,
        @Nullable List<@Nullable OwnMark> own,
        @Nullable List<@Nullable String> faulty) {

    /** What was read of a feature, in inches, degrees or per cent as it has it. */
    public record FeatureReading(
            @Nullable String feature, @Nullable Double value) {}

    /** A figure that the trainee worked out for a mark. */
    public record OwnMark(@Nullable Integer mark, @Nullable Double positionIn) {}

    /** What has to be laid out first. */
    LayoutRequest layout() {
        return new LayoutRequest(method, tapeDivisionIn, conduit, bender, bend, multipliers, null, null, null);
    }
}
