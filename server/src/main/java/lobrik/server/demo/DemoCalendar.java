package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Days;
import lobrik.server.rota.Attendance.State;
import lobrik.server.rota.CalendarContents;

/**
 * The calendar of the made-up school: the sessions that the pieces were bent in, with who was there, and those of the coming weeks.
 * Everybody sits at their own bench. In what was, all shared the bender that the record tells of; in what is to come they have
 * several, and those of some cohorts have been dealt out.
 */
final class DemoCalendar {

    /** Of its own, so that what else is drawn stays what it is. */
    private static final long SEED = 20_261_201;

    private static final int WEEKS_AHEAD = 6;
    private static final int DAYS_OF_A_WEEK = 7;
    private static final int BENCHES = 14;

    /** The room and the time of a cohort, the same each week. */
    enum Hours {
        MORNING("Long bay", LocalTime.of(8, 30), LocalTime.of(11, 45)),
        AFTERNOON("Long bay", LocalTime.of(13, 0), LocalTime.of(16, 15)),
        BACK("Back bay", LocalTime.of(16, 30), LocalTime.of(17, 45)),
        EVENING("Back bay", LocalTime.of(18, 0), LocalTime.of(20, 30)),
        HEAT("Heat corner", LocalTime.of(18, 0), LocalTime.of(20, 30));

        private final String room;
        private final LocalTime begins;
        private final LocalTime ends;

        Hours(String room, LocalTime begins, LocalTime ends) {
            this.room = room;
            this.begins = begins;
            this.ends = ends;
        }
    }

    /** Whom it is about, who teaches them, and when and on what they bend. */
    record Course(List<Trainee> people, UUID instructor, Hours hours, List<UUID> benders) {}

    private final CalendarContents contents;
    private final Ids ids =
            new Ids(RandomGeneratorFactory.of("L64X128MixRandom").create(SEED));
    private final List<UUID> rooms = List.of(ids.next(), ids.next(), ids.next());
    private final Instant now;

    DemoCalendar(EntityManager entities, UUID centreId, Instant now) {
        this.contents = new CalendarContents(entities, centreId);
        this.now = now;
    }

    /** The rooms, and a day of the coming weeks on which the school is closed. */
    void open() {
        contents.room(rooms.get(0), Hours.MORNING.room, BENCHES, 1);
        contents.room(rooms.get(1), Hours.BACK.room, BENCHES, 1);
        contents.room(rooms.get(2), Hours.HEAT.room, BENCHES, 1);
        LocalDate closed = Days.of(now).plusDays(WEEKS_AHEAD * DAYS_OF_A_WEEK + 3L);
        contents.holiday(ids.next(), "Slipway fair", closed, closed.plusDays(1));
    }

    private UUID room(Hours hours) {
        return switch (hours) {
            case MORNING, AFTERNOON -> rooms.get(0);
            case BACK, EVENING -> rooms.get(1);
            case HEAT -> rooms.get(2);
        };
    }

    /** Somebody has said that they will not be there in a week. */
    void awayInAWeek(Trainee trainee, String reason, UUID instructor) {
        contents.absent(ids.next(), trainee.id(), Days.of(now).plusDays(DAYS_OF_A_WEEK), reason, instructor);
    }

    /** The weeks of a cohort. */
    final class Term {

        private final Course course;
        private final UUID series = ids.next();
        private int held;

        private Term(Course course) {
            this.course = course;
        }

        private CalendarContents.Slot slot() {
            Hours hours = course.hours();
            return new CalendarContents.Slot(
                    course.people().getFirst().cohortId(),
                    series,
                    hours.begins,
                    hours.ends,
                    room(hours),
                    course.instructor(),
                    IntStream.rangeClosed(1, BENCHES).boxed().collect(Collectors.toSet()));
        }

        /**
         * A session that was, or that is going on.
         *
         * @param benderId that all of them shared
         * @param away who was not there
         */
        void held(int daysAgo, Instant start, UUID benderId, Set<UUID> away) {
            UUID id = ids.next();
            contents.session(id, slot(), Days.of(now).minusDays(daysAgo), Set.of(benderId), start, start);
            for (Trainee trainee : course.people()) {
                boolean there = !away.contains(trainee.id());
                if (daysAgo > 0) {
                    // Every third excuses themselves.
                    State absent = held++ % 3 == 0 ? State.EXCUSED : State.AWAY;
                    contents.noted(id, trainee.id(), there ? State.HERE : absent, course.instructor(), start);
                }
                if (there) {
                    contents.seat(id, trainee.id(), trainee.bench(), benderId);
                }
            }
        }

        /**
         * Those of the coming weeks.
         *
         * @param sessionsAWeek as before
         * @param seated whether the benders have been dealt out
         */
        void toCome(int sessionsAWeek, boolean seated) {
            for (int session = 1; session <= WEEKS_AHEAD * sessionsAWeek; session++) {
                UUID id = ids.next();
                LocalDate day = Days.of(now).plusDays((long) session * DAYS_OF_A_WEEK / sessionsAWeek);
                contents.session(id, slot(), day, new HashSet<>(course.benders()), null, now);
                for (int i = 0; seated && i < course.people().size(); i++) {
                    Trainee trainee = course.people().get(i);
                    UUID bender = course.benders()
                            .get((i + session) % course.benders().size());
                    contents.seat(id, trainee.id(), trainee.bench(), bender);
                }
            }
        }
    }

    Term term(Course course) {
        return new Term(course);
    }
}
