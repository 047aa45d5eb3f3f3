package lobrik.server.rota;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Library;
import lobrik.server.platform.Guesses;
import lobrik.server.platform.Needs;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.PublicAddress;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.progress.Planning;
import net.fortuna.ical4j.data.CalendarOutputter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is bent in a session and who is there, and sessions as a calendar. */
@RestController
@Tag(name = "sessions")
class SessionPlanResource {

    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    /** An exercise that some bend. */
    record SessionPartView(UUID entryId, String title, boolean varied, List<UUID> traineeIds) {}

    /**
     * Somebody of the cohort at a session.
     *
     * @param state whether they are there, as was noted or said beforehand; null where nobody knows
     * @param noted whether it was noted at the session
     * @param bench of their seat; their own where they have none
     * @param benderId of their seat, if they have one
     */
    record Attending(
            UUID traineeId,
            String fullName,
            int bench,
            @Nullable UUID benderId,
            Attendance.@Nullable State state,
            boolean noted) {}

    /** A session from close by. */
    record SessionSheet(UUID id, int edition, List<SessionPartView> plan, List<Attending> people) {}

    /** What is to be bent; an exercise each. */
    record SessionPlanPart(
            @Nullable UUID entryId,
            @Nullable List<UUID> traineeIds,
            @Nullable Boolean varied) {}

    /** The plan of a session. */
    record SessionPlanToKeep(
            @Nullable Integer edition, @Nullable List<SessionPlanPart> parts) {}

    /** What was given out. */
    record SessionBegun(List<UUID> givings) {}

    /** An address that a calendar reads; whose sessions it has is in words. */
    record CalendarFeedView(UUID id, String of, Instant madeAt) {}

    /** A cohort whose sessions the calendar has; one's own if null. */
    record NewCalendarFeed(@Nullable UUID cohortId) {}

    /** The address, told this once. */
    record CalendarAddress(UUID id, String address) {}

    private final Timetable timetable;
    private final SessionPlans plans;
    private final Presence presence;
    private final Seating seating;
    private final Cohorts cohorts;
    private final Library library;
    private final SessionConduit conduit;
    private final CalendarFeeds feeds;
    private final Guesses guesses;
    private final PublicAddress address;

    SessionPlanResource(
            Timetable timetable,
            SessionPlans plans,
            Presence presence,
            Seating seating,
            Cohorts cohorts,
            Library library,
            SessionConduit conduit,
            CalendarFeeds feeds,
            Guesses guesses,
            PublicAddress address) {
        this.timetable = timetable;
        this.plans = plans;
        this.presence = presence;
        this.seating = seating;
        this.cohorts = cohorts;
        this.library = library;
        this.conduit = conduit;
        this.feeds = feeds;
        this.guesses = guesses;
        this.address = address;
    }

    @Operation(summary = "A session from close by: what is planned, who is there and where they sit")
    @Needs(Right.READ)
    @GetMapping("/api/class-sessions/{id}")
    SessionSheet sheet(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        ClassSession session = timetable.session(who, id);
        List<Trainee> people = cohorts.trainees(who, session.cohortId());
        Presence.Known known = presence.of(people, List.of(session));
        Map<UUID, SeatRow> seats = seating.of(session);
        return new SessionSheet(
                id,
                session.edition(),
                plans.of(who, id).stream()
                        .map(part -> new SessionPartView(
                                part.entryId(),
                                library.newest(who, part.entryId()).title(),
                                part.isVaried(),
                                part.trainees().stream().sorted().toList()))
                        .toList(),
                people.stream()
                        .map(trainee -> attending(session, trainee, known, seats.get(trainee.id())))
                        .toList());
    }

    private static Attending attending(
            ClassSession session, Trainee trainee, Presence.Known known, @Nullable SeatRow seat) {
        return new Attending(
                trainee.id(),
                trainee.fullName(),
                seat == null ? trainee.bench() : seat.bench(),
                seat == null ? null : seat.benderId(),
                known.of(session, trainee.id()).orElse(null),
                known.isNoted(session, trainee.id()));
    }

    @Operation(summary = "Plan what is bent in a session; nothing if there are no parts")
    @Needs(Right.TEACH)
    @PutMapping("/api/class-sessions/{id}/plan")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void plan(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody SessionPlanToKeep wanted) {
        plans.plan(
                who,
                id,
                TurnedDown.required("/edition", wanted.edition()),
                TurnedDown.required("/parts", wanted.parts()).stream()
                        .map(part -> new Planning.Part(
                                TurnedDown.required("/parts", part.entryId()),
                                List.copyOf(Objects.requireNonNullElse(part.traineeIds(), List.of())),
                                Boolean.TRUE.equals(part.varied())))
                        .toList());
    }

    @Operation(summary = "What a planned session takes from the rack, by conduit")
    @Needs(Right.READ)
    @GetMapping("/api/class-sessions/{id}/conduit")
    List<SessionConduit.ConduitTaken> conduit(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return conduit.of(who, id);
    }

    @Operation(
            summary =
                    "Begin a session: what is planned is given out to those who are there; repeating it gives nothing")
    @Needs(Right.TEACH)
    @PutMapping("/api/class-sessions/{id}/begun")
    SessionBegun begin(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return new SessionBegun(plans.begin(who, id));
    }

    @Operation(summary = "The addresses that one made for calendars")
    @Needs(Right.READ)
    @GetMapping("/api/calendar-feeds")
    List<CalendarFeedView> feeds(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        Map<UUID, String> names = cohorts.visibleTo(who).stream().collect(Collectors.toMap(Cohort::id, Cohort::name));
        return feeds.madeBy(who).stream()
                .map(feed -> new CalendarFeedView(
                        feed.id(),
                        feed.cohortId() == null ? "your sessions" : names.getOrDefault(feed.cohortId(), "a cohort"),
                        feed.madeAt()))
                .toList();
    }

    @Operation(
            summary = "Make an address that a calendar reads one's sessions at, or those of a cohort; told this once")
    @Needs(Right.READ)
    @PostMapping("/api/calendar-feeds")
    CalendarAddress makeFeed(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody NewCalendarFeed wanted) {
        UUID id = UUID.randomUUID();
        return new CalendarAddress(id, address.base() + "/api/calendars/" + feeds.make(who, id, wanted.cohortId()));
    }

    @Operation(summary = "End such an address")
    @Needs(Right.READ)
    @DeleteMapping("/api/calendar-feeds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endFeed(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        feeds.end(who, id);
    }

    @Operation(summary = "Sessions as a calendar (RFC 5545), for whoever has its address")
    @NeedsNoAccount
    @GetMapping("/api/calendars/{key}")
    ResponseEntity<String> calendar(@PathVariable String key, HttpServletRequest request) throws IOException {
        StringWriter text = new StringWriter();
        new CalendarOutputter(false).output(guesses.ask(request.getRemoteAddr(), key, () -> feeds.read(key)), text);
        return ResponseEntity.ok().contentType(CALENDAR).body(text.toString());
    }
}
