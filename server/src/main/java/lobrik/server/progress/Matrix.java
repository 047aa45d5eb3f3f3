package lobrik.server.progress;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import lobrik.progress.Family;
import lobrik.progress.SignOffRule;
import lobrik.progress.Standing;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Days;
import lobrik.server.progress.MatrixView.DotView;
import lobrik.server.progress.MatrixView.MatrixCell;
import lobrik.server.progress.MatrixView.MatrixRow;
import lobrik.server.progress.MatrixView.SlipView;
import lobrik.server.progress.Outcomes.Dot;
import lobrik.server.progress.Outcomes.Filter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The matrix of a cohort. */
@Service
class Matrix {

    private static final int SHOWN = 6;
    private static final Duration WEEK = Duration.ofDays(7);
    private static final Duration RESTING = Duration.ofDays(14);

    private final Cohorts cohorts;
    private final Outcomes outcomes;
    private final OutcomeBook book;
    private final SignOffs signOffs;
    private final Rules rules;
    private final Curricula curricula;
    private final Clock clock;

    Matrix(
            Cohorts cohorts,
            Outcomes outcomes,
            OutcomeBook book,
            SignOffs signOffs,
            Rules rules,
            Curricula curricula,
            Clock clock) {
        this.cohorts = cohorts;
        this.outcomes = outcomes;
        this.book = book;
        this.signOffs = signOffs;
        this.rules = rules;
        this.curricula = curricula;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public MatrixView of(SignedIn who, UUID cohortId, Filter filter) {
        Cohort cohort = cohorts.cohort(who, cohortId);
        // What is archived stays as it was: what its people did later is no part of it.
        Instant now = cohort.archivedAt() == null ? clock.instant() : cohort.archivedAt();
        LocalDate end = cohort.archivedAt() == null ? null : Days.of(now);
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        List<UUID> ids = trainees.stream().map(Trainee::id).toList();
        Map<UUID, Map<Family, List<Dot>>> all = outcomes.dots(ids, Filter.ALL.upTo(end), SignOffRule.MOST_PIECES);
        Map<UUID, Map<Family, List<Dot>>> shown = filter.takesAll() ? all : outcomes.dots(ids, filter.upTo(end), SHOWN);
        Map<UUID, Set<Family>> signed = end == null ? signOffs.standing(ids) : signOffs.standingAt(ids, now);
        Map<UUID, Map<Family, Standing>> standings = standings(who.centreId(), ids, all, signed);
        Set<Family> bent = new TreeSet<>();
        all.values().forEach(each -> bent.addAll(each.keySet()));
        signed.values().forEach(bent::addAll);
        List<Family> families = curricula.inForce(who.centreId()).shownTo(bent);
        Map<UUID, Instant> last = outcomes.lastOf(ids);
        return new MatrixView(
                cohortId,
                cohort.name(),
                families.stream().map(Family::id).toList(),
                trainees.stream()
                        .map(trainee -> row(
                                trainee,
                                families,
                                shown.getOrDefault(trainee.id(), Map.of()),
                                standings.getOrDefault(trainee.id(), Map.of()),
                                last,
                                now))
                        .toList(),
                outcomes.pieces(cohortId, now.minus(WEEK)),
                outcomes.slips(cohortId, now.minus(WEEK)).stream()
                        .map(slip ->
                                new SlipView(slip.cause().id(), slip.cause().title(), slip.pieces(), slip.people()))
                        .toList(),
                book.catchingUp()
                        .map(state -> (int) (100 * state.done() / Math.max(1, state.all())))
                        .orElse(null),
                book.leftOut());
    }

    /** Where some trainees stand in every family of bends. */
    private Map<UUID, Map<Family, Standing>> standings(
            UUID centreId, List<UUID> trainees, Map<UUID, Map<Family, List<Dot>>> dots, Map<UUID, Set<Family>> signed) {
        Map<Family, SignOffRule> inForce = rules.inForce(centreId);
        Map<UUID, Map<Family, Standing>> standings = new HashMap<>();
        for (UUID trainee : trainees) {
            Map<Family, List<Dot>> own = dots.getOrDefault(trainee, Map.of());
            Map<Family, Standing> each = new TreeMap<>();
            inForce.forEach((family, rule) -> each.put(
                    family,
                    rule.standing(
                            own.getOrDefault(family, List.of()).stream()
                                    .map(Dot::outcome)
                                    .toList(),
                            signed.getOrDefault(trainee, Set.of()).contains(family))));
            standings.put(trainee, each);
        }
        return standings;
    }

    private static MatrixRow row(
            Trainee trainee,
            List<Family> families,
            Map<Family, List<Dot>> shown,
            Map<Family, Standing> standings,
            Map<UUID, Instant> last,
            Instant now) {
        Instant lastAt = last.get(trainee.id());
        return new MatrixRow(
                trainee.id(),
                trainee.fullName(),
                trainee.bench(),
                lastAt,
                isResting(lastAt == null ? trainee.joinedAt() : lastAt, now),
                families.stream().map(family -> cell(family, shown, standings)).toList());
    }

    /** @param since when somebody bent last, or came */
    private static boolean isResting(@Nullable Instant since, Instant now) {
        return since != null && since.isBefore(now.minus(RESTING));
    }

    private static MatrixCell cell(Family family, Map<Family, List<Dot>> shown, Map<Family, Standing> standings) {
        List<Dot> dots = shown.getOrDefault(family, List.of());
        return new MatrixCell(
                family.id(),
                StandingName.of(standings.getOrDefault(family, Standing.NOT_TRIED)),
                dots.subList(Math.max(0, dots.size() - SHOWN), dots.size()).stream()
                        .map(dot -> new DotView(
                                dot.attemptId(),
                                dot.measuredAt(),
                                dot.outcome().points(),
                                dot.outcome().passed()))
                        .toList());
    }
}
