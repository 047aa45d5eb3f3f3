package lobrik.server.transfer;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.io.OutputStream;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Right;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.WireJson;
import org.hibernate.jpa.HibernateHints;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JsonGenerator;

/**
 * Everything that is kept about one trainee, as it is kept: the right of access; and the erasure of all of it. The parts are listed
 * once, so that a table that knows of a trainee and is missing here is missing in one place.
 */
@Service
class PersonFile {

    /** A part of the file: its name, and the rows that it has of a trainee. */
    private record Part(String name, String rows) {}

    private static final String OWN_ATTEMPTS = "(select id from attempt where trainee_id = :trainee)";

    private static final List<Part> PARTS = List.of(
            new Part(
                    "trainee",
                    "select t.*, c.name as cohort from trainee t join cohort c on c.id = t.cohort_id where t.id = :trainee"),
            new Part(
                    "groups",
                    "select g.name from trainee_group g join trainee_group_member m on m.group_id = g.id "
                            + "where m.trainee_id = :trainee"),
            new Part(
                    "enrolments",
                    "select c.name as cohort, e.bench, e.since, e.until from enrolment e join cohort c on c.id = e.cohort_id "
                            + "where e.trainee_id = :trainee order by e.since nulls first"),
            new Part(
                    "attendance",
                    "select s.on_day, s.begins, a.state, a.noted_at from attendance a join class_session s on s.id = a.session_id "
                            + "where a.trainee_id = :trainee order by s.on_day, s.begins"),
            new Part(
                    "absences",
                    "select first_day, last_day, reason from absence where trainee_id = :trainee order by first_day"),
            new Part(
                    "seats",
                    "select s.on_day, s.begins, t.bench, b.label as bender, t.by_hand from seat t "
                            + "join class_session s on s.id = t.session_id join bender b on b.id = t.bender_id "
                            + "where t.trainee_id = :trainee order by s.on_day, s.begins"),
            // That there is a wish is theirs; with whom is also somebody else's.
            new Part(
                    "keptApart",
                    "select count(*) as people from kept_apart where one_id = :trainee or other_id = :trainee having count(*) > 0"),
            new Part(
                    "conduitCut",
                    "select c.at, k.label as conduit, p.family, p.length_pm from cut_piece p join cutting c on c.id = p.cutting_id "
                            + "join conduit k on k.id = c.conduit_id where p.trainee_id = :trainee order by c.at"),
            new Part(
                    "assignments",
                    "select a.*, e.title, e.kind, e.conduit_label, e.bender_label, e.definition "
                            + "from assignment a join exercise e on e.id = a.exercise_id where a.trainee_id = :trainee order by a.given_at"),
            new Part(
                    "attempts",
                    "select a.*, b.said as judged_by from attempt a join basis b on b.id = a.basis_id "
                            + "where a.trainee_id = :trainee order by a.started_at"),
            new Part(
                    "readings",
                    "select r.*, a.full_name as taken_by_name from reading r join account a on a.id = r.taken_by "
                            + "where r.attempt_id in " + OWN_ATTEMPTS + " order by r.taken_at"),
            new Part("findings", "select * from bench_fact where attempt_id in " + OWN_ATTEMPTS + " order by taken_at"),
            new Part("steps", "select * from bench_step where attempt_id in " + OWN_ATTEMPTS + " order by set_at"),
            new Part("setAside", "select * from set_aside where attempt_id in " + OWN_ATTEMPTS + " order by set_at"),
            new Part("seals", "select * from seal where attempt_id in " + OWN_ATTEMPTS + " order by set_at"),
            new Part(
                    "photos",
                    "select id, attempt_id, about, note, width, height, taken_by, taken_at, said_at, device_ahead_ms, received_at,"
                            + " encode(content, 'base64') as content from photo where attempt_id in " + OWN_ATTEMPTS
                            + " order by taken_at"),
            new Part(
                    "photograph",
                    "select replace(encode(content, 'base64'), chr(10), '') as jpeg from portrait where id = :trainee"),
            new Part("outcomes", "select * from outcome where trainee_id = :trainee order by measured_at"),
            new Part("signOffs", "select * from sign_off where trainee_id = :trainee order by signed_at"),
            new Part(
                    "withdrawals",
                    "select w.* from sign_off_withdrawal w join sign_off s on s.id = w.sign_off_id "
                            + "where s.trainee_id = :trainee order by w.withdrawn_at"),
            new Part(
                    "account",
                    "select id, sign_in_name, full_name, unit, created_at, disabled_at from account where trainee_id = :trainee"),
            new Part(
                    "audit",
                    "select at, what, about, address, subject, changes, reason from audit where subject_id = :trainee"
                            + " or account_id in (select id from account where trainee_id = :trainee) order by entry_no"),
            new Part(
                    "keys",
                    "select id, made_at, ended_at from trainee_key where trainee_id = :trainee order by made_at"));

