package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import lobrik.feature.FeatureId;
import lobrik.layout.MarkDatum;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.InspectionPoint;
import lobrik.wire.Question;
import org.jspecify.annotations.Nullable;

/** A fact as it is sent, made into what is kept: texts are bounded, and lengths are worked out from what was typed. */
final class FactInput {

    private static final int LONGEST_TEXT = 500;
    private static final int LONGEST_MINUTES = 24 * 60;

    private FactInput() {}

    /**
     * What is kept.
     *
     * @param piece that it is about, for what depends on its marks
     * @throws TurnedDown with what is missing or too much
     * @throws lobrik.measure.RefusedText for a length that cannot be read
     */
    static Fact kept(@Nullable Fact sent, @Nullable LengthUnit bare, Supplier<Measured> piece) {
        LengthUnit unit = Objects.requireNonNullElse(bare, LengthUnit.INCH);
        return switch (sent) {
            case null -> throw TurnedDown.badInput("/fact", "missing", "say what is to be written down");
            case Fact.Finding finding -> {
                require("/fact/result", finding.result(), "say how it was found");
                yield new Fact.Finding(finding.point(), finding.result(), text("/fact/note", finding.note()));
            }
            case Fact.Rework rework -> {
                require("/fact/change", rework.change(), "say whether it was eased or bent on");
                yield rework;
            }
            case Fact.Waste waste -> {
                String typed = require("/fact/text", waste.text(), "give the length that was wasted");
                yield new Fact.Waste(typed.strip(), Length.parse(typed, unit).inches());
            }
            case Fact.TimeTaken time -> {
                int minutes = require("/fact/minutes", time.minutes(), "give the minutes");
                if (minutes < 1 || minutes > LONGEST_MINUTES) {
                    throw TurnedDown.badInput(
                            "/fact/minutes",
                            "out-of-range",
                            minutes + " minutes are not from 1 to " + LONGEST_MINUTES + ", a whole day");
                }
                yield time;
            }
            case Fact.Figures figures -> figures(figures, unit, piece.get());
            case Fact.OwnLook look -> {
                require("/fact/points", look.points(), "say what was looked at");
                yield look;
            }
            case Fact.Note note -> {
                String text = text("/fact/text", note.text());
                if (text == null) {
                    throw TurnedDown.badInput("/fact/text", "missing", "write something");
                }
                yield new Fact.Note(text);
            }
        };
    }

    /** The trainee's figures with what they come to. */
    static Fact.Figures figures(Fact.Figures sent, LengthUnit unit, Measured piece) {
        List<Fact.OwnFigure> marks = new ArrayList<>();
        for (Fact.OwnFigure figure : Objects.requireNonNullElse(sent.marks(), List.<Fact.OwnFigure>of())) {
            String typed = require("/fact/marks", figure.text(), "give a figure for each mark");
            Optional<MarkDatum> said = Optional.ofNullable(figure.from());
            Length length = Length.parse(typed, unit);
            marks.add(Optional.ofNullable(figure.mark())
                    .filter(number ->
                            piece.question().layout().marks().stream().anyMatch(mark -> mark.number() == number))
                    .map(FeatureId::mark)
                    .flatMap(feature -> piece.takenFromEitherEnd(feature, length, said))
                    .map(taken -> new Fact.OwnFigure(
                            figure.mark(), typed.strip(), taken.position().inches(), taken.from()))
                    .orElseGet(() -> new Fact.OwnFigure(figure.mark(), typed.strip(), length.inches())));
        }
        return new Fact.Figures(List.copyOf(marks), cut(sent.cut(), unit));
    }

    private static Fact.@Nullable OwnCut cut(Fact.@Nullable OwnCut sent, LengthUnit unit) {
        String typed = sent == null ? null : sent.text();
        return typed == null || typed.isBlank()
                ? null
                : new Fact.OwnCut(typed.strip(), Length.parse(typed, unit).inches());
    }

    private static <T> T require(String pointer, @Nullable T value, String cure) {
        if (value == null) {
            throw TurnedDown.badInput(pointer, "missing", cure);
        }
        return value;
    }

    /** Plain text, or nothing. */
    static @Nullable String text(String pointer, @Nullable String text) {
        String stripped = text == null ? "" : text.strip();
        if (stripped.length() > LONGEST_TEXT || stripped.indexOf('\0') >= 0) {
            throw TurnedDown.badInput(
                    pointer, "out-of-range", "write at most " + LONGEST_TEXT + " characters of plain text");
        }
        return stripped.isEmpty() ? null : stripped;
    }

    /**
     * Checks that a fact is one of this piece.
     *
     * @throws TurnedDown if it names what the piece has not
     */
    static void requireSensible(Fact said, Question question) {
        List<Integer> bends =
                question.layout().marks().stream().map(mark -> mark.number()).toList();
        switch (said) {
            case Fact.Finding finding -> {
                if (InspectionPoint.withId(String.valueOf(finding.point())).isEmpty()) {
                    throw TurnedDown.badInput("/fact/point", "unknown-value", "name a point that is looked over");
                }
            }
            case Fact.Rework rework -> {
                if (!bends.contains(rework.bend())) {
                    throw TurnedDown.badInput("/fact/bend", "out-of-range", "this piece has the bends " + bends);
                }
            }
            case Fact.Figures figures -> {
                if (figures.marks() == null
                        || figures.marks().isEmpty()
                        || !figures.marks().stream().allMatch(figure -> bends.contains(figure.mark()))) {
                    throw TurnedDown.badInput("/fact/marks", "out-of-range", "this piece has the marks " + bends);
                }
            }
            case Fact.OwnLook look -> {
                boolean known = Objects.requireNonNullElse(look.points(), List.<Fact.OwnLookPoint>of()).stream()
                        .allMatch(each -> each.good() != null
                                && InspectionPoint.withId(String.valueOf(each.point()))
                                        .isPresent());
                if (!known) {
                    throw TurnedDown.badInput(
                            "/fact/points", "unknown-value", "name points that are looked over, each good or not");
                }
            }
            case Fact.Waste _, Fact.TimeTaken _, Fact.Note _ -> {
                // Any piece can have these.
            }
        }
    }
}
