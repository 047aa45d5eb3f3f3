package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.random.RandomGenerator;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.attempt.Attempt;
import lobrik.server.attempt.Bases;
import lobrik.server.attempt.Fact;
import lobrik.server.attempt.FactRow;
import lobrik.server.attempt.ReadingRow;
import lobrik.server.attempt.ReadsTo;
import lobrik.server.demo.DemoCast.DemoExercise;
import lobrik.server.demo.DemoRack.Racked;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.LibraryEntry;
import lobrik.server.exercise.ReadingsAsked;
import lobrik.server.giving.Assignment;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.TolerancePreset;
import lobrik.wire.BendInput;
import lobrik.wire.BenderInput;
import lobrik.wire.ConduitInput;
import lobrik.wire.LayoutRequest;
import org.jspecify.annotations.Nullable;

/** Writes made-up exercises and attempts down as the screens would have. */
final class DemoRecord {

    private static final double MISREAD = 0.01;

    /** A bend that is shorter by more goes back. */
    private static final Angle TOO_SHORT = Angle.ofDegrees(2);

    /** So much of what was off is left once it was bent again: one in so many parts. */
    private static final int LEFT_OF_IT = 5;

    private final EntityManager entities;
    private final Bases bases;
    private final Ids ids;
    private final RandomGenerator random;
    private final UUID centreId;
    private final Map<String, UUID> entries = new HashMap<>();
    private final Map<String, Integer> versions = new HashMap<>();

    DemoRecord(EntityManager entities, Bases bases, Ids ids, RandomGenerator random, UUID centreId) {
        this.entities = entities;
        this.bases = bases;
        this.ids = ids;
        this.random = random;
        this.centreId = centreId;
    }

    /** What was set, for this bender and judged by this preset. */
    Exercise exercise(
            DemoExercise set, Racked bender, TolerancePreset preset, String tag, UUID instructor, Instant at) {
        LayoutRequest definition = new LayoutRequest(
                set.method(),
                TapeDivision.SIXTEENTH.step().inches(),
                new ConduitInput(bender.conduit().outsideDiameter().inches()),
                BenderInput.of(bender.known().revision().tool()),
                BendInput.of(set.bend()),
                null,
                null,
                null,
                new LayoutRequest.PlaceInput(set.situation().id(), null));
        Content content = new Content(
                set.place(),
                set.level(),
                List.of(tag, bender.conduit().label()),
                bender.conduit().label(),
                bender.label(),
                definition,
                null,
                ToleranceFigures.of(preset),
                ReadingsAsked.ALL,
                false,
                null);
        Exercise exercise = new Exercise(
                ids.next(),
                centreId,
                entry(set, instructor, at),
                nextVersion(set),
                content,
                bender.known().revision().id(),
                instructor,
                at);
        entities.persist(exercise);
        return exercise;
    }

    /** The library's entry of what was set; the same exercise later in the term is a new version of it. */
    private UUID entry(DemoExercise set, UUID instructor, Instant at) {
        return entries.computeIfAbsent(set.place(), _ -> {
            LibraryEntry entry = new LibraryEntry(ids.next(), centreId, instructor, at);
            entities.persist(entry);
            return entry.id();
        });
    }

    private int nextVersion(DemoExercise set) {
        return versions.merge(set.place(), 1, Integer::sum);
    }

    /** An attempt of which so many readings were taken, by an instructor. */
    Attempt attempt(
            UUID instructor,
            Assignment assignment,
            Exercise exercise,
            Layout layout,
            Instant at,
            Map<FeatureId, Quantity> read,
            int howMany) {
        Attempt attempt = new Attempt(
                ids.next(),
                assignment,
                exercise,
                bases.keep(Attempt.basis(exercise, layout, null)),
                null,
                ReadsTo.USUAL,
                instructor,
                at);
        entities.persist(attempt);
        Instant taken = at;
        for (Map.Entry<FeatureId, Quantity> reading :
                read.entrySet().stream().limit(howMany).toList()) {
            taken = taken.plus(5, ChronoUnit.SECONDS);
            keep(attempt, reading.getKey(), reading.getValue(), instructor, taken);
        }
        attempt.note(howMany >= read.size());
        return attempt;
    }

    /**
     * Bends that came out short go back once, where there are any, and come out nearly right; what else is off follows them.
     *
     * @param read as the piece was first bent
     */
    void bentOn(Attempt attempt, Layout layout, Map<FeatureId, Quantity> read, UUID instructor, Instant at) {
        List<Fact.Rebent> bends = read.entrySet().stream()
                .filter(each -> each.getKey().kind() == FeatureKind.ANGLE
                        && planned(layout, each.getKey()).count()
                                        - each.getValue().count()
                                > TOO_SHORT.count())
                .map(each -> new Fact.Rebent(each.getKey().number(), Fact.Change.ADDED))
                .toList();
        if (bends.isEmpty()) {
            return;
        }
        entities.persist(FactRow.by(instructor, ids.next(), attempt.id(), new Fact.Stage(2, bends), at));
        Instant taken = at;
        for (Map.Entry<FeatureId, Quantity> first : read.entrySet()) {
            if (first.getKey().isOfFinishedPiece()) {
                taken = taken.plus(5, ChronoUnit.SECONDS);
                Quantity right = planned(layout, first.getKey());
                Quantity now = right.withCount(right.count() + (first.getValue().count() - right.count()) / LEFT_OF_IT);
                keep(
                        attempt,
                        first.getKey(),
                        ids.next(),
                        asRead(now),
                        taken(instructor, taken).ofStage(2),
                        null);
            }
        }
    }

    private static Quantity planned(Layout layout, FeatureId feature) {
        return layout.features().stream()
                .filter(plan -> plan.id().equals(feature))
                .findFirst()
                .orElseThrow()
                .predicted();
    }

    private static Quantity asRead(Quantity exact) {
        return switch (exact) {
            case Length length -> length.nearest(TapeDivision.SIXTEENTH);
            case Angle angle -> Angle.ofDegrees(Math.round(angle.degrees() * 2) / 2.0);
            case Percentage part -> part;
        };
    }

    /** Keeps a reading; now and then it was first read a sixteenth off and then corrected. */
    private void keep(Attempt attempt, FeatureId feature, Quantity value, UUID by, Instant at) {
        if (value instanceof Length length && random.nextDouble() < MISREAD) {
            Length misread = length.plus(TapeDivision.SIXTEENTH.step());
            UUID first = ids.next();
            keep(attempt, feature, first, misread, taken(by, at), null);
            ReadingRow.Correction correction = new ReadingRow.Correction(first, "Read the wrong line of the tape");
            keep(attempt, feature, ids.next(), length, taken(by, at.plus(2, ChronoUnit.MINUTES)), correction);
        } else {
            keep(attempt, feature, ids.next(), value, taken(by, at), null);
        }
    }

    private void keep(
            Attempt attempt,
            FeatureId feature,
            UUID id,
            Quantity value,
            ReadingRow.Taken taken,
            ReadingRow.@Nullable Correction correction) {
        String typed = switch (value) {
            case Length length -> TapeDivision.SIXTEENTH.text(length);
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
        entities.persist(ReadingRow.read(id, attempt.id(), feature, value, typed, taken, correction));
    }

    private static ReadingRow.Taken taken(UUID by, Instant at) {
        return ReadingRow.Taken.byKeys(by, at);
    }
}
