package lobrik.wire;

import java.util.List;
import lobrik.measure.Length;
import lobrik.shop.Calibration;
import org.jspecify.annotations.Nullable;

/** Test bends: arrow on the mark, hook towards the datum end. */
public record CalibrationCall(
        @Nullable ConduitInput conduit, @Nullable List<@Nullable TestBendInput> tests) {

    /** One test bend; its angle is 90° if it is not given. */
    public record TestBendInput(
            @Nullable Double straightIn,
            @Nullable Double markIn,
            @Nullable Double markedLegIn,
            @Nullable Double otherLegIn,
            @Nullable Double angleDeg) {}

    /**
     * The fit.
     *
     * @param scatterIn standard deviation of a leg about the fit; none for a single test bend
     * @param takeUpErrorIn standard error of the take-up; none for a single test bend
     * @param radiusErrorIn standard error of the radius; none for a single test bend
     */
    public record CalibrationAnswer(
            double takeUpIn,
            double radiusIn,
            @Nullable Double scatterIn,
            @Nullable Double takeUpErrorIn,
            @Nullable Double radiusErrorIn,
            List<ResidualAnswer> residuals) {

        static CalibrationAnswer of(Calibration fit) {
            return new CalibrationAnswer(
                    fit.takeUp().inches(),
                    fit.radius().inches(),
                    fit.scatter().map(Length::inches).orElse(null),
                    fit.takeUpError().map(Length::inches).orElse(null),
                    fit.radiusError().map(Length::inches).orElse(null),
                    fit.residuals().stream()
                            .map(residual -> new ResidualAnswer(
                                    residual.markedLeg().inches(),
                                    residual.otherLeg().inches()))
                            .toList());
        }
    }

    /** What was read on a test bend less what the fit gives. */
    public record ResidualAnswer(double markedLegIn, double otherLegIn) {}
}
