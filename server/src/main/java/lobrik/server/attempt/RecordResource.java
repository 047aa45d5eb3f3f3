package lobrik.server.attempt;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lobrik.assessment.Assessment.Assessed;
import lobrik.feature.FeatureId;
import lobrik.layout.MarkDatum;
import lobrik.layout.TakenMark;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.reading.ReadingText;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.ReadingRow.Correction;
import lobrik.server.attempt.ReadingRow.Taken;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Writing down what is found on a piece. Every request carries a key that the client made; repeated, it adds nothing. */
@RestController
@Tag(name = "attempts")
class RecordResource {

    private static final int LONGEST_REASON = 200;
    private static final int LONGEST_INSTRUMENT = 60;

    /**
     * A reading as typed.
     *
     * @param asAsked looked at, and found to be as asked for: then there is no text
     * @param omitted why the feature was not measured: then there is no text either
     * @param takenAt by the device's clock; now if it does not say
     * @param instrument what the gauge is called
     * @param stage of the piece as whoever read it knew it; the one that it is in if it does not say
     * @param byLevel whether an angle was read against the horizontal, as it is where nobody says otherwise
     * @param asFound the last mark was found on the part-bent piece, and not worked out; of a bend where that is usual
     * @param corrects the reading that this one corrects, with a reason
     */
    record NewReading(
            @Nullable String feature,
            @Nullable String text,
            @Nullable LengthUnit bare,
            @Nullable Boolean asAsked,
            @Nullable MarkDatum from,
            @Nullable String omitted,
            @Nullable Instant takenAt,
            @Nullable TakenWith takenWith,
            @Nullable String instrument,
            @Nullable Integer stage,
            @Nullable Boolean byLevel,
            @Nullable Boolean asFound,
            @Nullable UUID corrects,
            @Nullable String reason) {}

    /** A fact, with the fact that it replaces if it does; the reason may be left open. */
    record NewFact(
            @Nullable Fact fact,
            @Nullable LengthUnit bare,
            @Nullable Instant takenAt,
            @Nullable UUID corrects,
            @Nullable String reason) {}

    /** Why something does not count. */
    record NewSetAside(@Nullable String reason) {}

    private final Keeping keeping;
    private final AttemptViews views;
    private final Clock clock;

    RecordResource(Keeping keeping, AttemptViews views, Clock clock) {
        this.keeping = keeping;
        this.views = views;
        this.clock = clock;
    }

    @Operation(summary = "Keep a reading; one that somebody else took meanwhile is kept beside it")
    @Needs(Right.MEASURE)
    @PutMapping("/api/attempts/{id}/readings/{key}")
    AttemptChange keepReading(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestHeader(name = DeviceTime.HEADER, required = false) @Nullable String sentAt,
            @RequestBody NewReading request) {
        DeviceTime.Said device = DeviceTime.Said.of(request.takenAt(), sentAt);
        return views.of(keeping.keepReading(who, id, attempt -> row(who, attempt, key, device, request)));
    }

    @Operation(
            summary =
                    "Keep a finding, a re-bend, a further stage, the floor, waste, time, the trainee's own figures, or a note")
    @Needs(Right.MEASURE)
    @PutMapping("/api/attempts/{id}/facts/{key}")
    AttemptChange keepFact(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestHeader(name = DeviceTime.HEADER, required = false) @Nullable String sentAt,
            @RequestBody NewFact request) {
        Correction correction = request.corrects() == null
                ? null
                : new Correction(
                        request.corrects(),
                        request.reason() == null || request.reason().isBlank()
                                ? "changed"
                                : reason(request.reason(), "why it is changed"));
        DeviceTime.Said device = DeviceTime.Said.of(request.takenAt(), sentAt);
        return views.of(keeping.keepFact(
                who,
                id,
                attempt -> new FactRow(
                        key,
                        id,
                        FactInput.kept(request.fact(), request.bare(), attempt::measured),
                        who.accountId(),
                        DeviceTime.of(device, attempt.givenAt(), clock.instant()),
                        clock.instant(),
                        correction)));
    }

    @Operation(summary = "Say that a reading, a fact or a photo does not count; it stays on record")
    @Needs(Right.MEASURE)
    @PutMapping("/api/attempts/{id}/set-aside/{recordId}")
    AttemptChange setAside(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID recordId,
            @RequestBody NewSetAside request) {
        return views.of(keeping.setAside(who, id, recordId, reason(request.reason(), "why it does not count")));
    }

