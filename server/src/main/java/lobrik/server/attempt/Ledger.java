package lobrik.server.attempt;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.assessment.Evidence;
import lobrik.assessment.WhatCounts;
import lobrik.feature.FeatureId;
import lobrik.layout.MarkDatum;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.reading.FloorReading;
import lobrik.verdict.InspectionPoint;
import org.jspecify.annotations.Nullable;

/**
 * All that was written down of one attempt, and what of it counts.
 *
 * @param seals in the order in which they were written down, as are the steps
 */
record Ledger(
        List<ReadingRow> readings,
        List<FactRow> facts,
        List<Photo.Caption> photos,
        List<SetAside> setAside,
        List<Seal> seals,
        List<StepRow> steps) {

    static final Ledger EMPTY = new Ledger(List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    Ledger with(ReadingRow row) {
        return new Ledger(WhatCounts.inOrder(and(readings, row)), facts, photos, setAside, seals, steps);
    }

    Ledger with(FactRow row) {
        return new Ledger(readings, WhatCounts.inOrder(and(facts, row)), photos, setAside, seals, steps);
    }

    Ledger with(Photo.Caption photo) {
        return new Ledger(readings, facts, and(photos, photo), setAside, seals, steps);
    }

    Ledger with(SetAside aside) {
        return new Ledger(readings, facts, photos, and(setAside, aside), seals, steps);
    }

    Ledger with(Seal seal) {
        return new Ledger(readings, facts, photos, setAside, and(seals, seal), steps);
    }

    Ledger with(StepRow step) {
        return new Ledger(readings, facts, photos, setAside, seals, and(steps, step));
    }

    private static <T> List<T> and(List<T> rows, T row) {
        return Stream.concat(rows.stream(), Stream.of(row)).toList();
    }

    /** How much was written down; as nothing is ever struck out, it only grows. */
    int size() {
        return Stream.of(readings, facts, photos, setAside, seals, steps)
                .mapToInt(List::size)
                .sum();
    }

    Set<UUID> asideIds() {
        return setAside.stream().map(SetAside::recordId).collect(Collectors.toSet());
    }

    /** How often the piece was measured: once as first bent, and once more after each time that it was bent on or eased. */
    int stages() {
        int stages = ReadingRow.FIRST_STAGE;
        while (began(stages + 1).isPresent()) {
            stages++;
        }
        return stages;
    }

    /** What began a stage; nothing did the first. */
    Optional<FactRow> began(int stage) {
        return stage == ReadingRow.FIRST_STAGE
                ? Optional.empty()
                : standing("stage", String.valueOf(stage)).stream().findFirst();
    }

    /** Whether something of the finished piece was read in a stage. */
    boolean isReadInStage(int stage) {
        return readings.stream()
                .anyMatch(row -> row.stage() == stage
                        && row.value() != null
                        && row.feature().isOfFinishedPiece());
    }

    /** The readings of a feature that count now: none, one, or those that somebody has to decide between. */
    List<ReadingRow> standing(FeatureId feature) {
        return standing(feature, stages());
    }

    /** The same as the piece was in a stage. A ring stays where it is, however often the piece is bent again. */
    private List<ReadingRow> standing(FeatureId feature, int stage) {
        return WhatCounts.readings(
                WhatCounts.standing(
                        readings.stream()
                                .filter(row -> row.feature().equals(feature)
                                        && (row.stage() == stage || !feature.isOfFinishedPiece()))
                                .toList(),
                        asideIds()),
                this::value);
    }

    /** The floor that an angle was read over by level, where that was read before it. */
    Optional<FloorReading> floorUnder(ReadingRow row) {
        return row.isByLevel() && row.value() != null
                ? WhatCounts.holding(ofKind("floor"), asideIds(), WhatCounts.origin(row, readings))
                        .map(Ledger::floor)
                : Optional.empty();
    }

    /** The floor that holds for what is read next. */
    Optional<FactRow> floor() {
        return newest("floor");
    }

    static FloorReading floor(FactRow row) {
        Double tilt = ((Fact.Floor) row.said()).deg();
        return new FloorReading(Angle.ofDegrees(Objects.requireNonNullElse(tilt, 0.0)));
    }

    /** What a reading comes to, with the floor taken off; nothing if the feature was not measured. */
    Optional<Quantity> value(ReadingRow row) {
        return Optional.ofNullable(row.value())
                .map(read -> floorUnder(row).map(floor -> floor.corrected(read)).orElse(read));
    }

    private List<FactRow> ofKind(String kind) {
        return facts.stream().filter(row -> row.kind().equals(kind)).toList();
    }

    /** The facts of a kind about something that count. */
    List<FactRow> standing(String kind, String about) {
        return WhatCounts.standing(
                facts.stream()
                        .filter(row -> row.kind().equals(kind) && row.about().equals(about))
                        .toList(),
                asideIds());
    }

    /** The findings of a point that count; two that say the same are one. */
    List<FactRow> findings(InspectionPoint point) {
        return agreed(standing("finding", point.id()));
    }

    /** The same as the piece was in a stage: what was found once it was bent again is not of before. */
    private List<FactRow> findings(InspectionPoint point, int stage) {
        Optional<Long> over = began(stage + 1).flatMap(FactRow::number);
        return agreed(WhatCounts.standing(
                ofKind("finding").stream()
                        .filter(row -> row.about().equals(point.id()) && (over.isEmpty() || !row.isAfter(over)))
                        .toList(),
                asideIds()));
    }

    private static List<FactRow> agreed(List<FactRow> findings) {
        return WhatCounts.agreed(findings, row -> Optional.ofNullable(result(row)));
    }

    static Fact.@Nullable Result result(FactRow row) {
        return row.said() instanceof Fact.Finding finding ? finding.result() : null;
    }

    /** What the trainee found when looking the piece over: whether a point is good, of those that were looked at. */
    Map<InspectionPoint, Boolean> ownLook() {
        Map<InspectionPoint, Boolean> found = new EnumMap<>(InspectionPoint.class);
        newest("ownLook")
                .map(row -> ((Fact.OwnLook) row.said()).points())
                .ifPresent(points -> points.forEach(each -> InspectionPoint.withId(String.valueOf(each.point()))
                        .ifPresent(point -> found.put(point, Boolean.TRUE.equals(each.good())))));
        return found;
    }

    /** The last of the facts of a kind of which the newest counts. */
    Optional<FactRow> newest(String kind) {
        return WhatCounts.newest(standing(kind, ""));
    }

    /** How often each bend went back into the shoe. */
    List<FactRow> rework() {
        return WhatCounts.standing(ofKind("rework"), asideIds());
    }

    List<Photo.Caption> standingPhotos() {
        Set<UUID> aside = asideIds();
        return photos.stream().filter(photo -> !aside.contains(photo.id())).toList();
    }

    /** Whether it is verified and locked. */
    boolean isSealed() {
        return lastSeal().map(Seal::isSealed).orElse(false);
    }

    Optional<Seal> lastSeal() {
        return seals.isEmpty() ? Optional.empty() : Optional.of(seals.getLast());
    }

    Optional<StepRow> lastStep() {
        return steps.isEmpty() ? Optional.empty() : Optional.of(steps.getLast());
    }

    /** What counts of the piece as it is now, as the core judges it. */
    Evidence evidence() {
        return evidence(stages());
    }

    /** What counts of the piece as it was in a stage. */
    Evidence evidence(int stage) {
        Map<FeatureId, Quantity> values = new TreeMap<>();
        Set<FeatureId> omitted = new TreeSet<>();
        Set<FeatureId> found = new TreeSet<>();
        Set<FeatureId> disputed = new TreeSet<>();
        for (FeatureId feature : readings.stream().map(ReadingRow::feature).collect(Collectors.toSet())) {
            List<ReadingRow> standing = standing(feature, stage);
            if (standing.size() > 1) {
                disputed.add(feature);
            } else if (!standing.isEmpty()) {
                if (standing.getFirst().isAsFound()) {
                    found.add(feature);
                }
                value(standing.getFirst())
                        .ifPresentOrElse(value -> values.put(feature, value), () -> omitted.add(feature));
            }
        }
        Set<InspectionPoint> faulty = EnumSet.noneOf(InspectionPoint.class);
        boolean disputedFinding = false;
        for (InspectionPoint point : InspectionPoint.values()) {
            List<FactRow> findings = findings(point, stage);
            disputedFinding |= findings.size() > 1;
            if (findings.size() == 1 && result(findings.getFirst()) == Fact.Result.FAULT) {
                faulty.add(point);
            }
        }
        boolean lookedOver = Stream.of(InspectionPoint.values())
                .flatMap(point -> findings(point, stage).stream())
                .anyMatch(row -> result(row) != Fact.Result.NOT_LOOKED_AT);
        return new Evidence(values, omitted, found, disputed, faulty, lookedOver, disputedFinding, ownFigures(), stage);
    }

    /** Where marks were measured from: as they were read, or else as they were worked out. */
    Map<FeatureId, MarkDatum> takenFrom() {
        Map<FeatureId, MarkDatum> from = new TreeMap<>();
        newest("figures")
                .map(FactRow::said)
                .filter(Fact.Figures.class::isInstance)
                .map(said -> ((Fact.Figures) said).marks())
                .ifPresent(marks -> marks.forEach(figure -> {
                    if (figure.mark() != null && figure.from() != null) {
                        from.put(FeatureId.mark(figure.mark()), figure.from());
                    }
                }));
        for (ReadingRow row : readings) {
            if (row.value() != null
                    && !row.feature().isOfFinishedPiece()
                    && standing(row.feature()).contains(row)) {
                from.put(row.feature(), Objects.requireNonNullElse(row.measuredFrom(), MarkDatum.END));
            }
        }
        return from;
    }

    private Map<Integer, Length> ownFigures() {
        Map<Integer, Length> own = new LinkedHashMap<>();
        newest("figures")
                .map(FactRow::said)
                .filter(Fact.Figures.class::isInstance)
                .map(Fact.Figures.class::cast)
                .map(Fact.Figures::marks)
                .ifPresent(marks -> marks.forEach(figure -> {
                    if (figure.mark() != null && figure.positionIn() != null) {
                        own.put(figure.mark(), Length.ofInches(figure.positionIn()));
                    }
                }));
        return own;
    }
}
