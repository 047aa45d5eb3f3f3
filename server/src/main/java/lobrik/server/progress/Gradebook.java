package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import lobrik.measure.Length;
import lobrik.progress.Family;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Rows;
import lobrik.server.progress.MatrixView.DotView;
import lobrik.server.progress.MatrixView.MatrixCell;
import org.hibernate.jpa.HibernateHints;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a cohort has to show, for the office. */
@Service
public class Gradebook {

    /**
     * The grades of a cohort.
     *
     * @param families of bends that it learns or has bent, in the order in which they are learnt
     * @param rows by bench
     */
    public record Grades(List<Family> families, List<GradeRow> rows) {}

    /** Of a trainee: one grade for each family of bends, in the order in which they are learnt. */
    public record GradeRow(Trainee trainee, List<Grade> grades) {}

    /**
     * What somebody has to show in a family of bends.
     *
     * @param standing in words
     * @param lastPoints of the last piece
     * @param meanPoints of the last four, or as many as there are
     */
    public record Grade(
            Family family,
            String standing,
            long pieces,
            long passes,
            Optional<Double> lastPoints,
            Optional<Double> meanPoints,
            Optional<String> signedBy,
            Optional<Instant> signedAt) {}

    /** A finished piece, as a row of a table. */
    public record PieceRow(
            UUID attemptId,
            UUID traineeId,
            String fullName,
            Family family,
            String title,
            Instant measuredAt,
            String conduitLabel,
            String benderLabel,
            String preset,
            double points,
            boolean passed,
            @Nullable Double arithmetic,
            int rebent,
            @Nullable String cause,
            Length conduit,
            Length wasted,
            @Nullable Integer minutes) {}

    /** Pieces of somebody in a family of bends, and how many of them passed. */
    private record Counted(long pieces, long passes) {

        static final Counted NOTHING = new Counted(0, 0);
    }

    private static final int MEAN_OF = 4;
    private static final int FETCHED = 1_000;

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Matrix matrix;
    private final SignOffs signOffs;

    Gradebook(EntityManager entities, Cohorts cohorts, Matrix matrix, SignOffs signOffs) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.matrix = matrix;
        this.signOffs = signOffs;
    }

    /** What each trainee of a cohort has to show. */
    @Transactional(readOnly = true)
    public Grades grades(SignedIn who, UUID cohortId) {
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        Map<UUID, MatrixView.MatrixRow> rows = new HashMap<>();
        MatrixView all = matrix.of(who, cohortId, Outcomes.Filter.ALL);
        all.rows().forEach(row -> rows.put(row.traineeId(), row));
        Map<UUID, List<SignOffs.Signed>> signed =
                signOffs.of(trainees.stream().map(Trainee::id).toList());
        Map<String, Counted> counts = counts(cohortId);
        List<GradeRow> grades = new ArrayList<>();
        for (Trainee trainee : trainees) {
            MatrixView.MatrixRow row = Objects.requireNonNull(rows.get(trainee.id()));
            grades.add(new GradeRow(
                    trainee,
                    row.cells().stream()
                            .map(cell -> grade(
                                    cell,
                                    counts.getOrDefault(trainee.id() + cell.family(), Counted.NOTHING),
                                    signed.getOrDefault(trainee.id(), List.of())))
                            .toList()));
        }
        return new Grades(
                all.families().stream()
                        .map(family -> Family.withId(family).orElseThrow())
                        .toList(),
                grades);
    }

    private Map<String, Counted> counts(UUID cohortId) {
        Map<String, Counted> counts = new HashMap<>();
        Rows.named(entities.createNativeQuery("""
                        select trainee_id, family, count(*) as pieces, count(*) filter (where passed) as passes
                        from outcome where cohort_id = :cohort group by trainee_id, family""", Tuple.class).setParameter("cohort", cohortId))
                .forEach(row -> counts.put(
                        row.get("trainee_id", UUID.class) + row.get("family", String.class),
                        new Counted(row.get("pieces", Long.class), row.get("passes", Long.class))));
        return counts;
    }

    private static Grade grade(MatrixCell cell, Counted counts, List<SignOffs.Signed> signed) {
        Optional<SignOff> signature = signed.stream()
                .filter(each -> each.stands() && each.signature().family().equals(cell.family()))
                .map(SignOffs.Signed::signature)
                .findFirst();
        List<DotView> recent = cell.recent();
        List<DotView> last = recent.subList(Math.max(0, recent.size() - MEAN_OF), recent.size());
        return new Grade(
                Family.withId(cell.family()).orElseThrow(),
                cell.standing().words(),
                counts.pieces(),
                counts.passes(),
                recent.isEmpty()
                        ? Optional.empty()
                        : Optional.of(recent.getLast().points()),
                last.isEmpty()
                        ? Optional.empty()
                        : Optional.of(last.stream()
                                .mapToDouble(DotView::points)
                                .average()
                                .orElseThrow()),
                signature.map(SignOff::signedName),
                signature.map(SignOff::signedAt));
    }

    /** Tells every finished piece of some cohorts, by trainee and time, one after the other. */
    @Transactional(readOnly = true)
    public void pieces(List<Cohort> of, Consumer<PieceRow> to) {
        pieces("c.id = any (:ids)", of.stream().map(Cohort::id).toArray(UUID[]::new), to);
    }

    /** Tells every finished piece of a trainee, from the oldest. */
    @Transactional(readOnly = true)
    public void pieces(Trainee of, Consumer<PieceRow> to) {
        pieces("t.id = any (:ids)", new UUID[] {of.id()}, to);
    }

    private void pieces(String which, UUID[] ids, Consumer<PieceRow> to) {
        try (Stream<Tuple> rows = Rows.named(entities.createNativeQuery("""
                        select o.attempt_id, t.id as trainee_id, t.full_name, o.family, o.title, o.measured_at, o.conduit_label,
                          o.bender_label, o.preset, o.points, o.passed, o.arithmetic, o.rebent, o.cause, o.conduit_pm,
                          o.wasted_pm, o.minutes
                        from cohort c join trainee t on t.cohort_id = c.id join outcome o on o.trainee_id = t.id
                        where %s order by c.name, t.bench, t.id, o.measured_at""".formatted(which), Tuple.class)
                .setParameter("ids", ids)
                .setHint(HibernateHints.HINT_FETCH_SIZE, FETCHED))) {
            rows.map(Gradebook::piece).forEach(to);
        }
    }

    private static PieceRow piece(Tuple row) {
        return new PieceRow(
                row.get("attempt_id", UUID.class),
                row.get("trainee_id", UUID.class),
                row.get("full_name", String.class),
                Family.withId(row.get("family", String.class)).orElseThrow(),
                row.get("title", String.class),
                row.get("measured_at", Instant.class),
                row.get("conduit_label", String.class),
                row.get("bender_label", String.class),
                row.get("preset", String.class),
                row.get("points", Double.class),
                row.get("passed", Boolean.class),
                row.get("arithmetic", Double.class),
                row.get("rebent", Integer.class),
                row.get("cause", String.class),
                new Length(row.get("conduit_pm", Long.class)),
                new Length(row.get("wasted_pm", Long.class)),
                row.get("minutes", Integer.class));
    }
}
