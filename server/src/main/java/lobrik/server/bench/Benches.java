package lobrik.server.bench;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.bend.Run;
import lobrik.layout.BackDatum;
import lobrik.layout.Mark;
import lobrik.measure.LengthUnit;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.BenchStep;
import lobrik.server.attempt.Fact;
import lobrik.server.attempt.KeepingByTrainee;
import lobrik.server.attempt.Measured;
import lobrik.server.attempt.WorkInHand;
import lobrik.server.bench.BenchResource.BenchSheet;
import lobrik.server.bench.BenchResource.CheckedAnswer;
import lobrik.server.bench.BenchResource.Hint;
import lobrik.server.bench.BenchResource.LookPoint;
import lobrik.server.bench.BenchResource.OtherSheet;
import lobrik.server.bench.BenchResource.OwnCutAnswer;
import lobrik.server.bench.BenchResource.OwnFigureAnswer;
import lobrik.server.bench.BenchResource.SheetAnswer;
import lobrik.server.calc.Calculations;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Givings;
import lobrik.server.giving.Givings.Sheet;
import lobrik.server.judging.Judgement;
import lobrik.server.judging.Judging;
import lobrik.server.platform.TurnedDown;
import lobrik.shape.Piece;
import lobrik.verdict.TolerancePreset;
import lobrik.wire.PieceShape;
import lobrik.wire.Question;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The attempts at a sheet, as far as its trainee is concerned. */
@Service
class Benches {

    static final int MOST_MARKS = Run.MOST_BENDS;

    private final Givings givings;
    private final Attempts attempts;
    private final WorkInHand work;
    private final Library library;
    private final KeepingByTrainee keeping;
    private final Calculations calculations;
    private final Judging judging;
    private final SheetLife life;

    Benches(
            Givings givings,
            Attempts attempts,
            WorkInHand work,
            Library library,
            KeepingByTrainee keeping,
            Calculations calculations,
            Judging judging,
            SheetLife life) {
        this.givings = givings;
        this.attempts = attempts;
        this.work = work;
        this.library = library;
        this.keeping = keeping;
        this.calculations = calculations;
        this.judging = judging;
        this.life = life;
    }

    /**
     * A sheet that somebody holds in the hand, with the last piece at it.
     *
     * @param last none before the first is begun
     */
    private record InHand(Sheet sheet, @Nullable Measured last) {

        /** Whether the piece is done with: all that is left to tell is its verdict. */
        boolean isJudged() {
            return last != null && last.assessment().isComplete();
        }
    }

    @Transactional(readOnly = true)
    BenchSheet sheet(String code) {
        return view(inHand(code));
    }

    /** Notes a step; the first one begins the attempt. After a judged piece the instructor begins another. */
    @Transactional
    BenchSheet step(String code, UUID key, BenchStep step) {
        InHand inHand = inHand(code);
        requireOpen(inHand, "This piece was checked");
        keeping.step(begun(inHand), inHand.sheet().trainee().cohortId(), key, step);
        return view(again(inHand));
    }

    @Transactional
    BenchSheet figures(String code, UUID key, Fact.Figures own, @Nullable LengthUnit bare) {
        InHand inHand = inHand(code);
        if (keeping.has(key)) {
            return view(inHand);
        }
        requireOpen(inHand, "This piece was checked before your figures came, so they do not count");
        LengthUnit unit = Objects.requireNonNullElse(bare, LengthUnit.INCH);
        keeping.figures(begun(inHand), inHand.sheet().trainee().cohortId(), key, own, unit);
        return view(again(inHand));
    }

    @Transactional
    BenchSheet look(String code, UUID key, Fact.OwnLook look) {
        InHand inHand = inHand(code);
        if (keeping.has(key)) {
            return view(inHand);
        }
        requireOpen(inHand, "This piece was checked");
        keeping.look(begun(inHand), inHand.sheet().trainee().cohortId(), key, look);
        return view(again(inHand));
    }

    /** What this code opens, unless it has ended. */
    private InHand inHand(String code) {
        Sheet sheet = givings.sheetInHand(code);
        InHand inHand = again(new InHand(sheet, null));
        life.require(sheet, inHand.last());
        return inHand;
    }

    private InHand again(InHand inHand) {
        UUID assignment = inHand.sheet().assignment().id();
        return new InHand(inHand.sheet(), attempts.lastAt(List.of(assignment)).get(assignment));
    }

