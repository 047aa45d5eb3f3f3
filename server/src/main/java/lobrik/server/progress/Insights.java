package lobrik.server.progress;

import java.time.Clock;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import lobrik.cause.CauseId;
import lobrik.progress.Curriculum;
import lobrik.progress.Family;
import lobrik.progress.Habit;
import lobrik.progress.Habits;
import lobrik.progress.NextExercise;
import lobrik.progress.Outcome;
import lobrik.progress.SignOffRule;
import lobrik.progress.Standing;
import lobrik.server.shed.Rack;
import lobrik.shop.ToolKind;
import lobrik.verdict.KnownBender;
import org.springframework.stereotype.Component;

/** What the core concludes from somebody's pieces: where they stand, what their hands do as a rule, what comes next. */
@Component
class Insights {

    /**
     * What is concluded of one trainee.
     *
     * @param rows the last pieces of each family, from the oldest
     * @param benders what is known of the centre's benders, by bender; habits leave it out
     * @param checks how far each family is towards a sign-off
     */
    record Insight(
            Map<Family, List<OutcomeRow>> rows,
            Map<Family, Standing> standings,
            Map<Family, SignOffRule.Check> checks,
            List<Habit> habits,
            Map<String, KnownBender> benders,
            NextExercise next) {}

    /** How a school teaches: in which order, signed by which rules, with which sorts of tools. */
    private record Teaching(Curriculum order, Map<Family, SignOffRule> rules, Set<ToolKind> has) {}

    /** What is assumed of a class of which nothing is known: half a slip in fifty pieces. */
    private static final double PRIOR_SLIPS = 0.5;

    private static final double PRIOR_PIECES = 50;

    private final Outcomes outcomes;
    private final SignOffs signOffs;
    private final Rules rules;
    private final Benders benders;
    private final Curricula curricula;
    private final Rack rack;
    private final Clock clock;

    Insights(
            Outcomes outcomes,
            SignOffs signOffs,
            Rules rules,
            Benders benders,
            Curricula curricula,
            Rack rack,
            Clock clock) {
        this.outcomes = outcomes;
        this.signOffs = signOffs;
        this.rules = rules;
        this.benders = benders;
        this.curricula = curricula;
        this.rack = rack;
        this.clock = clock;
    }

    /**
     * What is concluded of trainees of one cohort, by trainee.
     *
     * @param most pieces of a family that are looked at
     */
    Map<UUID, Insight> of(UUID centreId, UUID cohortId, Collection<UUID> trainees, int most) {
        Map<UUID, Map<Family, List<OutcomeRow>>> rows = outcomes.rows(trainees, Outcomes.Filter.ALL, most);
        Map<UUID, Set<Family>> signed = signOffs.standing(trainees);
        Map<Family, SignOffRule> inForce = rules.inForce(centreId);
        Map<UUID, Outcomes.SlipRecord> slips =
                outcomes.slipsOf(cohortId, clock.instant().minus(Benders.LOOKED_AT));
        var known = benders.known(centreId);
        Teaching teaching = new Teaching(curricula.inForce(centreId), inForce, rack.kinds(centreId));
        Map<UUID, Insight> insights = new HashMap<>();
        for (UUID trainee : trainees) {
            insights.put(
                    trainee,
                    insight(
                            rows.getOrDefault(trainee, Map.of()),
                            signed.getOrDefault(trainee, Set.of()),
                            teaching,
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
            Map<Family, List<OutcomeRow>> rows, Set<Family> signed, Teaching teaching, Habits habits) {
        Map<Family, Standing> standings = new TreeMap<>();
        Map<Family, SignOffRule.Check> checks = new TreeMap<>();
        Map<Family, Long> lastDay = new TreeMap<>();
        teaching.rules().forEach((family, rule) -> {
            List<Outcome> pieces = rows.getOrDefault(family, List.of()).stream()
                    .map(row -> row.toCore(Outcomes.zone()))
                    .toList();
            standings.put(family, rule.standing(pieces, signed.contains(family)));
            checks.put(family, rule.check(pieces));
            if (!pieces.isEmpty()) {
                lastDay.put(family, pieces.getLast().day());
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
                NextExercise.of(teaching.order(), standings, found, lastDay, teaching.has()));
    }
}
