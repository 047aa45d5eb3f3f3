package lobrik.server.rota;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.cohort.Cohort;
import lobrik.server.rota.ClassSession.Arrangement;
import lobrik.server.shed.Bender;
import lobrik.server.shed.BenderState;
import org.jspecify.annotations.Nullable;

/** Where sessions get in one another's way, or in that of the year. */
final class Clashes {

    /** A session that is held, with how it is arranged. */
    private record Held(UUID id, UUID cohortId, Arrangement arrangement) {}

    private final Map<LocalDate, List<Held>> held;
    private final List<Holiday> holidays;
    private final Map<UUID, String> cohorts;
    private final Map<UUID, String> rooms;
    private final Map<UUID, String> people;
    private final Map<UUID, Bender> benders;

    Clashes(
            List<ClassSession> sessions,
            List<Holiday> holidays,
            Map<UUID, String> cohorts,
            Map<UUID, String> rooms,
            Map<UUID, String> people,
            Map<UUID, Bender> benders) {
        this.held = sessions.stream()
                .filter(session -> !session.isCalledOff())
                .map(session -> new Held(session.id(), session.cohortId(), session.arrangement()))
                .collect(Collectors.groupingBy(each -> each.arrangement().day()));
        this.holidays = holidays;
        this.cohorts = cohorts;
        this.rooms = rooms;
        this.people = people;
        this.benders = benders;
    }

    boolean isHoliday(LocalDate day) {
        return holidays.stream().anyMatch(holiday -> holiday.isOn(day));
    }

    /**
     * What is in the way of a session, each as a sentence without its full stop.
     *
     * @param not the session itself, where it is in the calendar already
     */
    List<String> of(Cohort cohort, Arrangement wanted, @Nullable UUID not) {
        List<String> found = new ArrayList<>(ofTheYear(wanted));
        if (cohort.beginsOn() != null && wanted.day().isBefore(cohort.beginsOn())) {
            found.add(cohort.name() + " begins on " + cohort.beginsOn());
        }
        if (cohort.isOver(wanted.day())) {
            found.add(cohort.name() + " ends on " + cohort.endsOn());
        }
        found.addAll(withOthers(cohort.id(), wanted, not));
        return found;
    }

    /** What is in the way of a session of the calendar, but for the dates of its cohort. */
    List<String> of(ClassSession session) {
        List<String> found = new ArrayList<>(ofTheYear(session.arrangement()));
        found.addAll(withOthers(session.cohortId(), session.arrangement(), session.id()));
        return found;
    }

    private List<String> ofTheYear(Arrangement wanted) {
        List<String> found = new ArrayList<>();
        holidays.stream()
                .filter(holiday -> holiday.isOn(wanted.day()))
                .forEach(holiday -> found.add("The school is closed: " + holiday.name()));
        wanted.benders().stream()
                .map(benders::get)
                .filter(bender -> bender != null && bender.state() == BenderState.OUT)
                .map(bender -> bender.label() + " is out of use")
                .sorted()
                .forEach(found::add);
        return found;
    }

    private List<String> withOthers(UUID cohortId, Arrangement wanted, @Nullable UUID not) {
        List<String> found = new ArrayList<>();
        for (Held other : held.getOrDefault(wanted.day(), List.of())) {
            Arrangement there = other.arrangement();
            if (other.id().equals(not) || !there.overlaps(wanted)) {
                continue;
            }
            String meets = cohorts.getOrDefault(other.cohortId(), "another cohort") + " at " + there.begins();
            if (other.cohortId().equals(cohortId)) {
                found.add("They have another session at " + there.begins());
            }
            UUID instructor = wanted.instructorId();
            if (instructor != null && instructor.equals(there.instructorId())) {
                found.add(people.getOrDefault(instructor, "The instructor") + " is with " + meets);
            }
            UUID room = wanted.roomId();
            Set<Integer> benches = new TreeSet<>(wanted.benches());
            benches.retainAll(there.benches());
            if (room != null && room.equals(there.roomId()) && !benches.isEmpty()) {
                found.add(rooms.getOrDefault(room, "The room") + ", " + benches(benches) + ": " + meets);
            }
            Set<UUID> shared = new TreeSet<>(wanted.benders());
            shared.retainAll(there.benders());
            shared.stream()
                    .map(benders::get)
                    .filter(bender -> bender != null)
                    .map(bender -> bender.label() + " is with " + meets)
                    .sorted()
                    .forEach(found::add);
        }
        return found;
    }

    /** As in “benches 1–4, 6”. */
    private static String benches(Set<Integer> benches) {
        List<String> parts = new ArrayList<>();
        Integer first = null;
        for (int bench : new TreeSet<>(benches)) {
            if (!benches.contains(bench - 1)) {
                first = bench;
            }
            if (!benches.contains(bench + 1)) {
                parts.add(first == null || first == bench ? String.valueOf(bench) : first + "–" + bench);
            }
        }
        return (benches.size() == 1 ? "bench " : "benches ") + String.join(", ", parts);
    }
}
