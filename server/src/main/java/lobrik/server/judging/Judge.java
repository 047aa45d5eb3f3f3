package lobrik.server.judging;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.assessment.Assessment;
import lobrik.assessment.Assessment.Assessed;
import lobrik.cause.Budget;
import lobrik.cause.Case;
import lobrik.cause.Cause;
import lobrik.cause.Diagnosis;
import lobrik.cause.FarEnd;
import lobrik.cause.FarEndWords;
import lobrik.cause.Priors;
import lobrik.cause.Telling;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.remedy.Advice;
import lobrik.remedy.AdviceWords;
import lobrik.remedy.Fit;
import lobrik.remedy.FitWords;
import lobrik.remedy.NextTime;
import lobrik.remedy.RemedyStep;
import lobrik.server.attempt.Fact;
import lobrik.server.attempt.Measured;
import lobrik.server.attempt.OnBender;
import lobrik.server.judging.Judgement.AdviceStep;
import lobrik.server.judging.Judgement.AdviceView;
import lobrik.server.judging.Judgement.BenderAdds;
import lobrik.server.judging.Judgement.BenderNote;
import lobrik.server.judging.Judgement.BudgetView;
import lobrik.server.judging.Judgement.ExpectedView;
import lobrik.server.judging.Judgement.NextTimeView;
import lobrik.server.judging.Judgement.OutcomeName;
import lobrik.server.judging.Judgement.PartView;
import lobrik.server.judging.Judgement.StageName;
import lobrik.shape.Surround;
import lobrik.study.NearLimit;
import lobrik.verdict.AsMarked;
import lobrik.verdict.BenderShare;
import lobrik.verdict.Judged;
import lobrik.verdict.KnownBender;
import lobrik.verdict.Yardstick;
import lobrik.wire.BendInput;
import lobrik.wire.DiagnoseAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.Numbers;
import lobrik.wire.PieceShape;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * Asks the core for all that a verdict says of one attempt.
 *
 * @param bender what is known of the bender that it was bent on
 * @param unit that sentences say lengths in
 */
record Judge(Measured measured, KnownBender bender, LengthUnit unit) {

    /** Of a run, from the shape that its readings describe. */
    private Judgement.@Nullable FitView fit() {
        return measured.made()
                .flatMap(piece -> Fit.of(
                        layout(),
                        piece,
                        measured.attempt().tolerances().toCore().entering()))
                .map(fit -> {
                    FitWords words = new FitWords(fit, unit);
                    return new Judgement.FitView(fit.enters(), words.sentence(), words.ways());
                })
                .orElse(null);
    }

    private Judgement.@Nullable FarEndView farEnd() {
        return measured.made()
                .flatMap(piece -> FarEnd.of(layout(), piece))
                .map(farEnd -> {
                    FarEndWords words = new FarEndWords(farEnd, unit);
                    return new Judgement.FarEndView(
                            words.sentence(),
                            words.places().stream()
                                    .map(share -> new Judgement.FarEndShare(
                                            words.name(share),
                                            words.brings(share),
                                            words.far(share).inches()))
                                    .toList());
                })
                .orElse(null);
    }

    Judgement judgement() {
        Optional<Case> seen = seen();
        Optional<Diagnosis> diagnosis = diagnosis();
        return new Judgement(
                MarksheetView.of(assessment(), measured.attempt().tolerances()),
                words(diagnosis),
                diagnosis.map(found -> DiagnoseAnswer.of(found, unit)).orElse(null),
                seen.map(Budget::of).orElse(List.of()).stream()
                        .map(Judge::budget)
                        .toList(),
                advice().map(advice -> view(advice, diagnosis)).orElse(null),
                fit(),
                farEnd(),
                diagnosis
                        .flatMap(this::named)
                        .flatMap(cause -> NextTime.of(cause.id(), layout()))
                        .map(this::view)
                        .orElse(null),
                AsMarked.of(layout(), first().readings(), measured.fromBack())
                        .map(piece -> PieceShape.of(layout().job().bend(), piece))
                        .orElse(null),
                benderNote(),
                NearLimit.among(assessment().features(), measured.spread()).stream()
                        .map(near -> new Judgement.NearLimitView(near.feature().id(), near.sentence(unit)))
                        .toList());
    }

    Optional<Cause> named() {
        return diagnosis().flatMap(this::named);
    }

    /**
     * What went wrong when it was first bent; not sought where the method was free and all came out as asked: there is no plan to be off
     * from.
     */
    private Optional<Diagnosis> diagnosis() {
        boolean asAskedAnyWay = measured.attempt().yardstick() == Yardstick.FREE_METHOD && first().isInside();
        return asAskedAnyWay ? Optional.empty() : seen().map(Diagnosis::of);
    }

    /** The cause that is named: where everything is within tolerance, only that nothing went wrong. */
    private Optional<Cause> named(Diagnosis diagnosis) {
        return diagnosis.clear().filter(cause -> !cause.id().isFault() || !first().isInside());
    }

    private Judgement.FindingWords words(Optional<Diagnosis> diagnosis) {
        Optional<Cause> named = diagnosis.flatMap(this::named);
        if (first().readings().isEmpty()) {
            return new Judgement.FindingWords(false, "Nothing is read yet", "Nothing is read yet.");
        }
        if (diagnosis.isPresent() && named.isPresent()) {
            Telling telling = new Telling(diagnosis.get(), unit);
            return new Judgement.FindingWords(true, telling.title(named.get()), telling.what(named.get()));
        }
        if (first().isInside()) {
            String what = first().isComplete() ? "Everything" : "What is read so far";
            return new Judgement.FindingWords(false, what + " is within tolerance", what + " is within its tolerance.");
        }
        return new Judgement.FindingWords(false, "No clear cause", "No single cause stands out.");
    }

