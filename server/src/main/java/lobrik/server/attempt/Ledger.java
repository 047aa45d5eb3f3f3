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
import lobrik.measure.Length;
import lobrik.measure.Quantity;
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

    /** The readings of a feature that count: none, one, or those that somebody has to decide between. */
    List<ReadingRow> standing(FeatureId feature) {
        return WhatCounts.readings(
                WhatCounts.standing(
                        readings.stream()
                                .filter(row -> row.feature().equals(feature))
                                .toList(),
                        asideIds()),
                row -> Optional.ofNullable(row.value()));
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
        return WhatCounts.agreed(standing("finding", point.id()), row -> Optional.ofNullable(result(row)));
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
        return WhatCounts.standing(
                facts.stream().filter(row -> row.kind().equals("rework")).toList(), asideIds());
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

    /** What counts, as the core judges it. */
    Evidence evidence() {
        Map<FeatureId, Quantity> values = new TreeMap<>();
        Set<FeatureId> omitted = new TreeSet<>();
        Set<FeatureId> disputed = new TreeSet<>();
        for (FeatureId feature : readings.stream().map(ReadingRow::feature).collect(Collectors.toSet())) {
            List<ReadingRow> standing = standing(feature);
            if (standing.size() > 1) {
                disputed.add(feature);
            } else if (!standing.isEmpty()) {
                Quantity value = standing.getFirst().value();
                if (value == null) {
                    omitted.add(feature);
                } else {
                    values.put(feature, value);
                }
            }
        }
        Set<InspectionPoint> faulty = EnumSet.noneOf(InspectionPoint.class);
        boolean disputedFinding = false;
        for (InspectionPoint point : InspectionPoint.values()) {
            List<FactRow> findings = findings(point);
            disputedFinding |= findings.size() > 1;
            if (findings.size() == 1 && result(findings.getFirst()) == Fact.Result.FAULT) {
                faulty.add(point);
            }
        }
        boolean lookedOver = Stream.of(InspectionPoint.values())
                .flatMap(point -> findings(point).stream())
                .anyMatch(row -> result(row) != Fact.Result.NOT_LOOKED_AT);
        return new Evidence(values, omitted, disputed, faulty, lookedOver, disputedFinding, ownFigures());
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
