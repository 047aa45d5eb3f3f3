package lobrik.wire;

import lobrik.measure.Length;
import lobrik.shop.ShoeFigures;
import lobrik.shop.Tooling;
import org.jspecify.annotations.Nullable;

/**
 * What follows from a tool's figures; offsets are from the arrow, away from the hook.
 *
 * @param arrowLeadIn null for a tool without a shoe, like the offsets
 * @param middleToBackIn from the middle of the curve of a ninety to its back, along the leg
 * @param wallLeft of what is bent with heat: how thick the wall stays outside, as a part of what it was; null for a shoe
 */
public record ToolingAnswer(
        @Nullable Double arrowLeadIn,
        double gainIn,
        @Nullable Double starOffsetIn,
        @Nullable Double notchOffsetIn,
        double backOfBendIn,
        double middleToBackIn,
        @Nullable Double wallLeft) {

    static ToolingAnswer of(Tooling tooling) {
        return new ToolingAnswer(
                tooling.shoe().map(ShoeFigures::arrowLead).map(Length::inches).orElse(null),
                tooling.gain().inches(),
                tooling.shoe().map(ShoeFigures::starOffset).map(Length::inches).orElse(null),
                tooling.shoe().map(ShoeFigures::notchOffset).map(Length::inches).orElse(null),
                tooling.backOfBend().inches(),
                tooling.middleToBack().inches(),
                tooling.wallLeft().orElse(null));
    }
}
