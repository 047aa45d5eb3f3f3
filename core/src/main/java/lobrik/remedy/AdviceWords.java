package lobrik.remedy;

import java.util.List;
import java.util.stream.Collectors;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.shop.ToolKind;
import lobrik.verdict.Judged;

/**
 * Advice in words.
 *
 * @param bends how many the piece has: a single one needs no number
 * @param unit that lengths are said in
 * @param tool that it is bent with
 */
public record AdviceWords(Advice advice, int bends, LengthUnit unit, ToolKind tool) {

    /** What becomes of the piece, in a sentence. */
    public String outcome() {
        return switch (advice.outcome()) {
            case LEAVE -> "Leave it as it is: every dimension is within its tolerance.";
            case REWORK -> "It can be saved: this brings every dimension into its tolerance.";
            case ACCEPT ->
                (advice.steps().isEmpty() ? "Leave it as it is: " : "Do this and leave it at that: ")
                        + names(advice.outside()) + " cannot be brought in, but fails no piece.";
            case SCRAP -> "Scrap: " + reason();
        };
    }

    private String reason() {
        return switch (advice.reason().orElse(Advice.Scrap.OUT_OF_REACH)) {
            case KINKED -> "a kink cannot be bent out again.";
            case FLATTENED -> "a bend is pressed flat, and does not get round again.";
            case SCORCHED -> "scorched plastic is brittle and stays so.";
            case REBENT_TOO_OFTEN -> "it was bent again as often as the conduit can stand.";
            case OUT_OF_REACH -> outOfReach();
        };
    }

    private String outOfReach() {
        String amounts = advice.predicted().stream()
                .filter(each -> each.then().band() == Judged.Band.OUTSIDE)
                .map(this::amount)
                .collect(Collectors.joining(", "));
        return "no bending, turning or cutting brings in " + names(advice.outside()) + ". At best: " + amounts + ".";
    }

    private String amount(Advice.Predicted each) {
        return each.feature().words() + " " + size(each.then().deviation())
                + (each.then().deviation().count() < 0 ? " under" : " over");
    }

    private String size(Quantity deviation) {
        return switch (deviation) {
            case Length length -> length.abs().inWords(unit);
            case Angle angle -> Angle.ofDegrees(Math.abs(angle.degrees())).text();
            case Percentage part -> new Percentage(Math.abs(part.billionths())).text();
        };
    }

    private static String names(List<FeatureId> features) {
        List<String> words = features.stream().map(FeatureId::words).toList();
        int last = words.size() - 1;
        return last < 1
                ? String.join("", words)
                : String.join(", ", words.subList(0, last)) + " and " + words.get(last);
    }

    private String name(int bend) {
        return bends == 1 ? "the bend" : "bend " + bend;
    }

    private String close(RemedyStep.Rebend rebend) {
        return switch (tool) {
            case SHOE ->
                "Close " + name(rebend.bend()) + " by " + rebend.by().text()
                        + ": back in the shoe, on its ring, as before.";
            case MACHINE ->
                "Close " + name(rebend.bend()) + " by " + rebend.by().text()
                        + ": back in the machine, the shoe on its ring, pushed that much further under load.";
            case FORMER ->
                "Warm " + name(rebend.bend()) + " again over its whole length, close it by "
                        + rebend.by().text() + ", and hold it until it is cold.";
        };
    }

    private String ease(RemedyStep.Rebend rebend, Angle by) {
        return switch (tool) {
            case SHOE -> "Ease " + name(rebend.bend()) + " open by " + by.text() + ", lifting, never flattening it.";
            case MACHINE ->
                "Ease " + name(rebend.bend()) + " open by " + by.text()
                        + ", a little at a time and never under pressure from the inside of the bend.";
            case FORMER ->
                "Warm " + name(rebend.bend()) + " again over its whole length, let it open by " + by.text()
                        + ", and hold it until it is cold.";
        };
    }

    /** What to do, in a sentence. */
    public String step(RemedyStep step) {
        return switch (step) {
            case RemedyStep.Rebend rebend when rebend.by().count() > 0 -> close(rebend);
            case RemedyStep.Rebend rebend -> ease(rebend, Angle.ZERO.minus(rebend.by()));
            case RemedyStep.Untwist untwist ->
                "Turn the leg beyond bend " + (untwist.bend() - 1) + " back by "
                        + untwist.by().text() + " until the piece lies flat.";
            case RemedyStep.Trim trim ->
                "Cut " + trim.by().inWords(unit) + " off the " + (trim.end() == RemedyStep.End.DATUM ? "datum" : "far")
                        + " end, square, and ream it.";
        };
    }
}
