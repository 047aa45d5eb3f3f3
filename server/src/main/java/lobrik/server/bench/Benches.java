package lobrik.server.bench;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.layout.BackDatum;
import lobrik.layout.Mark;
import lobrik.measure.LengthUnit;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Attempts.Measured;
import lobrik.server.attempt.Fact;
import lobrik.server.attempt.Keeping;
import lobrik.server.attempt.Step;
import lobrik.server.attempt.WorkInHand;
import lobrik.server.attempt.WorkInHand.InHand;
import lobrik.server.bench.BenchResource.BenchSheet;
import lobrik.server.bench.BenchResource.CheckedAnswer;
import lobrik.server.bench.BenchResource.Hint;
import lobrik.server.bench.BenchResource.LookPoint;
import lobrik.server.bench.BenchResource.OtherSheet;
import lobrik.server.bench.BenchResource.OwnCutAnswer;
import lobrik.server.bench.BenchResource.OwnFigureAnswer;
import lobrik.server.bench.BenchResource.SheetAnswer;
import lobrik.server.calc.Calculations;
import lobrik.server.calc.PieceShape;
import lobrik.server.calc.QuantityRequest.BareUnit;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Givings;
import lobrik.server.giving.Givings.Sheet;
import lobrik.server.judging.Judgement;
import lobrik.server.judging.Judging;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.TolerancePreset;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The attempts at a sheet, as far as its trainee is concerned. */
@Service
class Benches {

    static final int MOST_MARKS = 4;

    private final Givings givings;
    private final Attempts attempts;
    private final WorkInHand work;
    private final Library library;
    private final Keeping keeping;
    private final Calculations calculations;
    private final Judging judging;

    Benches(
            Givings givings,
            Attempts attempts,
            WorkInHand work,
            Library library,
            Keeping keeping,
            Calculations calculations,
            Judging judging) {
        this.givings = givings;
        this.attempts = attempts;
        this.work = work;
        this.library = library;
        this.keeping = keeping;
        this.calculations = calculations;
        this.judging = judging;
    }

    @Transactional(readOnly = true)
    BenchSheet sheet(String code) {
        Sheet sheet = givings.sheetInHand(code);
        return view(sheet, last(sheet));
    }

    /** Notes a step; the first one begins the attempt, and after a judged piece working out begins another. */
    @Transactional
    BenchSheet step(String code, UUID key, Step step) {
        Sheet sheet = givings.sheetInHand(code);
        Measured last = last(sheet);
        if (last != null && last.verdict().isComplete() && step != Step.WORKING_OUT) {
            throw TurnedDown.conflict(
                    "checked-already", "This piece was checked; press “Working it out” to begin another try");
        }
        Measured measured = work.begin(sheet.assignment(), sheet.trainee(), UUID.randomUUID());
        keeping.stepByTrainee(measured, sheet.trainee().cohortId(), key, step);
        return view(sheet, last(sheet));
    }

    @Transactional
    BenchSheet figures(String code, UUID key, Fact.Figures own, @Nullable BareUnit bare) {
        Sheet sheet = givings.sheetInHand(code);
        Measured last = last(sheet);
        if (keeping.has(key)) {
            return view(sheet, last);
        }
        if (last != null && last.verdict().isComplete()) {
            throw TurnedDown.conflict(
                    "checked-already",
                    "This piece was checked before your figures came, so they do not count; press “Working it out” to begin"
                            + " another try");
        }
        Measured measured = work.begin(sheet.assignment(), sheet.trainee(), UUID.randomUUID());
        LengthUnit unit = bare == BareUnit.MILLIMETRE ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
        keeping.figuresByTrainee(measured, sheet.trainee().cohortId(), key, own, unit);
        return view(sheet, last(sheet));
    }

    @Transactional
    BenchSheet look(String code, UUID key, Fact.OwnLook look) {
        Sheet sheet = givings.sheetInHand(code);
        Measured last = last(sheet);
        if (last != null && last.verdict().isComplete() && !keeping.has(key)) {
            throw TurnedDown.conflict("checked-already", "This piece was checked already");
        }
        if (!keeping.has(key)) {
            Measured measured = work.begin(sheet.assignment(), sheet.trainee(), UUID.randomUUID());
            keeping.lookByTrainee(measured, sheet.trainee().cohortId(), key, look);
        }
        return view(sheet, last(sheet));
    }

    private @Nullable Measured last(Sheet sheet) {
        UUID assignment = sheet.assignment().id();
        Map<UUID, Measured> last = attempts.lastAt(List.of(assignment));
        return last.get(assignment);
    }

    @Transactional(readOnly = true)
    List<Hint> hints(String code) {
        Sheet sheet = givings.sheetInHand(code);
        requireTold(sheet);
        return calculations.why(question(sheet)).stream()
                .filter(why -> why.about().startsWith("mark") || why.about().equals("cutLength"))
                .map(why -> new Hint(why.about(), why.words()))
                .toList();
    }

