package lobrik.server.rota;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.account.Account;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.rota.ClassSession.Arrangement;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The calendar of a school: rooms, holidays and sessions. */
@RestController
@Tag(name = "sessions")
class TimetableResource {

    private static final int MOST_DAYS = 400;

    /** A room, and whether it is offered no longer. */
    record RoomView(UUID id, String name, int benches, int places, boolean putAway, int edition) {}

    /** A room as it is to be. */
    record RoomToKeep(
            @Nullable Integer edition,
            @Nullable String name,
            @Nullable Integer benches,
            @Nullable Integer places,
            @Nullable Boolean putAway) {}

    /** Days on which the school is closed. */
    record HolidayView(UUID id, String name, LocalDate firstDay, LocalDate lastDay) {}

    /** Days on which it is to be closed. */
    record HolidayToKeep(
            @Nullable String name,
            @Nullable LocalDate firstDay,
            @Nullable LocalDate lastDay) {}

    /** Somebody who may hold sessions. */
    record TeacherName(UUID id, String fullName) {}

    /** What sessions are made of. */
    record TimetableSetting(List<RoomView> rooms, List<HolidayView> holidays, List<TeacherName> teachers) {}

    /**
     * A session, with what is in its way.
     *
     * @param from at what time it begins, by the clock of the school, as in {@code 08:30}
     * @param until at what time it ends
     * @param mine whether it is of a cohort that the one who asks belongs to
     * @param calledOff why, if it is
     * @param begunAt when its plan was given out
     * @param planned whether something is planned for it
     */
    record ClassSessionView(
            UUID id,
            UUID cohortId,
            String cohortName,
            boolean mine,
            @Nullable UUID seriesId,
            LocalDate day,
            String from,
            String until,
            @Nullable UUID roomId,
            @Nullable String roomName,
            @Nullable UUID instructorId,
            @Nullable String instructorName,
            List<Integer> benches,
            List<UUID> benders,
            String note,
            boolean beginsByItself,
            @Nullable String calledOff,
            @Nullable Instant begunAt,
            boolean planned,
            List<String> clashes,
            int edition) {}

    /** Some days of the calendar. */
    record TimetableView(LocalDate today, List<ClassSessionView> sessions) {}

    /** How often, and how long. */
    record RepeatInput(
            @Nullable Integer everyWeeks, @Nullable LocalDate until) {}

    /** When, where, with whom and with what. */
    record SessionInput(
            @Nullable UUID cohortId,
            @Nullable LocalDate day,
            @Nullable String from,
            @Nullable String until,
            @Nullable UUID roomId,
            @Nullable UUID instructorId,
            @Nullable List<Integer> benches,
            @Nullable List<UUID> benders,
            @Nullable String note,
            @Nullable Boolean beginsByItself) {}

    /** Sessions to look at before they are there. */
    record SessionsToCheck(
            @Nullable SessionInput session,
            @Nullable RepeatInput repeat,
            @Nullable UUID not) {}

    /** A day that one would be on. */
    record ProposedDay(LocalDate day, boolean holiday, List<String> clashes) {}

    /** Sessions to put into the calendar, one on each day. */
    record NewSessions(
            @Nullable SessionInput session, @Nullable List<LocalDate> days) {}

    /** A session as it is to be. */
    record SessionToKeep(
            @Nullable Integer edition,
            @Nullable SessionInput session,
            @Nullable Boolean following) {}

    /** Whether it is held. */
    record SessionHeld(
            @Nullable Integer edition,
            @Nullable Boolean held,
            @Nullable String reason,
            @Nullable Boolean following) {}

    private final Timetable timetable;
    private final Rooms rooms;
    private final Accounts accounts;
    private final SessionsSeen seen;

    TimetableResource(Timetable timetable, Rooms rooms, Accounts accounts, SessionsSeen seen) {
        this.timetable = timetable;
        this.rooms = rooms;
        this.accounts = accounts;
        this.seen = seen;
    }

    @Operation(summary = "Rooms, holidays, and who may hold sessions")
    @Needs(Right.READ)
    @GetMapping("/api/timetable/setting")
    TimetableSetting setting(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return new TimetableSetting(
                rooms.all(who).stream().map(TimetableResource::view).toList(),
                rooms.holidays(who).stream()
                        .map(each -> new HolidayView(each.id(), each.name(), each.firstDay(), each.lastDay()))
                        .toList(),
                accounts.whoMay(who.centreId(), Right.TEACH).stream()
                        .map(Account::signedIn)
                        .map(each -> new TeacherName(each.accountId(), each.fullName()))
                        .toList());
    }

    private static RoomView view(Room room) {
        return new RoomView(
                room.id(),
                room.name(),
                room.furniture().benches(),
                room.furniture().places(),
                room.isPutAway(),
                room.edition());
    }

    @Operation(summary = "Make a room under an id made by the client, or change it")
    @Needs(Right.LEAD)
    @PutMapping("/api/rooms/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepRoom(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody RoomToKeep room) {
        rooms.keep(
                who,
                id,
                Objects.requireNonNullElse(room.edition(), 0),
                Objects.requireNonNullElse(room.name(), ""),
                new Room.Furniture(
                        TurnedDown.required("/benches", room.benches()), TurnedDown.required("/places", room.places())),
                Boolean.TRUE.equals(room.putAway()));
    }

