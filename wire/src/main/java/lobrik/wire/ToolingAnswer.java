package lobrik.wire;

import lobrik.shop.Tooling;

/** What follows from a bender's figures; offsets are from the arrow, away from the hook. */
public record ToolingAnswer(
        double arrowLeadIn, double gainIn, double starOffsetIn, double notchOffsetIn, double backOfBendIn) {

    static ToolingAnswer of(Tooling tooling) {
        return new ToolingAnswer(
                tooling.shoe().arrowLead().inches(),
                tooling.gain().inches(),
                tooling.shoe().starOffset().inches(),
                tooling.shoe().notchOffset().inches(),
                tooling.backOfBend().inches());
    }
}
