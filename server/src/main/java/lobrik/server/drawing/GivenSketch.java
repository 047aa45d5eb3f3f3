package lobrik.server.drawing;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Input;
import lobrik.layout.Review;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.wire.Question;

/** What an exercise asks for, drawn with its rings and the sizes that are given: of a run, the plans of its walls. */
public final class GivenSketch {

    private GivenSketch() {}

    /** Draws an exercise; figures are as high as is readable beside a piece of its size. */
    public static Sketch of(Question question) {
        Review review = Review.of(question.layout(), question.obstacle());
        double textSize = Math.max(0.5, question.layout().predicted().length().inches() / 90);
        return ElevationSketch.of(
                review,
                question.around(),
                new ElevationSketch.Style(textSize, true, input -> Optional.of(words(input, question))));
    }

    /**
     * Draws a run that is coupled, for a page: its walls with the lengths of its legs, without rings.
     *
     * @param couplings places along the straight conduit, from the datum end
     */
    public static Sketch coupled(Question question, List<Length> couplings) {
        Review review = Review.of(question.layout(), question.obstacle());
        double textSize = Math.max(0.5, question.layout().predicted().length().inches() / 55);
        ElevationSketch.Style style =
                new ElevationSketch.Style(textSize, false, input -> Optional.of(words(input, question)));
        return WallsSketch.of(review, style, couplings).orElseGet(() -> of(question));
    }

    /** A size as it is written at its dimension. */
    private static String words(Input input, Question question) {
        return switch (input.current()) {
            case Length length -> length.exactly(question.unit());
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }
}
