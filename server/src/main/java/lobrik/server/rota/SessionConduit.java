package lobrik.server.rota;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import lobrik.exercise.ConduitPlan;
import lobrik.layout.RunLimits;
import lobrik.measure.Length;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Givings;
import lobrik.server.stock.Stockroom;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What a planned session takes from the rack. */
@Component
class SessionConduit {

    /**
     * Of one kind of conduit.
     *
     * @param newSticks that are begun, after left-overs
     * @param leftOvers that are cut up
     * @param onRack whole sticks that are there; null where nothing is kept of it
     * @param isEnough whether there are enough
     */
    record ConduitTaken(
            String conduitLabel,
            int pieces,
            double inPiecesIn,
            int newSticks,
            int leftOvers,
            @Nullable Integer onRack,
            boolean isEnough) {}

    private final SessionPlans plans;
    private final Timetable timetable;
    private final Presence presence;
    private final Cohorts cohorts;
    private final Library library;
    private final Givings givings;
    private final Stockroom stockroom;

    SessionConduit(
            SessionPlans plans,
            Timetable timetable,
            Presence presence,
            Cohorts cohorts,
            Library library,
            Givings givings,
            Stockroom stockroom) {
        this.plans = plans;
        this.timetable = timetable;
        this.presence = presence;
        this.cohorts = cohorts;
        this.library = library;
        this.givings = givings;
        this.stockroom = stockroom;
    }

    /** By conduit; of those who are not known to be away. */
    @Transactional(readOnly = true)
    public List<ConduitTaken> of(SignedIn who, UUID sessionId) {
        ClassSession session = timetable.session(who, sessionId);
        List<Trainee> people = cohorts.trainees(who, session.cohortId());
        Presence.Known known = presence.of(people, List.of(session));
        Map<String, List<Length>> pieces = new TreeMap<>();
        for (SessionPart part : plans.of(who, sessionId)) {
            Exercise exercise = library.newest(who, part.entryId());
            Set<UUID> theirs = part.trainees();
            List<Trainee> there = people.stream()
                    .filter(trainee -> theirs.contains(trainee.id()) && !known.isAway(session, trainee.id()))
                    .toList();
            pieces.computeIfAbsent(exercise.conduitLabel(), _ -> new ArrayList<>())
                    .addAll(givings.pieces(exercise, part.isVaried(), there));
        }
        List<ConduitTaken> taken = new ArrayList<>();
        pieces.forEach((label, lengths) -> taken.add(taken(who, label, lengths)));
        return taken;
    }

    private ConduitTaken taken(SignedIn who, String label, List<Length> lengths) {
        Stockroom.OnRack rack = stockroom.called(who.centreId(), label).orElse(null);
        Length stick = rack == null
                ? RunLimits.USUAL.stick()
                : rack.conduit().keeping().stick();
        // What is longer than a stick is joined, and cut as whoever bends it divides it.
        List<Length> fitting =
                lengths.stream().filter(each -> !each.isMoreThan(stick)).toList();
        ConduitPlan plan =
                rack == null ? ConduitPlan.of(fitting, stick, ConduitPlan.USUAL_KERF) : Stockroom.plan(rack, fitting);
        return new ConduitTaken(
                label,
                lengths.size(),
                lengths.stream().reduce(Length.ZERO, Length::plus).inches(),
                plan.newSticks(),
                plan.sticks().size() - plan.newSticks(),
                rack == null ? null : rack.sticks(),
                rack == null || rack.sticks() >= plan.newSticks());
    }
}
