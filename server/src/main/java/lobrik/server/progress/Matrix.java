package lobrik.server.progress;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import lobrik.bend.BendKind;
import lobrik.progress.Curriculum;
import lobrik.progress.SignOffRule;
import lobrik.progress.Standing;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
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
    private final Clock clock;

    Matrix(Cohorts cohorts, Outcomes outcomes, OutcomeBook book, SignOffs signOffs, Rules rules, Clock clock) {
        this.cohorts = cohorts;
        this.outcomes = outcomes;
        this.book = book;
        this.signOffs = signOffs;
        this.rules = rules;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public MatrixView of(SignedIn who, UUID cohortId, Filter filter) {
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        List<UUID> ids = trainees.stream().map(Trainee::id).toList();
        Map<UUID, Map<BendKind, List<Dot>>> all = outcomes.dots(ids, Filter.ALL, SignOffRule.MOST_PIECES);
        Map<UUID, Map<BendKind, List<Dot>>> shown = filter.takesAll() ? all : outcomes.dots(ids, filter, SHOWN);
        Map<UUID, Map<BendKind, Standing>> standings = standings(who.centreId(), ids, all);
        Map<UUID, Instant> last = outcomes.lastOf(ids);
        Instant now = clock.instant();
        return new MatrixView(
                cohortId,
                cohorts.cohort(who, cohortId).name(),
                Curriculum.USUAL.kinds().stream().map(BendKind::id).toList(),
                trainees.stream()
                        .map(trainee -> row(
                                trainee,
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

    /** Where some trainees stand in every kind of bend. */
    private Map<UUID, Map<BendKind, Standing>> standings(
            UUID centreId, List<UUID> trainees, Map<UUID, Map<BendKind, List<Dot>>> dots) {
        Map<BendKind, SignOffRule> inForce = rules.inForce(centreId);
        Map<UUID, Set<BendKind>> signed = signOffs.standing(trainees);
        Map<UUID, Map<BendKind, Standing>> standings = new HashMap<>();
        for (UUID trainee : trainees) {
            Map<BendKind, List<Dot>> own = dots.getOrDefault(trainee, Map.of());
            Map<BendKind, Standing> each = new EnumMap<>(BendKind.class);
            inForce.forEach((kind, rule) -> each.put(
                    kind,
                    rule.standing(
                            own.getOrDefault(kind, List.of()).stream()
                                    .map(Dot::outcome)
                                    .toList(),
                            signed.getOrDefault(trainee, Set.of()).contains(kind))));
            standings.put(trainee, each);
        }
        return standings;
    }

    private static MatrixRow row(
            Trainee trainee,
            Map<BendKind, List<Dot>> shown,
            Map<BendKind, Standing> standings,
            Map<UUID, Instant> last,
            Instant now) {
        Instant lastAt = last.get(trainee.id());
        return new MatrixRow(
                trainee.id(),
                trainee.fullName(),
                trainee.bench(),
                lastAt,
                isResting(lastAt == null ? trainee.joinedAt() : lastAt, now),
                Curriculum.USUAL.kinds().stream()
                        .map(kind -> cell(kind, shown, standings))
                        .toList());
    }

    /** @param since when somebody bent last, or came */
    private static boolean isResting(@Nullable Instant since, Instant now) {
        return since != null && since.isBefore(now.minus(RESTING));
    }

    private static MatrixCell cell(BendKind kind, Map<BendKind, List<Dot>> shown, Map<BendKind, Standing> standings) {
        List<Dot> dots = shown.getOrDefault(kind, List.of());
        return new MatrixCell(
                kind.id(),
                StandingName.of(standings.getOrDefault(kind, Standing.NOT_TRIED)),
                dots.subList(Math.max(0, dots.size() - SHOWN), dots.size()).stream()
                        .map(dot -> new DotView(
                                dot.attemptId(),
                                dot.measuredAt(),
                                dot.outcome().points(),
                                dot.outcome().passed()))
                        .toList());
    }
}
