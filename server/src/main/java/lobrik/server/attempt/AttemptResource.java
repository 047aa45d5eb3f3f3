package lobrik.server.attempt;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.calc.QuantityRequest.BareUnit;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.TurnedDown;
import lobrik.shape.FeatureId;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Measuring a piece. */
@RestController
@Tag(name = "attempts")
class AttemptResource {

    private static final int LONGEST_REASON = 200;

    /** At what a trainee was given; without an assignment, at what was given last. */
    record OpenAttempt(@Nullable UUID traineeId, @Nullable UUID assignmentId) {}

    /** A reading as typed; with what it corrects and why, if it corrects one. */
    record NewReading(
            @Nullable String feature,
            @Nullable String text,
            @Nullable BareUnit bare,
            @Nullable UUID corrects,
            @Nullable String reason) {}

    private final Attempts attempts;
    private final Cohorts cohorts;
    private final Accounts accounts;
    private final Calculations calculations;
    private final Clock clock;

    AttemptResource(Attempts attempts, Cohorts cohorts, Accounts accounts, Calculations calculations, Clock clock) {
        this.attempts = attempts;
        this.cohorts = cohorts;
        this.accounts = accounts;
        this.calculations = calculations;
        this.clock = clock;
    }

    @Operation(summary = "Open an attempt at what a trainee is on, or go on with the one that is not complete")
    @PutMapping("/api/attempts/{id}")
    AttemptView open(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody OpenAttempt request) {
        if (request.traineeId() == null) {
            throw TurnedDown.badInput("/traineeId", "missing", "name the trainee");
        }
        return view(who, attempts.open(who, id, request.traineeId(), request.assignmentId()));
    }

    @Operation(summary = "An attempt with its readings and its verdict")
    @GetMapping("/api/attempts/{id}")
    AttemptView get(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return view(who, attempts.get(who, id));
    }

    @Operation(summary = "Keep a reading under a key made by the client; repeating the request adds nothing")
    @PutMapping("/api/attempts/{id}/readings/{key}")
    AttemptView keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewReading request) {
        ReadingRow row = row(who, id, key, request);
        return view(who, attempts.keep(who, row));
    }

    private ReadingRow row(SignedIn who, UUID attemptId, UUID key, NewReading request) {
        FeatureId feature = FeatureId.withId(String.valueOf(request.feature()))
                .orElseThrow(() -> TurnedDown.badInput("/feature", "unknown-value", "name the feature that was read"));
        if (request.text() == null) {
            throw TurnedDown.badInput("/text", "missing", "give the reading");
        }
        String typed = request.text().strip();
        return new ReadingRow(
                key,
                attemptId,
                feature,
                value(feature, typed, request.bare()),
                typed,
                who.accountId(),
                clock.instant(),
                correction(request));
    }

    private static Quantity value(FeatureId feature, String typed, @Nullable BareUnit bare) {
        return switch (feature.kind()) {
            case LENGTH ->
                length(feature, typed, bare == BareUnit.MILLIMETRE ? LengthUnit.MILLIMETRE : LengthUnit.INCH);
            case ANGLE -> Angle.parse(typed);
        };
    }

    private static Length length(FeatureId feature, String typed, LengthUnit bare) {
        return feature.isSigned() ? Length.parseSigned(typed, bare) : Length.parse(typed, bare);
    }

    private static ReadingRow.@Nullable Correction correction(NewReading request) {
        if (request.corrects() == null) {
            return null;
        }
        String reason = request.reason() == null ? "" : request.reason().strip();
        if (reason.isEmpty() || reason.length() > LONGEST_REASON || reason.indexOf('\0') >= 0) {
            throw TurnedDown.badInput(
                    "/reason", "missing", "say in 1 to " + LONGEST_REASON + " characters why it is corrected");
        }
        return new ReadingRow.Correction(request.corrects(), reason);
    }

    private AttemptView view(SignedIn who, Attempts.Measured measured) {
        Trainee trainee = cohorts.trainee(who, measured.attempt().traineeId());
        Map<UUID, String> names = accounts.namesOf(
                measured.readings().stream().map(ReadingRow::takenBy).collect(Collectors.toSet()));
        return AttemptView.of(
                measured, trainee, calculations.plan(measured.verdict().question()), names);
    }
}
