package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import lobrik.feature.FeatureId;
import lobrik.layout.Mark;
import lobrik.layout.MarkDatum;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.reading.FloorReading;
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
            case Fact.Stage stage -> stage(stage, piece.get().ledger());
            case Fact.Floor floor -> floor(floor);
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

    private static Fact.Stage stage(Fact.Stage sent, Ledger ledger) {
        for (Fact.Rebent bend : Objects.requireNonNullElse(sent.bends(), List.<Fact.Rebent>of())) {
            require("/fact/bends", bend.bend(), "name each bend that was bent again");
            require("/fact/bends", bend.change(), "say of each whether it was eased or bent on");
        }
        int number = Objects.requireNonNullElse(sent.number(), ledger.stages() + 1);
        return new Fact.Stage(number, Objects.requireNonNullElse(sent.bends(), List.of()));
    }

    private static Fact.Floor floor(Fact.Floor sent) {
        String typed = require("/fact/text", sent.text(), "give what the level reads on the floor, with its sign")
                .strip();
        Angle tilt = FloorReading.parse(typed).tilt();
        return new Fact.Floor(typed, tilt.degrees(), Boolean.TRUE.equals(sent.bench()));
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
     * @throws TurnedDown if it names what the piece has not, or if its time has not come
     */
    static void requireSensible(Fact said, Question question, Ledger ledger) {
        List<Integer> bends =
                question.layout().marks().stream().map(Mark::number).toList();
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
            case Fact.Stage stage -> requireNext(stage, bends, ledger);
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
            case Fact.Floor _, Fact.Waste _, Fact.TimeTaken _, Fact.Note _ -> {
                // Any piece can have these.
            }
        }
    }

    private static void requireNext(Fact.Stage stage, List<Integer> bends, Ledger ledger) {
        List<Fact.Rebent> rebent = Objects.requireNonNullElse(stage.bends(), List.of());
        if (!rebent.stream().allMatch(each -> bends.contains(each.bend()))) {
            throw TurnedDown.badInput("/fact/bends", "out-of-range", "this piece has the bends " + bends);
        }
        int now = ledger.stages();
        if (!Objects.equals(stage.number(), now + 1)) {
            throw TurnedDown.conflict(
                    "stage-begun",
                    now == 1
                            ? "This piece was not bent again yet; say so from where it is measured"
                            : "Somebody noted already that it was bent again; measure it as it is now");
        }
        if (!ledger.isReadInStage(now)) {
            throw TurnedDown.conflict(
                    "nothing-read",
                    "Nothing is read of the piece as it is now; read at least what is to change, then bend it again");
        }
    }
}
