package lobrik.server.progress;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.progress.Family;
import lobrik.progress.Habit;
import lobrik.progress.HabitWords;
import lobrik.progress.NextExercise;
import lobrik.progress.Standing;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.giving.SheetCode;
import lobrik.server.platform.TurnedDown;
import lobrik.server.progress.Insights.Insight;
import lobrik.server.progress.Outcomes.Total;
import lobrik.server.progress.TraineeProgress.ConditionView;
import lobrik.server.progress.TraineeProgress.HabitView;
import lobrik.server.progress.TraineeProgress.NextView;
import lobrik.server.progress.TraineeProgress.ReasonName;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A trainee's page. */
@Service
public class TraineePages {

    /** Pieces of a family that are looked at and shown; older ones are in the files. */
    static final int HISTORY = 40;

    private static final int OWN_SHOWN = 8;
    private final Cohorts cohorts;
    private final Accounts accounts;
    private final Insights insights;
    private final Outcomes outcomes;
    private final SignOffs signOffs;
    private final TraineeKeys keys;
    private final Curricula curricula;

    TraineePages(
            Cohorts cohorts,
            Accounts accounts,
            Insights insights,
            Outcomes outcomes,
            SignOffs signOffs,
            TraineeKeys keys,
            Curricula curricula) {
        this.cohorts = cohorts;
        this.accounts = accounts;
        this.insights = insights;
        this.outcomes = outcomes;
        this.signOffs = signOffs;
        this.keys = keys;
        this.curricula = curricula;
    }