    /** As the piece is: what it is worth, and what can still be done about it. */
    private Assessment assessment() {
        return measured.assessment();
    }

    /** As it was first bent: why it went wrong. */
    private Assessment first() {
        return measured.asFirstBent();
    }

    private Layout layout() {
        return measured.question().layout();
    }

    private Optional<Case> seen() {
        if (first().readings().isEmpty()) {
            return Optional.empty();
        }
        LayoutRequest.PlaceInput place = measured.exercise().definition().place();
        Double goesIn = place == null ? null : place.insertion();
        Length insertion = goesIn == null ? Surround.USUAL_INSERTION : Length.ofInches(goesIn);
        return Optional.of(new Case(
                layout(),
                first().readings(),
                measured.own(),
                measured.spread(),
                insertion,
                Priors.USUAL,
                measured.fromBack(),
                share(),
                measured.faultyAsFirstBent()));
    }

    private BenderShare share() {
        return BenderShare.of(bender, layout(), measured.fromBack());
    }

    /** What the bender adds to what was read of this piece, and whether the piece is within its tolerances without that. */
    private @Nullable BenderNote benderNote() {
        BenderShare share = share();
        Map<FeatureId, Boolean> within = new TreeMap<>();
        List<BenderAdds> adds = new ArrayList<>();
        boolean leftOut =
                measured.attempt().onBender().filter(OnBender::leftOut).isPresent();
        for (Assessed feature : first().features()) {
            Judged judged = feature.judged().orElse(null);
            Quantity more = share.adds().get(feature.id());
            if (judged != null && more != null) {
                Quantity own = leftOut ? judged.deviation() : judged.deviation().minus(more);
                within.put(feature.id(), feature.tolerance().holds(own));
                adds.add(new BenderAdds(
                        feature.id().id(),
                        Unit.of(feature.id()),
                        Numbers.of(more),
                        Numbers.of(own),
                        feature.tolerance().holds(own)));
            }
        }
        return adds.isEmpty() ? null : new BenderNote(share.sentence(within, unit), leftOut, adds);
    }

    private static BudgetView budget(Budget budget) {
        return new BudgetView(
                budget.feature().id(),
                Unit.of(budget.feature()),
                Numbers.of(budget.deviation()),
                budget.parts().stream()
                        .map(part -> new PartView(
                                StageName.valueOf(part.stage().name()), Numbers.of(part.change()), part.known()))
                        .toList());
    }

    private Optional<Advice> advice() {
        return Advice.of(new Advice.Piecework(
                layout(),
                assessment().readings(),
                measured.attempt().yardstick(),
                measured.attempt().tolerances().toCore(),
                measured.faulty(),
                measured.rebent()));
    }

    private AdviceView view(Advice advice, Optional<Diagnosis> diagnosis) {
        AdviceWords words = new AdviceWords(
                advice,
                layout().marks().size(),
                unit,
                layout().job().tooling().tool().kind());
        String first = diagnosis
                .filter(_ -> !first().isInside() && measured.stages() == 1)
                .flatMap(found -> new Telling(found, unit).readAgain())
                .map(sentence -> sentence + " ")
                .orElse("");
        return new AdviceView(
                OutcomeName.valueOf(advice.outcome().name()),
                first + words.outcome(),
                advice.steps().stream().map(step -> step(step, words)).toList(),
                advice.predicted().stream().map(Judge::expected).toList());
    }

    private static AdviceStep step(RemedyStep step, AdviceWords words) {
        return switch (step) {
            case RemedyStep.Rebend rebend ->
                new AdviceStep(
                        words.step(step),
                        rebend.bend(),
                        rebend.by().isLessThan(Angle.ZERO) ? Fact.Change.EASED : Fact.Change.ADDED,
                        degrees(rebend.by()),
                        null);
            case RemedyStep.Untwist untwist ->
                new AdviceStep(words.step(step), untwist.bend(), null, degrees(untwist.by()), null);
            case RemedyStep.Trim trim ->
                new AdviceStep(words.step(step), null, null, null, trim.by().inches());
        };
    }

    private static double degrees(Angle angle) {
        return angle.degrees();
    }

    private static ExpectedView expected(Advice.Predicted each) {
        FeatureId feature = each.feature();
        Quantity now = each.target()
                .withCount(each.target().count() + each.now().deviation().count());
        return new ExpectedView(
                feature.id(),
                Unit.of(feature),
                Numbers.of(each.target()),
                Numbers.of(now),
                Numbers.of(each.after()),
                each.now().band() != Judged.Band.OUTSIDE,
                each.then().band() != Judged.Band.OUTSIDE);
    }

    private NextTimeView view(NextTime next) {
        LayoutRequest asked = measured.exercise().definition();
        LayoutRequest definition = new LayoutRequest(
                asked.method(),
                asked.tapeDivisionIn(),
                asked.conduit(),
                asked.bender(),
                BendInput.of(next.exercise().job().bend()),
                asked.multipliers(),
                asked.limits(),
                null,
                null);
        return new NextTimeView(
                next.sentence(), next.exercise().job().bend().kind().id(), definition);
    }
}