    private Measured begun(InHand inHand) {
        return work.begin(inHand.sheet().assignment(), inHand.sheet().trainee(), UUID.randomUUID());
    }

    private static void requireOpen(InHand inHand, String what) {
        if (inHand.isJudged()) {
            throw TurnedDown.conflict(
                    "checked-already", what + "; for another try ask your instructor, who begins it at your bench");
        }
    }

    @Transactional(readOnly = true)
    List<Hint> hints(String code) {
        InHand inHand = inHand(code);
        requireTold(inHand);
        return question(inHand.sheet()).why().stream()
                .filter(why -> why.about().startsWith("mark") || why.about().equals("cutLength"))
                .map(why -> new Hint(why.about(), why.words()))
                .toList();
    }

    @Transactional(readOnly = true)
    SheetAnswer answer(String code) {
        InHand inHand = inHand(code);
        requireTold(inHand);
        Question question = question(inHand.sheet());
        return new SheetAnswer(
                calculations.plan(question),
                question.why().stream()
                        .filter(why -> !why.about().startsWith("predicted/"))
                        .toList(),
                question.bending());
    }

    private static void requireTold(InHand inHand) {
        requireOpen(inHand, "This piece was checked");
        if (inHand.last() == null || inHand.last().ownFigures().isEmpty()) {
            throw TurnedDown.conflict("figures-first", "Send your own figures first; then ask");
        }
        if (!isTold(inHand.sheet())) {
            throw TurnedDown.conflict("assessed", "This one is assessed: the right figures come later");
        }
    }

    /** Whether right and wrong are told before the piece is checked. */
    private static boolean isTold(Sheet sheet) {
        return !sheet.exercise().tolerances().preset().equalsIgnoreCase(TolerancePreset.ASSESSMENT.name());
    }

    private Question question(Sheet sheet) {
        return calculations.question(sheet.exercise().definition());
    }

    private BenchSheet view(InHand inHand) {
        Sheet sheet = inHand.sheet();
        Question question = question(sheet);
        List<Mark> marks = question.layout().marks();
        boolean told = isTold(sheet);
        Measured last = inHand.last();
        // What a judged piece was worked out with, and what else its trainee has, are nobody's business who finds the
        // sheet.
        Measured open = inHand.isJudged() ? null : last;
        var own = open == null ? null : open.ownFigures().orElse(null);
        var cut = open == null ? null : open.ownCut().orElse(null);
        var step = open == null ? null : open.lastStep().orElse(null);
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
                inHand.isJudged() ? List.of() : lookOver(open, question),
                told,
                last == null ? null : checked(last, question),
                inHand.isJudged(),
                inHand.isJudged() ? List.of() : others(sheet));
    }

    private static List<LookPoint> lookOver(@Nullable Measured measured, Question question) {
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
    private @Nullable CheckedAnswer checked(Measured measured, Question question) {
        return measured.assessment()
                .score()
                .map(score -> {
                    Judgement judgement = judging.forTrainee(measured, question.unit());
                    Judgement.AdviceView advice = judgement.advice();
                    Judgement.NextTimeView next = judgement.nextTime();
                    Judgement.BenderNote bender = judgement.bender();
                    Optional<Piece> made = measured.made();
                    return new CheckedAnswer(
                            score.points(),
                            score.passed(),
                            judgement.finding().sentence(),
                            bender == null ? null : bender.sentence(),
                            advice == null ? null : SheetJobs.words(advice),
                            next == null ? null : next.sentence(),
                            calculations.plan(question),
                            made.map(piece -> PieceShape.of(
                                            measured.question().layout().job().bend(), piece))
                                    .orElse(null),
                            measured.drawnTimes(made),
                            measured.assessment().features().stream()
                                    .map(feature -> SheetJobs.checked(feature, measured))
                                    .toList());
                })
                .orElse(null);
    }

    /** What its trainee has in hand besides, in order. */
    private List<OtherSheet> others(Sheet sheet) {
        UUID trainee = sheet.trainee().id();
        List<Assignment> others = work.of(List.of(trainee)).getOrDefault(trainee, List.of()).stream()
                .filter(WorkInHand.InHand::isOpen)
                .map(WorkInHand.InHand::assignment)
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
