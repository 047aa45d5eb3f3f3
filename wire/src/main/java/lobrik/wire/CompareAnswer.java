package lobrik.wire;

import java.util.List;
import lobrik.layout.Alternative;
import lobrik.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * What else would do at the same place.
 *
 * @param words what the choice comes to, in a sentence
 * @param friction of the wire on the conduit that the pull was worked out with
 */
public record CompareAnswer(List<AlternativeAnswer> alternatives, String words, double friction) {

    /**
     * Something else that would do.
     *
     * @param input of the bend that says how steep it is, where that is what differs
     * @param angleDeg its size then
     * @param choice that differs, where it is one
     * @param option chosen then
     * @param title of the option
     * @param bender its place in the list of the request, from 0, where that is what differs
     * @param isCurrent whether it is what is asked for now
     * @param impossible why it cannot be laid out; then it takes nothing
     * @param takes what it takes
     * @param shape of the piece
     */
    public record AlternativeAnswer(
            @Nullable String input,
            @Nullable Double angleDeg,
            @Nullable String choice,
            @Nullable String option,
            @Nullable String title,
            @Nullable Integer bender,
            boolean isCurrent,
            @Nullable String impossible,
            @Nullable TakesAnswer takes,
            @Nullable PieceShape shape) {

        static AlternativeAnswer of(Alternative alternative) {
            Alternative.Of of = alternative.of();
            String input = null;
            Double angle = null;
            String choice = null;
            String option = null;
            String title = null;
            Integer bender = null;
            switch (of) {
                case Alternative.Of.Steepness steep -> {
                    input = steep.input();
                    angle = steep.angle().degrees();
                }
                case Alternative.Of.Way way -> {
                    choice = way.choice();
                    option = way.option();
                    title = way.title();
                }
                case Alternative.Of.OtherTool tool -> bender = tool.place();
            }
            String impossible = null;
            TakesAnswer takes = null;
            PieceShape shape = null;
            switch (alternative.result()) {
                case Alternative.Result.Fits fits -> {
                    takes = TakesAnswer.of(fits.takes());
                    shape = PieceShape.of(alternative.bend(), fits.layout().predicted());
                }
                case Alternative.Result.Impossible not ->
                    impossible = not.fault().reason();
            }
            return new AlternativeAnswer(
                    input, angle, choice, option, title, bender, alternative.isCurrent(), impossible, takes, shape);
        }
    }

    /**
     * What an alternative takes.
     *
     * @param alongIn length along the wall, from where the conduit leaves its line to where it runs straight on
     * @param conduitIn conduit that lies along there
     * @param gapIn least gap to what it has to clear; null where that is not known
     * @param shrinkIn one-sided
     * @param pull how many times as hard wire is to pull as through a straight
     * @param onLines whether every mark falls on a line of the tape
     * @param concerns codes of what should be thought about
     */
    public record TakesAnswer(
            double alongIn,
            double conduitIn,
            double degrees,
            @Nullable Double gapIn,
            double shrinkIn,
            double pull,
            boolean onLines,
            List<String> concerns) {

        static TakesAnswer of(Alternative.Takes takes) {
            return new TakesAnswer(
                    takes.along().inches(),
                    takes.conduit().inches(),
                    takes.degrees().degrees(),
                    takes.gap().map(Length::inches).orElse(null),
                    takes.shrink().inches(),
                    takes.pull(),
                    takes.isOnLines(),
                    takes.concerns().stream().map(code -> code.id()).toList());
        }
    }
}
