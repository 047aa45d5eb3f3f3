package lobrik.server.progress;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.progress.Estimate;
import lobrik.progress.Family;
import lobrik.progress.Interval;
import lobrik.progress.Outcome;
import lobrik.progress.Standing;
import lobrik.progress.Trend;
import lobrik.server.progress.Insights.Insight;
import lobrik.server.progress.Outcomes.Total;
import lobrik.server.progress.TraineeProgress.FamilyView;
import lobrik.server.progress.TraineeProgress.FeatureTrend;
import lobrik.server.progress.TraineeProgress.LevelStep;
import lobrik.server.progress.TraineeProgress.PieceView;
import lobrik.server.progress.TraineeProgress.SlipName;
import lobrik.verdict.KnownBender;
import lobrik.wire.Numbers;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/** How somebody came along in one family of bends: the last pieces, their trends, and what hands do to each feature. */
final class History {

    private static final int FURTHEST = 2;

    /** Steps are claimed this seldom where nothing changed, for one figure of one family. */
    private static final double FALSE_STEP = 0.005;

    private History() {}

    static FamilyView of(Family family, Insight insight, Optional<Total> total) {
        List<OutcomeRow> rows = insight.rows().getOrDefault(family, List.of());
        Set<FeatureId> features = new LinkedHashSet<>();
        rows.forEach(row -> features.addAll(row.features()));
        Trend scores = Trend.of(rows.stream().map(OutcomeRow::points).toList(), FALSE_STEP);
        List<Integer> minutes = rows.stream()
                .map(OutcomeRow::minutes)
                .filter(Objects::nonNull)
                .sorted()
                .toList();
        return new FamilyView(
                family.id(),
                StandingName.of(insight.standings().getOrDefault(family, Standing.NOT_TRIED)),
                TraineePages.conditions(family, insight),
                Objects.requireNonNull(insight.checks().get(family)).evidence().stream()
                        .map(Outcome::attempt)
                        .map(UUID::fromString)
                        .toList(),
                total.map(Total::pieces).orElse(0),
                total.map(Total::passes).orElse(0),
                total.map(Total::used).orElse(Length.ZERO).inches(),
                total.map(Total::wasted).orElse(Length.ZERO).inches(),
                minutes.isEmpty() ? null : minutes.get(minutes.size() / 2),
                rows.stream().map(row -> piece(row, features)).toList(),
                scores.levels(),
                scores.step()
                        .map(step -> new LevelStep(rows.get(step.at()).attemptId(), step.before(), step.after()))
                        .orElse(null),
                features.stream()
                        .flatMap(feature -> feature(feature, rows, insight.benders()).stream())
                        .toList());
    }

    private static PieceView piece(OutcomeRow row, Set<FeatureId> features) {
        List<@Nullable Double> deviations = new ArrayList<>();
        List<@Nullable Double> tolerances = new ArrayList<>();
        List<@Nullable Boolean> within = new ArrayList<>();
        for (FeatureId feature : features) {
            Optional<Outcome.Missed> missed = row.missed(feature);
            deviations.add(missed.map(each -> Numbers.of(each.deviation())).orElse(null));
            tolerances.add(missed.map(each -> Numbers.of(each.tolerance())).orElse(null));
            within.add(missed.map(Outcome.Missed::isWithin).orElse(null));
        }
        return new PieceView(
                row.attemptId(),
                row.measuredAt(),
                row.title(),
                row.benderLabel(),
                row.conduitLabel(),
                row.preset(),
                row.points(),
                row.passed(),
                row.passMark(),
                row.rebent(),
                row.minutes(),
                row.slip()
                        .filter(slip -> slip.cause().isFault())
                        .map(slip ->
                                new SlipName(slip.cause().id(), slip.cause().title()))
                        .orElse(null),
                deviations,
                tolerances,
                within,
                row.toCore(Outcomes.zone()).furthestOff(FURTHEST).stream()
                        .map(FeatureId::id)
                        .toList());
    }

    private static Optional<FeatureTrend> feature(
            FeatureId feature, List<OutcomeRow> rows, Map<String, KnownBender> benders) {
        List<OutcomeRow> with =
                rows.stream().filter(row -> row.missed(feature).isPresent()).toList();
        List<Quantity> deviations = with.stream()
                .map(row -> row.missed(feature).orElseThrow().deviation())
                .toList();
        Trend trend = Trend.of(deviations.stream().map(Numbers::of).toList(), FALSE_STEP);
        List<@Nullable Double> levels = new ArrayList<>();
        int next = 0;
        for (OutcomeRow row : rows) {
            levels.add(row.missed(feature).isPresent() ? trend.levels().get(next++) : null);
        }
        // What hands do: the chart shows what was read, the estimate leaves out what the plan and the bender add.
        List<Quantity> byHand = with.stream()
                .map(row -> row.missed(feature)
                        .orElseThrow()
                        .byHandOn(benders.getOrDefault(row.bender(), KnownBender.NONE)))
                .toList();
        return Estimate.of(byHand, Estimate.USUAL_CONFIDENCE)
                .map(estimate -> new FeatureTrend(
                        feature.id(),
                        Unit.of(feature),
                        estimate.count(),
                        Numbers.of(estimate.bias()),
                        estimate.biasInterval()
                                .map(Interval::from)
                                .map(Numbers::of)
                                .orElse(null),
                        estimate.biasInterval()
                                .map(Interval::to)
                                .map(Numbers::of)
                                .orElse(null),
                        estimate.spread().map(Numbers::of).orElse(null),
                        estimate.spreadInterval()
                                .map(Interval::from)
                                .map(Numbers::of)
                                .orElse(null),
                        estimate.spreadInterval()
                                .map(Interval::to)
                                .map(Numbers::of)
                                .orElse(null),
                        levels,
                        trend.step()
                                .map(step ->
                                        new LevelStep(with.get(step.at()).attemptId(), step.before(), step.after()))
                                .orElse(null)));
    }
}
