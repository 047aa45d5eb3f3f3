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
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.server.calc.DatumName;
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
        return new Ledger(Standing.inOrder(and(readings, row)), facts, photos, setAside, seals, steps);
    }

    Ledger with(FactRow row) {
        return new Ledger(readings, Standing.inOrder(and(facts, row)), photos, setAside, seals, steps);
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
        List<ReadingRow> standing = Standing.of(
                readings.stream().filter(row -> row.feature().equals(feature)).toList(), asideIds());
        List<ReadingRow> read =
                standing.stream().filter(row -> row.value() != null).toList();
        // Whoever measured it knows more than whoever did not.
        return read.isEmpty() ? standing.stream().limit(1).toList() : agreed(read);
    }

    /** Two people who read the same are one reading. */
    private static List<ReadingRow> agreed(List<ReadingRow> read) {
        boolean same = read.stream().map(ReadingRow::value).distinct().count() == 1;
        return same ? read.subList(0, 1) : read;
    }

    /** The facts of a kind about something that count. */
    List<FactRow> standing(String kind, String about) {
        return Standing.of(
                facts.stream()
                        .filter(row -> row.kind().equals(kind) && row.about().equals(about))
                        .toList(),
                asideIds());
    }

    /** The findings of a point that count; two that say the same are one. */
    List<FactRow> findings(InspectionPoint point) {
        List<FactRow> standing = standing("finding", point.id());
        boolean same = standing.stream().map(Ledger::result).distinct().count() <= 1;
        return same ? standing.stream().limit(1).toList() : standing;
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
        List<FactRow> standing = standing(kind, "");
        return standing.stream().reduce((one, other) -> Kept.isAfter(one.entryNo(), other.entryNo()) ? one : other);
    }

    /** How often each bend went back into the shoe. */
    List<FactRow> rework() {
        return Standing.of(
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
    Said said() {
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
        return new Said(
                values,
                omitted,
                disputed,
                faulty,
                lookedOver,
                disputedFinding,
                ownFigures(),
                takenFrom(),
                rework().size());
    }

    /** Where marks were measured from: as they were read, or else as they were worked out. */
    private Map<FeatureId, DatumName> takenFrom() {
        Map<FeatureId, DatumName> from = new TreeMap<>();
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
                from.put(row.feature(), Objects.requireNonNullElse(row.measuredFrom(), DatumName.END));
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

    /**
     * What counts of an attempt.
     *
     * @param disputed features that two people read differently
     * @param faulty points that were found faulty
     * @param lookedOver whether anybody looked at anything
     * @param ownFigures the trainee's own figures, by number of the mark
     * @param takenFrom where marks were measured from, as far as that is known
     * @param rebent how often a bend went back into the shoe
     */
    record Said(
            Map<FeatureId, Quantity> values,
            Set<FeatureId> omitted,
            Set<FeatureId> disputed,
            Set<InspectionPoint> faulty,
            boolean lookedOver,
            boolean disputedFinding,
            Map<Integer, Length> ownFigures,
            Map<FeatureId, DatumName> takenFrom,
            int rebent) {}
}