    @Transactional(readOnly = true)
    SheetAnswer answer(String code) {
        Sheet sheet = givings.sheetInHand(code);
        requireTold(sheet);
        Calculations.Question question = question(sheet);
        return new SheetAnswer(
                calculations.plan(question),
                calculations.why(question).stream()
                        .filter(why -> !why.about().startsWith("predicted/"))
                        .toList());
    }

    private void requireTold(Sheet sheet) {
        Measured measured = last(sheet);
        if (measured == null || measured.ownFigures().isEmpty()) {
            throw TurnedDown.conflict("figures-first", "Send your own figures first; then ask");
        }
        if (!isTold(sheet)) {
            throw TurnedDown.conflict("assessed", "This one is assessed: the right figures come later");
        }
    }

    /** Whether right and wrong are told before the piece is checked. */
    private static boolean isTold(Sheet sheet) {
        return !sheet.exercise().tolerances().preset().equalsIgnoreCase(TolerancePreset.ASSESSMENT.name());
    }

    private Calculations.Question question(Sheet sheet) {
        return calculations.question(sheet.exercise().definition());
    }

    private BenchSheet view(Sheet sheet, @Nullable Measured measured) {
        Calculations.Question question = question(sheet);
        List<Mark> marks = question.layout().marks();
        boolean told = isTold(sheet);
        var own = measured == null ? null : measured.ownFigures().orElse(null);
        var cut = measured == null ? null : measured.ownCut().orElse(null);
        var step = measured == null ? null : measured.lastStep().orElse(null);
        return new BenchSheet(
                sheet.exercise().title(),
                sheet.trainee().fullName(),
                sheet.trainee().bench(),
                sheet.exercise().conduitLabel(),
                sheet.exercise().benderLabel(),
                SheetJobs.of(sheet.exercise(), question, calculations.plan(question)),
                marks.size(),
                marks.stream().map(Benches::back).toList(),
                step == null ? null : step.step(),
                step == null ? null : step.setAt(),
                own == null
                        ? null
                        : own.stream()
                                .map(figure -> new OwnFigureAnswer(
                                        figure.mark(), figure.text(), figure.from(), told ? figure.band() : null))
                                .toList(),
                cut == null ? null : new OwnCutAnswer(cut.text(), told ? cut.band() : null),
                lookOver(measured, question),
                told,
                measured == null ? null : checked(measured, question),
                others(sheet));
    }

    private static List<LookPoint> lookOver(@Nullable Measured measured, Calculations.Question question) {
        return measured == null
                ? question.lookedOver().stream()
                        .map(point -> new LookPoint(point.id(), point.good(), null))
                        .toList()
                : measured.ownLook().entrySet().stream()
                        .map(each -> new LookPoint(
                                each.getKey().id(),
                                each.getKey().good(),
                                each.getValue().orElse(null)))
                        .toList();
    }

    /** What became of the piece, once it is judged. */
    private @Nullable CheckedAnswer checked(Measured measured, Calculations.Question question) {
        return measured.verdict()
                .score()
                .map(score -> {
                    Judgement judgement = judging.forTrainee(measured, question.unit());
                    Judgement.AdviceView advice = judgement.advice();
                    Judgement.NextTimeView next = judgement.nextTime();
                    Judgement.BenderNote bender = judgement.bender();
                    return new CheckedAnswer(
                            score.points(),
                            score.passed(),
                            judgement.finding().sentence(),
                            bender == null ? null : bender.sentence(),
                            advice == null ? null : SheetJobs.words(advice),
                            next == null ? null : next.sentence(),
                            calculations.plan(question),
                            measured.verdict().made().map(PieceShape::of).orElse(null),
                            measured.verdict().drawnTimes(),
                            measured.verdict().features().stream()
                                    .map(feature -> SheetJobs.checked(feature, measured))
                                    .toList());
                })
                .orElse(null);
    }

    /** What its trainee has in hand besides, in order. */
    private List<OtherSheet> others(Sheet sheet) {
        UUID trainee = sheet.trainee().id();
        List<Assignment> others = work.of(List.of(trainee)).getOrDefault(trainee, List.of()).stream()
                .filter(InHand::isOpen)
                .map(InHand::assignment)
                .filter(assignment -> !assignment.id().equals(sheet.assignment().id()))
                .toList();
        Map<UUID, Exercise> exercises =
                library.byId(others.stream().map(Assignment::exerciseId).collect(Collectors.toSet()));
        return others.stream()
                .map(assignment -> {
                    Exercise exercise = exercises.get(assignment.exerciseId());
                    return new OtherSheet(assignment.code(), exercise == null ? "" : exercise.title());
                })
                .toList();
    }

    private static @Nullable Integer back(Mark mark) {
        return mark.back().map(BackDatum::bend).orElse(null);
    }
}
