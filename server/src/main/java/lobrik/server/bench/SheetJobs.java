package lobrik.server.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lobrik.assessment.Assessment.Assessed;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.bend.Role;
import lobrik.feature.FeatureId;
import lobrik.layout.BackDatum;
import lobrik.layout.Job;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.server.attempt.AttemptView.CarriedName;
import lobrik.server.attempt.Measured;
import lobrik.server.bench.BenchResource.CheckedFeature;
import lobrik.server.bench.BenchResource.GivenSize;
import lobrik.server.bench.BenchResource.SheetJob;
import lobrik.server.exercise.Exercise;
import lobrik.server.judging.Judgement;
import lobrik.verdict.Judged;
import lobrik.wire.LayoutAnswer;
import lobrik.wire.Numbers;
import lobrik.wire.Question;
import lobrik.wire.Unit;

/** A job as a trainee's phone shows it. */
final class SheetJobs {

    private SheetJobs() {}

    static SheetJob of(Exercise exercise, Question question, LayoutAnswer plan) {
        Job job = question.layout().job();
        LengthUnit unit = question.unit();
        List<GivenSize> sizes = Input.of(job.bend()).stream()
                .filter(SheetJobs::isSaid)
                .map(input -> new GivenSize(
                        input.path(),
                        name(job, input),
                        Optional.ofNullable(exercise.content().entered())
                                .flatMap(entered -> entered.toTheFitting(input.path()))
                                .orElseGet(() -> switch (input.current()) {
                                    case Length length -> length.exactly(unit);
                                    case Angle angle -> angle.text();
                                    case Percentage part -> part.text();
                                })))
                .toList();
        return new SheetJob(
                job.bend().kind().id(),
                unit,
                job.tooling().conduit().outsideDiameter().inches(),
                job.school().division().step().inches(),
                plan.withoutAnswers(),
                sizes,
                exercise.isMethodFree() ? "free" : job.school().method() == Method.CHART ? "chart" : "exact",
                question.layout().cutLength().isPresent());
    }

    /** Nothing to add or to take off is not worth a word. */
    private static boolean isSaid(Input input) {
        return input.field().role() != Role.FIT || !input.current().equals(Length.ZERO);
    }

    /** Of a leg with which way it runs: {@code Leg 2, up}. */
    private static String name(Job job, Input input) {
        String[] path = input.path().split("/");
        if (job.bend().run().isEmpty() || !path[0].equals("legs")) {
            return input.title();
        }
        int leg = Integer.parseInt(path[1]);
        String name = input.id() == InputId.LENGTH ? "Leg " + (leg + 1) : input.title();
        return name + ", " + job.bend().run().get().legs().get(leg).towards().words();
    }

    static String words(Judgement.AdviceView advice) {
        return advice.steps().isEmpty()
                ? advice.words()
                : advice.steps().stream().map(Judgement.AdviceStep::words).collect(Collectors.joining(" "));
    }

    /** A size that was judged; a mark as it was measured, from the end or from the back of the bend before. */
    static CheckedFeature checked(Assessed feature, Measured measured) {
        Judged judged = feature.judged().orElse(null);
        double target = Numbers.of(measured.targetAsTaken(feature));
        return new CheckedFeature(
                feature.id().id(),
                feature.carried()
                        .map(reason -> CarriedName.valueOf(reason.name()))
                        .orElse(null),
                feature.from().stream().map(FeatureId::id).toList(),
                measured.markFromBack(feature.id())
                        .flatMap(Mark::back)
                        .map(BackDatum::bend)
                        .orElse(null),
                Unit.of(feature.id()),
                target,
                judged == null ? null : target + Numbers.of(judged.deviation()),
                judged == null ? null : Numbers.of(judged.deviation()),
                judged == null ? null : judged.band(),
                Numbers.of(feature.tolerance().over()),
                Numbers.of(feature.tolerance().under()));
    }
}
