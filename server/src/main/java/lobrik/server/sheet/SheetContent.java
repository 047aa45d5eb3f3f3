package lobrik.server.sheet;

import java.time.LocalDate;
import java.util.Optional;
import lobrik.bend.Input;
import lobrik.layout.Review;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Content;
import lobrik.wire.Question;
import org.jspecify.annotations.Nullable;

/**
 * All that stands on a sheet.
 *
 * @param whose whose it is; a sheet without a name has no code either
 */
record SheetContent(
        Content exercise,
        Question question,
        Review review,
        @Nullable Whose whose) {

    /**
     * A trainee's part of a sheet.
     *
     * @param code as it is printed
     * @param address that the code for cameras leads to
     * @param needs which the sheet follows
     */
    record Whose(
            String fullName,
            int bench,
            String code,
            String address,
            @Nullable LocalDate dueOn,
            @Nullable Integer tries,
            Trainee.Needs needs) {}

    /** Whether whoever it is for needs that. */
    boolean isInLargerPrint() {
        return whose != null && whose.needs().largerPrint();
    }

    static SheetContent of(Content exercise, Calculations calculations, @Nullable Whose whose) {
        Question question = calculations.question(exercise.definition());
        return new SheetContent(exercise, question, Review.of(question.layout(), question.obstacle()), whose);
    }

    LengthUnit unit() {
        return question.unit();
    }

    /** Two readings of a tape, as they were typed. */
    Optional<String> takeOff(Input input) {
        return Optional.ofNullable(exercise.entered()).flatMap(entered -> entered.takenOff(input.path()));
    }

    /**
     * A size with what goes into the fitting still to be added, as it was typed: {@code 30 + 5/8}. Adding it is the trainee's
     * work, so a sheet gives it like that.
     */
    Optional<String> toTheFitting(Input input) {
        return Optional.ofNullable(exercise.entered()).flatMap(entered -> entered.toTheFitting(input.path()));
    }

    /** A size without its rounding to a tape. */
    String exactly(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.exactly(unit());
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }

    /** A size on the nearest line of the exercise's tape, or of a sixteenth where nothing is rounded. */
    String onTape(Quantity quantity) {
        return switch (quantity) {
            case Length length -> division().text(length);
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }

    private TapeDivision division() {
        TapeDivision division = question.layout().job().school().division();
        return division.equals(TapeDivision.NONE) ? TapeDivision.SIXTEENTH : division;
    }
}
