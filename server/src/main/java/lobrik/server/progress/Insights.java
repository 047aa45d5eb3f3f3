package lobrik.server.progress;

import java.time.Clock;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import lobrik.bend.BendKind;
import lobrik.cause.CauseId;
import lobrik.progress.Curriculum;
import lobrik.progress.Habit;
import lobrik.progress.Habits;
import lobrik.progress.NextExercise;
import lobrik.progress.Outcome;
import lobrik.progress.SignOffRule;
import lobrik.progress.Standing;
import lobrik.verdict.KnownBender;
import org.springframework.stereotype.Component;

/** What the core concludes from somebody's pieces: where they stand, what their hands do as a rule, what comes next. */
@Component
class Insights {

    /**
     * What is concluded of one trainee.
     *
     * @param rows the last pieces of each kind, from the oldest
     * @param benders what is known of the centre's benders, by bender; habits leave it out
     * @param checks how far each kind is towards a sign-off
     */
    record Insight(
            Map<BendKind, List<OutcomeRow>> rows,
            Map<BendKind, Standing> standings,
            Map<BendKind, SignOffRule.Check> checks,
            List<Habit> habits,
            Map<String, KnownBender> benders,
            NextExercise next) {}

    /** What is assumed of a class of which nothing is known: half a slip in fifty pieces. */
    private static final double PRIOR_SLIPS = 0.5;

    private static final double PRIOR_PIECES = 50;

    private final Outcomes outcomes;
    private final SignOffs signOffs;
    private final Rules rules;
    private final Benders benders;
    private final Clock clock;

    Insights(Outcomes outcomes, SignOffs signOffs, Rules rules, Benders benders, Clock clock) {
        this.outcomes = outcomes;
        this.signOffs = signOffs;
        this.rules = rules;
        this.benders = benders;
        this.clock = clock;
    }

    /**
     * What is concluded of trainees of one cohort, by trainee.
     *
     * @param most pieces of a kind that are looked at
     */
    Map<UUID, Insight> of(UUID centreId, UUID cohortId, Collection<UUID> trainees, int most) {
        Map<UUID, Map<BendKind, List<OutcomeRow>>> rows = outcomes.rows(trainees, Outcomes.Filter.ALL, most);
        Map<UUID, Set<BendKind>> signed = signOffs.standing(trainees);
        Map<BendKind, SignOffRule> inForce = rules.inForce(centreId);
        Map<UUID, Outcomes.SlipRecord> slips =
                outcomes.slipsOf(cohortId, clock.instant().minus(Benders.LOOKED_AT));
        var known = benders.known(centreId);
        Map<UUID, Insight> insights = new HashMap<>();
        for (UUID trainee : trainees) {
            insights.put(
                    trainee,
                    insight(
                            rows.getOrDefault(trainee, Map.of()),
                            signed.getOrDefault(trainee, Set.of()),
                            inForce,
                            new Habits(usualSlips(slips, trainee), known)));
        }
        return insights;
    }

    /** How often each slip happens to the others of the class; with few of them, drawn towards hardly ever. */
    private static Map<CauseId, Double> usualSlips(Map<UUID, Outcomes.SlipRecord> slips, UUID but) {
        List<Outcomes.SlipRecord> others = slips.entrySet().stream()
                .filter(each -> !each.getKey().equals(but))
                .map(Map.Entry::getValue)
                .toList();
        double pieces = others.stream().mapToInt(Outcomes.SlipRecord::pieces).sum();
        Map<CauseId, Double> usual = new EnumMap<>(CauseId.class);
        for (CauseId cause : CauseId.values()) {
            double times = others.stream()
                    .mapToInt(record -> record.slips().getOrDefault(cause, 0))
                    .sum();
            usual.put(cause, (times + PRIOR_SLIPS) / (pieces + PRIOR_PIECES));
        }
        return usual;
    }

    private static Insight insight(
            Map<BendKind, List<OutcomeRow>> rows,
            Set<BendKind> signed,
            Map<BendKind, SignOffRule> inForce,
            Habits habits) {
        Map<BendKind, Standing> standings = new EnumMap<>(BendKind.class);
        Map<BendKind, SignOffRule.Check> checks = new EnumMap<>(BendKind.class);
        Map<BendKind, Long> lastDay = new EnumMap<>(BendKind.class);
        inForce.forEach((kind, rule) -> {
            List<Outcome> pieces = rows.getOrDefault(kind, List.of()).stream()
                    .map(row -> row.toCore(Outcomes.zone()))
                    .toList();
            standings.put(kind, rule.standing(pieces, signed.contains(kind)));
            checks.put(kind, rule.check(pieces));
            if (!pieces.isEmpty()) {
                lastDay.put(kind, pieces.getLast().day());
            }
        });
        List<Habit> found = habits.of(rows.values().stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparing(OutcomeRow::measuredAt).thenComparing(OutcomeRow::attemptId))
                .map(row -> row.toCore(Outcomes.zone()))
                .toList());
        return new Insight(
                rows,
                standings,
                checks,
                found,
                habits.benders(),
                NextExercise.of(Curriculum.USUAL, standings, found, lastDay));
    }
}