    private static final int FETCHED = 200;

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Clock clock;

    PersonFile(EntityManager entities, Cohorts cohorts, Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.clock = clock;
    }

    /** Writes everything about a trainee as one object, part by part. */
    @Transactional(readOnly = true)
    public void write(Trainee trainee, OutputStream to) {
        try (JsonGenerator json = WireJson.mapper().createGenerator(to)) {
            json.writeStartObject();
            json.writeStringProperty("format", "lobrik-person/1");
            json.writeStringProperty("written", clock.instant().toString());
            for (Part part : PARTS) {
                json.writeArrayPropertyStart(part.name());
                try (Stream<Tuple> rows = Rows.named(entities.createNativeQuery(
                                "select cast(row_to_json(x) as text) as written from (" + part.rows() + ") x",
                                Tuple.class)
                        .setParameter("trainee", trainee.id())
                        .setHint(HibernateHints.HINT_FETCH_SIZE, FETCHED))) {
                    rows.forEach(row -> json.writeRawValue(row.get("written", String.class)));
                }
                json.writeEndArray();
            }
            json.writeEndObject();
        }
    }

    /**
     * Erases a person: nothing with their name, and nothing that leads to it, is left. What the pieces came to stays without a
     * name, by month.
     *
     * @param name as the one who asks typed it, so that nobody is erased by a slip
     * @param bench as well, where somebody else of the cohort has the same name
     * @return how many pieces stay without a name
     * @throws TurnedDown unless a lead asks, with the right name and a reason
     */
    @Transactional
    public int erase(
            SignedIn who, UUID traineeId, UUID erasureId, String name, @Nullable Integer bench, String reason) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        if (!who.may(Right.LEAD)) {
            throw TurnedDown.forbidden("Only the centre lead may erase a person");
        }
        if (!trainee.fullName().equals(name.strip())) {
            throw TurnedDown.badInput("/fullName", "name-differs", "Type the full name exactly: " + trainee.fullName());
        }
        boolean shared = cohorts.trainees(who, trainee.cohortId()).stream()
                .anyMatch(other ->
                        !other.id().equals(traineeId) && other.fullName().equalsIgnoreCase(trainee.fullName()));
        if (shared && !Integer.valueOf(trainee.bench()).equals(bench)) {
            throw TurnedDown.badInput(
                    "/bench", "name-shared", "Somebody else has this name: give the bench of the one who is meant");
        }
        if (reason.isBlank()) {
            throw TurnedDown.badInput("/reason", "missing", "say why; no name belongs into it, for it stays");
        }
        if (reason.contains(trainee.fullName())) {
            throw TurnedDown.badInput("/reason", "name-in-reason", "leave the name out of the reason, for it stays");
        }
        entities.detach(trainee);
        return (Integer)
                entities.createNativeQuery("select erase_trainee(:trainee, :id, :who, :moment, :why)", Integer.class)
                        .setParameter("trainee", traineeId)
                        .setParameter("id", erasureId)
                        .setParameter("who", who.accountId())
                        .setParameter("moment", clock.instant())
                        .setParameter("why", reason.strip())
                        .getSingleResult();
    }
}