    @Transactional(readOnly = true)
    TraineeProgress of(SignedIn who, UUID traineeId) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        Map<Family, Total> totals = outcomes.totals(traineeId);
        Insight insight =
                Objects.requireNonNull(insights.of(who.centreId(), trainee.cohortId(), List.of(traineeId), HISTORY)
                        .get(traineeId));
        HabitWords words = new HabitWords(accounts.unitOf(who));
        Set<Family> tried = tried(insight, totals);
        return new TraineeProgress(
                traineeId,
                trainee.fullName(),
                trainee.bench(),
                trainee.number(),
                trainee.portraitAt(),
                trainee.cohortId(),
                cohorts.cohort(who, trainee.cohortId()).name(),
                totals.values().stream().mapToInt(Total::pieces).sum(),
                totals.values().stream().mapToInt(Total::passes).sum(),
                inches(totals.values().stream().map(Total::used).toList()),
                inches(totals.values().stream().map(Total::wasted).toList()),
                insight.habits().stream().map(habit -> view(habit, words)).toList(),
                next(insight.next(), words),
                curricula.inForce(who.centreId()).shownTo(tried).stream()
                        .filter(tried::contains)
                        .map(family -> History.of(family, insight, Optional.ofNullable(totals.get(family))))
                        .toList(),
                signOffs(traineeId),
                keys.of(traineeId).map(SheetCode::printed).orElse(null));
    }

    /** What somebody bent or is signed off in. */
    private static Set<Family> tried(Insight insight, Map<Family, Total> totals) {
        Set<Family> tried = new TreeSet<>(totals.keySet());
        insight.standings().forEach((family, standing) -> {
            if (standing == Standing.SIGNED) {
                tried.add(family);
            }
        });
        return tried;
    }

    /** Every signature that a trainee was ever given, from the oldest. The one who asks must be allowed to see it. */
    @Transactional(readOnly = true)
    public List<SignOffView> signOffs(UUID traineeId) {
        return signOffs.of(List.of(traineeId)).getOrDefault(traineeId, List.of()).stream()
                .map(SignOffView::of)
                .toList();
    }

    /** What a record of achievement says of a trainee. */
    @Transactional(readOnly = true)
    public Achievement achievement(SignedIn who, UUID traineeId) {
        return achievement(cohorts.trainee(who, traineeId));
    }

    /** What it says of whoever holds this key. */
    @Transactional(readOnly = true)
    public Achievement ownAchievement(String code) {
        return achievement(keys.holder(code));
    }

    /** What it says of the trainee whose account this is. */
    @Transactional(readOnly = true)
    public Achievement ownAchievement(SignedIn who) {
        return achievement(self(who));
    }

    private Trainee self(SignedIn who) {
        UUID id = accounts.traineeOf(who);
        if (id == null) {
            throw TurnedDown.notFound("page");
        }
        return cohorts.traineeThemselves(id);
    }

    private Achievement achievement(Trainee trainee) {
        Map<Family, Total> totals = outcomes.totals(trainee.id());
        Map<Family, Integer> pieces = new LinkedHashMap<>();
        curricula.inForce(cohorts.centreOf(trainee.cohortId()).id()).shownTo(totals.keySet()).stream()
                .filter(totals::containsKey)
                .forEach(family -> pieces.put(
                        family, Objects.requireNonNull(totals.get(family)).pieces()));
        return new Achievement(
                trainee.fullName(),
                trainee.number(),
                cohorts.nameOf(trainee.cohortId()),
                cohorts.centreOf(trainee.cohortId()).name(),
                pieces,
                signOffs(trainee.id()));
    }

    /** The page of whoever holds this key. */
    @Transactional(readOnly = true)
    OwnView own(String code) {
        return own(keys.holder(code));
    }

    /** The page of the trainee whose account this is. */
    @Transactional(readOnly = true)
    OwnView own(SignedIn who) {
        return own(self(who));
    }

    private OwnView own(Trainee trainee) {
        Centre centre = cohorts.centreOf(trainee.cohortId());
        UUID id = trainee.id();
        Map<Family, Total> totals = outcomes.totals(id);
        Insight insight = Objects.requireNonNull(insights.of(centre.id(), trainee.cohortId(), List.of(id), HISTORY)
                .get(id));
        HabitWords words = new HabitWords(LengthUnit.INCH);
        Set<Family> shown = tried(insight, totals);
        shown.add(insight.next().family());
        return new OwnView(
                trainee.fullName(),
                centre.name(),
                totals.values().stream().mapToInt(Total::pieces).sum(),
                totals.values().stream().mapToInt(Total::passes).sum(),
                curricula.inForce(centre.id()).shownTo(shown).stream()
                        .map(family -> ownFamily(family, insight, Optional.ofNullable(totals.get(family))))
                        .toList(),
                insight.habits().stream().map(words::sentence).toList(),
                next(insight.next(), words),
                signOffs.of(List.of(id)).getOrDefault(id, List.of()).stream()
                        .map(TraineePages::ownSignOff)
                        .toList());
    }

    private static OwnView.OwnFamily ownFamily(Family family, Insight insight, Optional<Total> total) {
        List<OutcomeRow> rows = insight.rows().getOrDefault(family, List.of());
        return new OwnView.OwnFamily(
                family.id(),
                StandingName.of(insight.standings().getOrDefault(family, Standing.NOT_TRIED)),
                conditions(family, insight),
                total.map(Total::pieces).orElse(0),
                rows.subList(Math.max(0, rows.size() - OWN_SHOWN), rows.size()).stream()
                        .map(row -> new OwnView.OwnPiece(row.measuredAt(), row.title(), row.points(), row.passed()))
                        .toList());
    }

    private static OwnView.OwnSignOff ownSignOff(SignOffs.Signed signed) {
        return new OwnView.OwnSignOff(
                signed.signature().family(),
                signed.signature().signedName(),
                signed.signature().signedAt(),
                signed.signature().evidence().size(),
                signed.withdrawal().map(SignOffWithdrawal::withdrawnAt).orElse(null),
                signed.withdrawal().map(SignOffWithdrawal::reason).orElse(null));
    }

    static List<ConditionView> conditions(Family family, Insight insight) {
        return Objects.requireNonNull(insight.checks().get(family)).conditions().stream()
                .map(condition -> new ConditionView(RuleWords.condition(condition), condition.isMet()))
                .toList();
    }

    private static double inches(List<Length> lengths) {
        return lengths.stream().mapToDouble(Length::inches).sum();
    }

    private static HabitView view(Habit habit, HabitWords words) {
        return switch (habit) {
            case Habit.Bias bias ->
                new HabitView(
                        bias.family().id(),
                        words.sentence(bias),
                        words.evidence(bias),
                        bias.persists(),
                        bias.feature().id(),
                        null);
            case Habit.Recurring recurring ->
                new HabitView(
                        recurring.family().id(),
                        words.sentence(recurring),
                        words.evidence(recurring),
                        true,
                        null,
                        recurring.cause().id());
        };
    }

    static NextView next(NextExercise next, HabitWords words) {
        Family family = next.family();
        String sentence = switch (next.reason()) {
            case HABIT -> next.habit().map(words::sentence).orElse("");
            case FIRST -> "Not bent yet: the order begins with it.";
            case NEXT -> "The next in the order: what " + family.one() + " builds on is steady.";
            case PASSED_OVER -> "Not bent yet; what it builds on counts as shown, since more than that was bent.";
            case NOT_STEADY -> "Begun, and not steady yet.";
            case REFRESH -> "Everything is steady; " + family.one() + " was not bent for the longest time.";
        };
        return new NextView(family.id(), ReasonName.valueOf(next.reason().name()), sentence);
    }
}
