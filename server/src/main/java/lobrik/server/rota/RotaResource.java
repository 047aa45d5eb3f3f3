package lobrik.server.rota;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.IntStream;
import lobrik.rota.RotaCheck;
import lobrik.rota.RotaWords;
import lobrik.rota.Seat;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.shed.Bender;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who of a cohort sits where, who is there, and who does not share a bench. */
@RestController
@Tag(name = "sessions")
class RotaResource {

    private static final int MOST_SEATS = 20_000;

    /** A bender of the rota. */
    record RotaBender(UUID id, String label) {}

    /** A session of the rota; of one that is over nothing is changed any more. */
    record RotaSession(UUID id, LocalDate day, String from, boolean over, List<Integer> benches, List<UUID> benders) {}

    /**
     * A seat.
     *
     * @param byHand whether it stays when the rota is worked out again
     * @param why in words
     */
    record SeatView(UUID sessionId, int bench, UUID benderId, boolean byHand, String why) {}

    /**
     * Somebody with their seats.
     *
     * @param away sessions that they will not be at, or were not at
     * @param turns how often they have each bender, in the order of the benders
     */
    record RotaPerson(
            UUID traineeId, String fullName, int bench, List<SeatView> seats, List<UUID> away, List<Integer> turns) {}

    /**
     * A rota with what it comes to.
     *
     * @param clashes what must not be, as sentences without their full stop
     * @param unevenness 0 where nobody could have the benders more evenly
     * @param spread the most turns that anybody has more on one bender than on another
     * @param repeated how often somebody has the same bender twice running
     * @param seatless how many places in sessions to come have nobody seated yet
     */
    record RotaView(
            UUID cohortId,
            List<RotaBender> benders,
            List<RotaSession> sessions,
            List<RotaPerson> people,
            List<String> clashes,
            int unevenness,
            int spread,
            int repeated,
            int seatless) {}

    /** A seat that was worked out, to be kept. */
    record SeatToKeep(
            @Nullable UUID sessionId,
            @Nullable UUID traineeId,
            @Nullable Integer bench,
            @Nullable UUID benderId) {}

    /** Seats that were worked out, to be kept. */
    record SeatsToKeep(@Nullable List<SeatToKeep> seats) {}

    /** A bench and a bender. */
    record SeatPlace(@Nullable Integer bench, @Nullable UUID benderId) {}

    /** Where somebody sits by hand from now on, and where they sat when it was decided; null for nowhere in particular. */
    record SeatByHand(@Nullable SeatPlace seen, @Nullable SeatPlace place) {}

    /** Whether somebody was there; null takes it back. */
    record AttendanceNote(Attendance.@Nullable State state) {}

    /** How often somebody was there, or was not. */
    record AttendanceCount(long here, long late, long excused, long away) {}

    /** Days on which somebody will not be there. */
    record AbsenceView(UUID id, UUID traineeId, LocalDate firstDay, LocalDate lastDay, String reason) {}

    /** The same, to be noted. */
    record AbsenceToKeep(
            @Nullable UUID traineeId,
            @Nullable LocalDate firstDay,
            @Nullable LocalDate lastDay,
            @Nullable String reason) {}

    /** Two who do not share a bench. */
    record ApartView(UUID oneId, UUID otherId) {}

    /** What is asked of a rota beside its sessions. */
    record RotaWishes(List<AbsenceView> absences, List<ApartView> apart) {}

    /** Whether two are kept apart. */
    record ApartToKeep(
            @Nullable UUID oneId,
            @Nullable UUID otherId,
            @Nullable Boolean apart) {}

    private final Seating seating;
    private final Presence presence;
    private final RotaSolver solver;

    RotaResource(Seating seating, Presence presence, RotaSolver solver) {
        this.seating = seating;
        this.presence = presence;
        this.solver = solver;
    }

    @Operation(summary = "Who of a cohort sits where, in its last sessions and those to come")
    @Needs(Right.READ)
    @GetMapping("/api/rota/{cohortId}")
    RotaView rota(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID cohortId) {
        return view(seating.of(who, cohortId));
    }

    @Operation(
            summary = "Work out who sits where in the sessions to come; keeps nothing",
            description = "Takes some seconds. What was set by hand stays.")
    @Needs(Right.TEACH)
    @PostMapping("/api/rota/{cohortId}/proposal")
    RotaView propose(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID cohortId) {
        Seating.Table table = seating.of(who, cohortId);
        return view(table.with(solver.solve(table.rota())));
    }

