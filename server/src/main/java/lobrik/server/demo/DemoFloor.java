package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.attempt.Attempt;
import lobrik.server.attempt.Bases;
import lobrik.server.attempt.BenchStep;
import lobrik.server.attempt.Fact;
import lobrik.server.attempt.FactRow;
import lobrik.server.attempt.ReadsTo;
import lobrik.server.attempt.StepRow;
import lobrik.server.exercise.Exercise;
import lobrik.server.giving.Assignment;
import lobrik.verdict.InspectionPoint;
import org.jspecify.annotations.Nullable;

/** This morning on the demo school's floor: who works at what, who calls, and what was looked over. */
final class DemoFloor {

    /** Every so many pieces one has a fault of workmanship. */
    private static final int FAULT_EVERY = 4;

    /** Every so many trainees one works a mark out wrongly. */
    private static final Length FORGOTTEN = Length.ofFraction(0, 1, 2);

    private static final int WRONG_FIGURE_EVERY = 3;

    private final EntityManager entities;
    private final Bases bases;
    private final Ids ids;
    private final Instant now;

    DemoFloor(EntityManager entities, Bases bases, Ids ids, Instant now) {
        this.entities = entities;
        this.bases = bases;
        this.ids = ids;
        this.now = now;
    }

    /** A trainee who is not measured yet: one calls, one bends, one needs help, one works it out, one has not begun. */
    void beforeMeasuring(Assignment assignment, Exercise exercise, Layout layout, Instant start, int place) {
        BenchStep last = switch (place % 5) {
            case 4 -> BenchStep.CALLED;
            case 0 -> BenchStep.BENDING;
            case 1 -> BenchStep.HELP;
            case 2 -> BenchStep.WORKING_OUT;
            default -> null;
        };
        if (last == null) {
            return;
        }
        Instant begun = start.plus(Duration.ofMinutes(6));
        Attempt attempt = new Attempt(
                ids.next(),
                assignment,
                exercise,
                bases.keep(Attempt.basis(exercise, layout, null)),
                null,
                ReadsTo.USUAL,
                null,
                begun);
        entities.persist(attempt);
        step(attempt, BenchStep.WORKING_OUT, begun);
        if (last != BenchStep.WORKING_OUT) {
            step(attempt, BenchStep.BENDING, begun.plus(Duration.ofMinutes(14)));
        }
        if (last == BenchStep.CALLED || last == BenchStep.HELP) {
            step(attempt, last, now.minus(Duration.ofMinutes(last == BenchStep.CALLED ? 4 : 2)));
        }
    }

    private void step(Attempt attempt, BenchStep step, Instant at) {
        entities.persist(new StepRow(ids.next(), attempt.id(), step, null, at));
    }

    /** Whoever forgot something has it wrong on the sheet already; a ring that is a little off was worked out right. */
    private static Length figure(Mark mark, Map<FeatureId, Quantity> readings) {
        return readings.get(FeatureId.mark(mark.number())) instanceof Length ring
                        && ring.minus(mark.position()).abs().isMoreThan(FORGOTTEN)
                ? ring.nearest(TapeDivision.SIXTEENTH)
                : mark.position();
    }

    /** What was written down of a measured piece besides its readings. */
    void lookedOver(
            Attempt attempt, Layout layout, Map<FeatureId, Quantity> readings, UUID instructor, Instant at, int place) {
        step(attempt, BenchStep.WORKING_OUT, at.minus(Duration.ofMinutes(11)));
        step(attempt, BenchStep.CALLED, at.minus(Duration.ofMinutes(1)));
        List<Fact.OwnFigure> figures = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            Length wrong = place % WRONG_FIGURE_EVERY == 0 ? Length.ofFraction(0, 1, 8) : Length.ZERO;
            Length figure = figure(mark, readings).plus(wrong);
            figures.add(new Fact.OwnFigure(mark.number(), TapeDivision.SIXTEENTH.text(figure), figure.inches()));
        }
        fact(attempt, new Fact.Figures(figures), null, at.minus(Duration.ofMinutes(8)));
        for (InspectionPoint point : InspectionPoint.values()) {
            if (point == InspectionPoint.SCORCH && layout.job().tooling().shoe().isPresent()) {
                // Nothing here is heated. Its id is drawn all the same: people and pieces come from the same numbers.
                ids.next();
                continue;
            }
            boolean faulty = point == InspectionPoint.MARKS_LEFT && place % FAULT_EVERY == 1;
            fact(
                    attempt,
                    new Fact.Finding(point.id(), faulty ? Fact.Result.FAULT : Fact.Result.GOOD, null),
                    instructor,
                    at.plus(Duration.ofSeconds(40)));
        }
        if (place % FAULT_EVERY == 2) {
            fact(attempt, new Fact.Rework(1, Fact.Change.EASED), instructor, at.plus(Duration.ofSeconds(45)));
        }
    }

    private void fact(Attempt attempt, Fact said, @Nullable UUID by, Instant at) {
        entities.persist(FactRow.by(by, ids.next(), attempt.id(), said, at));
    }
}