    @Operation(summary = "Close the school for some days, under an id made by the client")
    @Needs(Right.LEAD)
    @PutMapping("/api/holidays/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void close(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody HolidayToKeep holiday) {
        rooms.close(
                who,
                id,
                Objects.requireNonNullElse(holiday.name(), ""),
                TurnedDown.required("/firstDay", holiday.firstDay()),
                TurnedDown.required("/lastDay", holiday.lastDay()));
    }

    @Operation(summary = "Open the school again on the days of a holiday")
    @Needs(Right.LEAD)
    @DeleteMapping("/api/holidays/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void open(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        rooms.open(who, id);
    }

    @Operation(summary = "The sessions of the school on some days, 400 at most, with what is in the way of each")
    @Needs(Right.READ)
    @GetMapping("/api/class-sessions")
    TimetableView sessions(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam LocalDate first,
            @RequestParam LocalDate last) {
        if (last.isBefore(first) || last.isAfter(first.plusDays(MOST_DAYS))) {
            throw TurnedDown.badInput("/last", "out-of-range", "ask for 1 to " + MOST_DAYS + " days");
        }
        return seen.between(who, first, last);
    }

    @Operation(summary = "On which days a session would be, with what is in its way there; keeps nothing")
    @Needs(Right.TEACH)
    @PostMapping("/api/class-sessions/check")
    List<ProposedDay> check(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody SessionsToCheck check) {
        SessionInput session = TurnedDown.required("/session", check.session());
        return timetable
                .propose(
                        who,
                        TurnedDown.required("/session/cohortId", session.cohortId()),
                        arrangement(session),
                        check.repeat() == null
                                ? null
                                : new Timetable.Repeat(
                                        TurnedDown.required(
                                                "/repeat/everyWeeks",
                                                check.repeat().everyWeeks()),
                                        TurnedDown.required(
                                                "/repeat/until", check.repeat().until())),
                        check.not())
                .stream()
                .map(each -> new ProposedDay(each.arrangement().day(), each.isHoliday(), each.clashes()))
                .toList();
    }

    @Operation(summary = "Put sessions into the calendar under an id made by the client, one on each day")
    @Needs(Right.TEACH)
    @PutMapping("/api/class-sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void arrange(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewSessions wanted) {
        SessionInput session = TurnedDown.required("/session", wanted.session());
        timetable.arrange(
                who,
                id,
                TurnedDown.required("/session/cohortId", session.cohortId()),
                arrangement(session),
                TurnedDown.required("/days", wanted.days()));
    }

    @Operation(summary = "Change a session, or it and those of its series that follow")
    @Needs(Right.TEACH)
    @PutMapping("/api/class-sessions/{id}/arrangement")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody SessionToKeep wanted) {
        timetable.change(
                who,
                id,
                TurnedDown.required("/edition", wanted.edition()),
                arrangement(TurnedDown.required("/session", wanted.session())),
                reach(wanted.following()));
    }

    @Operation(summary = "Call a session off with a reason, or hold it after all")
    @Needs(Right.TEACH)
    @PutMapping("/api/class-sessions/{id}/held")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hold(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody SessionHeld wanted) {
        int edition = TurnedDown.required("/edition", wanted.edition());
        if (TurnedDown.required("/held", wanted.held())) {
            timetable.holdAfterAll(who, id, edition);
        } else {
            timetable.callOff(
                    who, id, edition, Objects.requireNonNullElse(wanted.reason(), ""), reach(wanted.following()));
        }
    }

    @Operation(summary = "Take a session out of the calendar that was put there by mistake")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/class-sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean following) {
        timetable.remove(who, id, reach(following));
    }

    private static Timetable.Reach reach(@Nullable Boolean following) {
        return Boolean.TRUE.equals(following) ? Timetable.Reach.FROM_HERE : Timetable.Reach.THIS;
    }

    private static Arrangement arrangement(SessionInput session) {
        boolean byItself = Boolean.TRUE.equals(session.beginsByItself());
        if (byItself && session.instructorId() == null) {
            throw TurnedDown.badInput(
                    "/session/instructorId", "missing", "say who holds it: it begins by itself in their name");
        }
        return new Arrangement(
                TurnedDown.required("/session/day", session.day()),
                time("/session/from", session.from()),
                time("/session/until", session.until()),
                session.roomId(),
                session.instructorId(),
                new HashSet<>(Objects.requireNonNullElse(session.benches(), List.of())),
                new HashSet<>(Objects.requireNonNullElse(session.benders(), List.of())),
                Objects.requireNonNullElse(session.note(), "").strip(),
                byItself);
    }

    private static LocalTime time(String pointer, @Nullable String given) {
        try {
            return LocalTime.parse(TurnedDown.required(pointer, given))
                    .withSecond(0)
                    .withNano(0);
        } catch (DateTimeParseException e) {
            throw TurnedDown.badInput(pointer, "malformed", "give hours and minutes, as in 08:30");
        }
    }
}