    private ReadingRow row(SignedIn who, Opened attempt, UUID key, DeviceTime.Said device, NewReading request) {
        UUID attemptId = attempt.attempt().id();
        DeviceTime time = DeviceTime.of(device, attempt.givenAt(), clock.instant());
        FeatureId feature = FeatureId.withId(String.valueOf(request.feature()))
                .orElseThrow(() -> TurnedDown.badInput("/feature", "unknown-value", "name the feature that was read"));
        Correction correction = request.corrects() == null
                ? null
                : new Correction(request.corrects(), reason(request.reason(), "why it is corrected"));
        boolean asAsked = Boolean.TRUE.equals(request.asAsked());
        Taken taken = new Taken(
                who.accountId(),
                stage(attempt.ledger(), request),
                !asAsked && isByLevel(attempt.ledger(), request),
                isAsFound(attempt, feature, request),
                asAsked ? TakenWith.AS_ASKED : request.takenWith() == null ? TakenWith.KEYS : request.takenWith(),
                instrument(request.instrument()),
                time,
                clock.instant());
        if (request.omitted() != null) {
            return ReadingRow.omitted(
                    key, attemptId, feature, reason(request.omitted(), "why it was not measured"), taken, correction);
        }
        if (asAsked) {
            Quantity target = target(attempt, feature);
            return request.from() != null && target instanceof Length place
                    ? ReadingRow.read(
                            key,
                            attemptId,
                            feature,
                            new TakenMark(place, request.from()),
                            "as asked",
                            taken,
                            correction)
                    : ReadingRow.read(key, attemptId, feature, target, "as asked", taken, correction);
        }
        if (request.text() == null) {
            throw TurnedDown.badInput("/text", "missing", "give the reading");
        }
        String typed = request.text().strip();
        LengthUnit bare = Objects.requireNonNullElse(request.bare(), LengthUnit.INCH);
        Quantity read = ReadingText.read(feature, typed, bare);
        Optional<TakenMark> mark = request.from() != null && read instanceof Length figure
                ? attempt.measured().takenFromEitherEnd(feature, figure, Optional.of(request.from()))
                : Optional.empty();
        if (mark.isPresent()) {
            return ReadingRow.read(key, attemptId, feature, mark.get(), typed, taken, correction);
        }
        return ReadingRow.read(key, attemptId, feature, read, typed, taken, correction);
    }

    /**
     * Of which stage a reading is. What is read of an earlier stage comes too late: the piece is no more what it was.
     *
     * @throws TurnedDown if the piece was bent again since, or was not
     */
    private static int stage(Ledger ledger, NewReading request) {
        Optional<ReadingRow> wrong = corrected(ledger, request);
        if (wrong.isPresent()) {
            return wrong.get().stage();
        }
        int now = ledger.stages();
        if (request.stage() != null && request.stage() != now) {
            throw TurnedDown.conflict(
                    "another-stage",
                    "The piece was bent on or eased since this was read, or that was taken back; measure it as it is now");
        }
        return now;
    }

    /** As it is said; a correction as what it corrects; and by level where nobody says anything. */
    private static boolean isByLevel(Ledger ledger, NewReading request) {
        return request.byLevel() == null
                ? corrected(ledger, request)
                        .filter(row -> row.taken().with() != TakenWith.AS_ASKED)
                        .map(ReadingRow::isByLevel)
                        .orElse(true)
                : request.byLevel();
    }

    /** As it is said; a correction as what it corrects. */
    private static boolean isAsFound(Opened attempt, FeatureId feature, NewReading request) {
        boolean found = request.asFound() == null
                ? corrected(attempt.ledger(), request)
                        .map(ReadingRow::isAsFound)
                        .orElse(false)
                : request.asFound();
        if (found && !attempt.measured().mayBeFound(feature)) {
            throw TurnedDown.badInput(
                    "/asFound", "unknown-value", "only the last mark of an over-bent ninety is found on the piece");
        }
        return found;
    }

    private static Optional<ReadingRow> corrected(Ledger ledger, NewReading request) {
        return ledger.readings().stream()
                .filter(row -> row.id().equals(request.corrects()))
                .findFirst();
    }

    private static Quantity target(Opened attempt, FeatureId feature) {
        return attempt.measured().assessment().features().stream()
                .filter(measured -> measured.id().equals(feature))
                .map(Assessed::target)
                .findFirst()
                .orElseThrow(() -> TurnedDown.badInput(
                        "/feature", "unknown-value", "“" + feature.id() + "” is not measured on this piece"));
    }

    private static @Nullable String instrument(@Nullable String label) {
        String stripped = label == null ? "" : label.strip();
        if (stripped.length() > LONGEST_INSTRUMENT || stripped.indexOf('\0') >= 0) {
            throw TurnedDown.badInput(
                    "/instrument", "out-of-range", "name the gauge in at most " + LONGEST_INSTRUMENT + " characters");
        }
        return stripped.isEmpty() ? null : stripped;
    }

    /** A reason in words. */
    static String reason(@Nullable String given, String what) {
        String reason = given == null ? "" : given.strip();
        if (reason.isEmpty() || reason.length() > LONGEST_REASON || reason.indexOf('\0') >= 0) {
            throw TurnedDown.badInput("/reason", "missing", "say in 1 to " + LONGEST_REASON + " characters " + what);
        }
        return reason;
    }
}