    @Operation(summary = "Keep seats that were worked out; what was set by hand stays")
    @Needs(Right.TEACH)
    @PutMapping("/api/rota/{cohortId}")
    RotaView keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID cohortId,
            @RequestBody SeatsToKeep wanted) {
        List<SeatToKeep> seats = Objects.requireNonNullElse(wanted.seats(), List.of());
        if (seats.size() > MOST_SEATS) {
            throw TurnedDown.badInput("/seats", "out-of-range", "these are too many seats");
        }
        seating.keep(
                who,
                cohortId,
                seats.stream()
                        .map(seat -> new Seating.Chosen(
                                TurnedDown.required("/seats", seat.sessionId()),
                                TurnedDown.required("/seats", seat.traineeId()),
                                TurnedDown.required("/seats", seat.bench()),
                                TurnedDown.required("/seats", seat.benderId())))
                        .toList());
        return rota(who, cohortId);
    }

    @Operation(summary = "Seat somebody by hand, or let go of that")
    @Needs(Right.TEACH)
    @PutMapping("/api/class-sessions/{id}/seats/{traineeId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seat(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID traineeId,
            @RequestBody SeatByHand wanted) {
        seating.seat(who, id, traineeId, place(wanted.seen()), place(wanted.place()));
    }

    private static Seating.@Nullable Place place(@Nullable SeatPlace given) {
        return given == null
                ? null
                : new Seating.Place(
                        TurnedDown.required("/place/bench", given.bench()),
                        TurnedDown.required("/place/benderId", given.benderId()));
    }

    @Operation(summary = "Note whether somebody is at a session")
    @Needs(Right.MEASURE)
    @PutMapping("/api/class-sessions/{id}/attendance/{traineeId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void attend(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID traineeId,
            @RequestBody AttendanceNote note) {
        presence.note(who, id, traineeId, note.state());
    }

    @Operation(summary = "How often somebody was noted as there, late, excused and away")
    @Needs(Right.READ)
    @GetMapping("/api/trainees/{id}/attendance")
    AttendanceCount attendance(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        Map<Attendance.State, Long> counted = presence.counted(who, id);
        return new AttendanceCount(
                counted.getOrDefault(Attendance.State.HERE, 0L),
                counted.getOrDefault(Attendance.State.LATE, 0L),
                counted.getOrDefault(Attendance.State.EXCUSED, 0L),
                counted.getOrDefault(Attendance.State.AWAY, 0L));
    }

    @Operation(summary = "Who of a cohort will not be there, and who does not share a bench")
    @Needs(Right.READ)
    @GetMapping("/api/rota/{cohortId}/wishes")
    RotaWishes wishes(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID cohortId) {
        return new RotaWishes(
                presence.absences(who, cohortId).stream()
                        .map(each -> new AbsenceView(
                                each.id(), each.traineeId(), each.firstDay(), each.lastDay(), each.reason()))
                        .toList(),
                presence.apart(who, cohortId).stream()
                        .map(pair -> new ApartView(pair.oneId(), pair.otherId()))
                        .toList());
    }

    @Operation(summary = "Note beforehand that somebody will not be there, under an id made by the client")
    @Needs(Right.TEACH)
    @PutMapping("/api/absences/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void willBeAway(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody AbsenceToKeep absence) {
        presence.willBeAway(
                who,
                id,
                TurnedDown.required("/traineeId", absence.traineeId()),
                TurnedDown.required("/firstDay", absence.firstDay()),
                TurnedDown.required("/lastDay", absence.lastDay()),
                Objects.requireNonNullElse(absence.reason(), ""));
    }

    @Operation(summary = "Somebody will be there after all")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/absences/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void willBeThere(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        presence.willBeThere(who, id);
    }

    @Operation(summary = "Keep two from sharing a bench, or let them again")
    @Needs(Right.TEACH)
    @PutMapping("/api/kept-apart")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepApart(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody ApartToKeep pair) {
        presence.keepApart(
                who,
                TurnedDown.required("/oneId", pair.oneId()),
                TurnedDown.required("/otherId", pair.otherId()),
                TurnedDown.required("/apart", pair.apart()));
    }

    private RotaView view(Seating.Table table) {
        RotaCheck check = RotaCheck.of(table.rota(), table.plan());
        RotaWords words = new RotaWords(
                table.people().stream().map(Trainee::fullName).toList(),
                table.benders().stream().map(Bender::label).toList(),
                table.sessions().stream().map(session -> "On " + session.day()).toList());
        return new RotaView(
                table.cohort().id(),
                table.benders().stream()
                        .map(bender -> new RotaBender(bender.id(), bender.label()))
                        .toList(),
                sessions(table),
                people(table, check, words),
                // Whoever has no seat yet is counted, not named one by one: that is what working it out is for.
                check.clashes().stream()
                        .filter(clash -> !(clash instanceof RotaCheck.NoSeat))
                        .map(clash -> words.clash(table.rota(), clash))
                        .toList(),
                check.uneven(),
                IntStream.range(0, table.people().size())
                        .map(check::spread)
                        .max()
                        .orElse(0),
                check.repeated(),
                (int) check.clashes().stream()
                        .filter(RotaCheck.NoSeat.class::isInstance)
                        .count());
    }

    private List<RotaSession> sessions(Seating.Table table) {
        return table.sessions().stream()
                .map(session -> new RotaSession(
                        session.id(),
                        session.day(),
                        session.begins().toString(),
                        seating.isOver(session),
                        session.arrangement().benches().stream().sorted().toList(),
                        session.arrangement().benders().stream().sorted().toList()))
                .toList();
    }

    private static List<RotaPerson> people(Seating.Table table, RotaCheck check, RotaWords words) {
        List<RotaPerson> people = new ArrayList<>();
        for (int person = 0; person < table.people().size(); person++) {
            Trainee trainee = table.people().get(person);
            List<SeatView> seats = new ArrayList<>();
            List<UUID> away = new ArrayList<>();
            for (int number = 0; number < table.sessions().size(); number++) {
                UUID session = table.sessions().get(number).id();
                Seat seat = table.plan().of(number, person).orElse(null);
                if (seat != null) {
                    seats.add(new SeatView(
                            session,
                            seat.bench(),
                            table.benders().get(seat.bender()).id(),
                            table.byHand().contains(new InSession(session, trainee.id())),
                            words.why(table.rota(), table.plan(), number, person)));
                }
                if (!table.rota().sittings().get(number).present().contains(person)) {
                    away.add(session);
                }
            }
            people.add(new RotaPerson(
                    trainee.id(),
                    trainee.fullName(),
                    trainee.bench(),
                    seats,
                    away,
                    check.turns().get(person)));
        }
        return people;
    }
}
