package lobrik.server.attempt;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.assessment.Basis;
import lobrik.assessment.WhatCounts;
import lobrik.layout.MarkDatum;
import lobrik.measure.Length;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judged;
import lobrik.verdict.Score;
import lobrik.verdict.Workmanship;
import lobrik.verdict.Yardstick;
import lobrik.wire.Numbers;
import org.jspecify.annotations.Nullable;

/**
 * What is written down of a piece besides its readings.
 *
 * @param rework how often bends went back into the shoe before they were measured, from the oldest
 * @param stages each time that it was bent again once it was measured, and what that came to
 * @param floor what the level reads on the floor, for the angles that are read next
 * @param own the trainee's figures for the marks, once they are in
 * @param minutes how long it took, by the steps and the readings or as somebody wrote it down
 * @param step what the trainee last said to be doing
 * @param seal the last word on whether it is verified
 */
public record BenchNotes(
        List<PointView> points,
        List<ReworkView> rework,
        List<StageView> stages,
        @Nullable TiltView floor,
        @Nullable WasteView waste,
        @Nullable OwnFigures own,
        @Nullable Integer minutes,
        List<NoteView> notes,
        List<PhotoView> photos,
        @Nullable StepView step,
        @Nullable SealView seal) {

    /**
     * A point that is looked over.
     *
     * @param good what is seen when nothing is wrong
     * @param fault what is seen when something is
     * @param deduction points that a fault costs
     * @param critical whether the piece fails with it
     * @param finding the one that counts
     * @param rivals findings that somebody has to decide between
     * @param own whether the trainee found it good; null where the trainee did not look
     */
    public record PointView(
            String point,
            String good,
            String fault,
            double deduction,
            boolean critical,
            @Nullable FindingView finding,
            List<FindingView> rivals,
            @Nullable Boolean own) {}

    /** A finding with who found it. */
    public record FindingView(
            UUID id,
            Fact.Result result,
            @Nullable String note,
            String takenBy,
            Instant takenAt,
            @Nullable String reason) {}

    /** A bend that went back into the shoe once. */
    public record ReworkView(UUID id, int bend, Fact.Change change, String takenBy, Instant takenAt) {}

    /**
     * What the level reads on the floor.
     *
     * @param bench whether it was read for whoever is measured at this bench
     */
    public record TiltView(UUID id, double deg, String text, boolean bench, String takenBy, Instant takenAt) {}

    /** Conduit that went into the bin. */
    public record WasteView(UUID id, double lengthIn, String text) {}

    /** The trainee's figures, scored apart. */
    public record OwnFigures(
            UUID id,
            String takenBy,
            Instant takenAt,
            double points,
            List<OwnFigureView> marks,
            @Nullable OwnCutView cut) {}

    /** What the trainee would cut the conduit to, and how far that is off; it costs no points. */
    public record OwnCutView(String text, double deviationIn, Judged.Band band) {}

    /** One of them, and how far it is off. */
    public record OwnFigureView(
            int mark,
            String text,
            double positionIn,
            @Nullable MarkDatum from,
            double deviationIn,
            Judged.Band band) {}

    /** Anything else. */
    public record NoteView(UUID id, String text, String takenBy, Instant takenAt) {}

    /** A photo; the picture itself is asked for by its id. */
    public record PhotoView(
            UUID id, String about, String note, int width, int height, String takenBy, Instant takenAt) {}

    /** A step, and who set it. */
    public record StepView(BenchStep step, Instant since, String setBy) {}

    /** A seal, and who set it. */
    public record SealView(boolean sealed, String setBy, Instant setAt, String reason) {}

    /** What is looked over on this piece; what somebody found besides stays, and so does the whole list of earlier pieces. */
    static List<InspectionPoint> lookedOver(Measured measured) {
        boolean earlier = measured.attempt().yardstick() == Yardstick.AS_ASKED;
        List<InspectionPoint> fitting = measured.question().lookedOver();
        return Stream.of(InspectionPoint.values())
                .filter(point -> earlier
                        || fitting.contains(point)
                        || !measured.ledger().findings(point).isEmpty())
                .toList();
    }

    static BenchNotes of(Measured measured, Names names) {
        Ledger ledger = measured.ledger();
        Map<InspectionPoint, Workmanship.Rule> rules =
                measured.attempt().tolerances().toCore().workmanship().rules();
        return new BenchNotes(
                lookedOver(measured).stream()
                        .map(point -> point(point, rules, ledger, names))
                        .toList(),
                ledger.rework().stream().map(row -> rework(row, names)).toList(),
                StageView.of(measured, names),
                ledger.floor().map(row -> floor(row, names)).orElse(null),
                ledger.newest("waste").map(BenchNotes::waste).orElse(null),
                own(measured, names),
                minutes(measured),
                WhatCounts.standing(
                                ledger.facts().stream()
                                        .filter(row -> row.kind().equals("note"))
                                        .toList(),
                                ledger.asideIds())
                        .stream()
                        .map(row -> note(row, names))
                        .toList(),
                ledger.standingPhotos().stream()
                        .map(photo -> new PhotoView(
                                photo.id(),
                                photo.about(),
                                photo.note(),
                                photo.width(),
                                photo.height(),
                                names.of(photo.takenBy()),
                                photo.takenAt()))
                        .toList(),
                ledger.lastStep()
                        .map(step -> new StepView(step.step(), step.setAt(), names.of(step.setBy())))
                        .orElse(null),
                ledger.lastSeal()
                        .map(seal -> new SealView(seal.isSealed(), names.of(seal.setBy()), seal.setAt(), seal.reason()))
                        .orElse(null));
    }

    private static PointView point(
            InspectionPoint point, Map<InspectionPoint, Workmanship.Rule> rules, Ledger ledger, Names names) {
        List<FindingView> standing =
                ledger.findings(point).stream().map(row -> finding(row, names)).toList();
        Workmanship.Rule rule = rules.getOrDefault(point, new Workmanship.Rule(0, false));
        return new PointView(
                point.id(),
                point.good(),
                point.fault(),
                rule.deduction(),
                rule.critical(),
                standing.size() == 1 ? standing.getFirst() : null,
                standing.size() > 1 ? standing : List.of(),
                ledger.ownLook().get(point));
    }

    private static FindingView finding(FactRow row, Names names) {
        Fact.Finding finding = (Fact.Finding) row.said();
        return new FindingView(
                row.id(),
                Objects.requireNonNullElse(finding.result(), Fact.Result.NOT_LOOKED_AT),
                finding.note(),
                names.of(row.takenBy()),
                row.takenAt(),
                row.reason());
    }

    private static ReworkView rework(FactRow row, Names names) {
        Fact.Rework rework = (Fact.Rework) row.said();
        return new ReworkView(
                row.id(),
                Objects.requireNonNullElse(rework.bend(), 0),
                Objects.requireNonNullElse(rework.change(), Fact.Change.ADDED),
                names.of(row.takenBy()),
                row.takenAt());
    }

    private static TiltView floor(FactRow row, Names names) {
        Fact.Floor floor = (Fact.Floor) row.said();
        return new TiltView(
                row.id(),
                Objects.requireNonNullElse(floor.deg(), 0.0),
                Objects.requireNonNullElse(floor.text(), ""),
                Boolean.TRUE.equals(floor.bench()),
                names.of(row.takenBy()),
                row.takenAt());
    }

    private static WasteView waste(FactRow row) {
        Fact.Waste waste = (Fact.Waste) row.said();
        return new WasteView(
                row.id(),
                Objects.requireNonNullElse(waste.lengthIn(), 0.0),
                Objects.requireNonNullElse(waste.text(), ""));
    }

    private static NoteView note(FactRow row, Names names) {
        String text = ((Fact.Note) row.said()).text();
        return new NoteView(row.id(), Objects.requireNonNullElse(text, ""), names.of(row.takenBy()), row.takenAt());
    }

    private static @Nullable OwnFigures own(Measured measured, Names names) {
        FactRow row = measured.ledger().newest("figures").orElse(null);
        Score score = measured.assessment().arithmetic().orElse(null);
        if (row == null || score == null) {
            return null;
        }
        return new OwnFigures(
                row.id(),
                names.of(row.takenBy()),
                row.takenAt(),
                score.points(),
                ownFigures(measured).orElse(List.of()),
                ownCut(measured).orElse(null));
    }

    /** What the trainee would cut the conduit to; empty where nobody asked, or where the far end stays open. */
    static Optional<OwnCutView> ownCut(Measured measured) {
        return measured.ledger()
                .newest("figures")
                .map(row -> ((Fact.Figures) row.said()).cut())
                .filter(cut -> cut.lengthIn() != null)
                .flatMap(cut -> measured.basis().cut().map(held -> ownCut(cut, held)));
    }

    private static OwnCutView ownCut(Fact.OwnCut cut, Basis.HeldLength held) {
        Length off =
                Length.ofInches(Objects.requireNonNullElse(cut.lengthIn(), 0.0)).minus(held.right());
        return new OwnCutView(
                Objects.requireNonNullElse(cut.text(), ""), off.inches(), Judged.Band.of(off, held.tolerance()));
    }

    /** The trainee's own figures, judged one by one. */
    static Optional<List<OwnFigureView>> ownFigures(Measured measured) {
        return measured.assessment()
                .arithmetic()
                .flatMap(score -> measured.ledger()
                        .newest("figures")
                        .map(row -> ((Fact.Figures) row.said()).marks())
                        .map(marks -> marks.stream()
                                .flatMap(figure -> score.items().stream()
                                        .filter(item -> item.feature().id().equals("mark" + figure.mark()))
                                        .map(item -> figure(figure, item)))
                                .toList()));
    }

    private static OwnFigureView figure(Fact.OwnFigure figure, Judged judged) {
        return new OwnFigureView(
                Objects.requireNonNullElse(figure.mark(), 0),
                Objects.requireNonNullElse(figure.text(), ""),
                Objects.requireNonNullElse(figure.positionIn(), 0.0),
                figure.from(),
                Numbers.of(judged.deviation()),
                judged.band());
    }

    /** Nobody bends at one piece for longer: it was left lying, or a clock was put right meanwhile. */
    private static final long LONGEST_MINUTES = 24L * 60;

    /** From the first step to the call for checking; as somebody wrote it down where that is wrong. */
    static @Nullable Integer minutes(Measured measured) {
        Ledger ledger = measured.ledger();
        Integer written = ledger.newest("time")
                .map(row -> ((Fact.TimeTaken) row.said()).minutes())
                .orElse(null);
        if (written != null) {
            return written;
        }
        Instant from = ledger.steps().stream()
                .map(StepRow::setAt)
                .min(Instant::compareTo)
                .orElse(null);
        Instant until = ledger.steps().stream()
                .filter(row -> row.step() == BenchStep.CALLED)
                .map(StepRow::setAt)
                .max(Instant::compareTo)
                .orElse(null);
        if (from == null || until == null) {
            return null;
        }
        long minutes = Duration.between(from, until).toMinutes();
        return minutes < 0 || minutes > LONGEST_MINUTES ? null : Math.toIntExact(Math.max(1, minutes));
    }
}
