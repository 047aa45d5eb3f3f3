package lobrik.server.transfer;

import java.util.List;
import java.util.Set;

/**
 * All that a school consists of, table by table, in an order in which each may be written down after what it refers to. A test holds
 * this list to the database: a table of a school that is in neither of the two lists, or a column that has no place in the file, fails it.
 */
final class SchoolTables {

    private static final String OF_SCHOOL = "centre_id = :school";
    private static final String COHORTS = "(select id from cohort where centre_id = :school)";
    private static final String TRAINEES =
            "(select t.id from trainee t join cohort c on c.id = t.cohort_id where c.centre_id = :school)";
    private static final String ATTEMPTS = "(select id from attempt where trainee_id in " + TRAINEES + ")";
    private static final String SESSIONS = "(select id from class_session where centre_id = :school)";

    /**
     * A table.
     *
     * @param of which rows are of a school, as a condition with the parameter {@code school}
     * @param order of its rows in a file: complete, so that the file is always the same; whatever a row refers to in its own table comes
     *     before it
     * @param picture a column whose bytes are a file of their own; empty if there is none
     * @param without columns that are not taken along
     */
    record Table(String name, String of, String order, String picture, Set<String> without) {

        private static Table of(String name, String of, String order) {
            return new Table(name, of, order, "", Set.of());
        }
    }

    static final List<Table> ALL = List.of(
            new Table("centre", "id = :school", "id", "logo", Set.of("replaced_by")),
            Table.of("cohort", OF_SCHOOL, "id"),
            Table.of("trainee", "cohort_id in " + COHORTS, "id"),
            new Table("portrait", "id in " + TRAINEES, "id", "content", Set.of()),
            new Table("account", OF_SCHOOL, "id", "", Set.of("password_hash")),
            Table.of("cohort_instructor", "cohort_id in " + COHORTS, "cohort_id, account_id"),
            Table.of("enrolment", "trainee_id in " + TRAINEES, "id"),
            Table.of("conduit", OF_SCHOOL, "id"),
            Table.of("bender", OF_SCHOOL, "id"),
            Table.of("bender_revision", "bender_id in (select id from bender where centre_id = :school)", "id"),
            Table.of("library_entry", OF_SCHOOL, "id"),
            Table.of(
                    "library_retirement",
                    "entry_id in (select id from library_entry where centre_id = :school)",
                    "entry_no"),
            Table.of("exercise", OF_SCHOOL, "created_at, variant_of is not null, id"),
            Table.of("giving", OF_SCHOOL, "entry_no"),
            Table.of("assignment", "trainee_id in " + TRAINEES, "entry_no"),
            Table.of("taken_back", "giving_id in (select id from giving where centre_id = :school)", "giving_id"),
            Table.of(
                    "taken_off",
                    "assignment_id in (select id from assignment where trainee_id in " + TRAINEES + ")",
                    "assignment_id"),
            Table.of("basis", "id in (select basis_id from attempt where trainee_id in " + TRAINEES + ")", "id"),
            Table.of("attempt", "trainee_id in " + TRAINEES, "entry_no"),
            Table.of("reading", "attempt_id in " + ATTEMPTS, "entry_no"),
            Table.of("bench_fact", "attempt_id in " + ATTEMPTS, "entry_no"),
            Table.of("bench_step", "attempt_id in " + ATTEMPTS, "entry_no"),
            Table.of("seal", "attempt_id in " + ATTEMPTS, "entry_no"),
            Table.of("set_aside", "attempt_id in " + ATTEMPTS, "record_id"),
            new Table("photo", "attempt_id in " + ATTEMPTS, "id", "content", Set.of()),
            Table.of("judging_preset", OF_SCHOOL, "id"),
            Table.of(
                    "judging_preset_version",
                    "preset_id in (select id from judging_preset where centre_id = :school)",
                    "preset_id, version"),
            Table.of("curriculum", OF_SCHOOL, "entry_no"),
            Table.of("run_rules", OF_SCHOOL, "entry_no"),
            Table.of("run_job", OF_SCHOOL, "entry_no"),
            Table.of("run_job_piece", "job_id in (select id from run_job where centre_id = :school)", "job_id, number"),
            Table.of("sign_off_rule", OF_SCHOOL, "entry_no"),
            Table.of("sign_off", "trainee_id in " + TRAINEES, "entry_no"),
            Table.of(
                    "sign_off_withdrawal",
                    "sign_off_id in (select id from sign_off where trainee_id in " + TRAINEES + ")",
                    "sign_off_id"),
            Table.of("trainee_group", "cohort_id in " + COHORTS, "id"),
            Table.of(
                    "trainee_group_member",
                    "group_id in (select id from trainee_group where cohort_id in " + COHORTS + ")",
                    "group_id, trainee_id"),
            Table.of("trainee_key", "trainee_id in " + TRAINEES, "id"),
            Table.of("room", OF_SCHOOL, "id"),
            Table.of("holiday", OF_SCHOOL, "id"),
            Table.of("class_session", OF_SCHOOL, "id"),
            Table.of("class_session_bench", "session_id in " + SESSIONS, "session_id, bench"),
            Table.of("class_session_bender", "session_id in " + SESSIONS, "session_id, bender_id"),
            Table.of("class_session_part", "session_id in " + SESSIONS, "id"),
            Table.of(
                    "class_session_part_trainee",
                    "part_id in (select id from class_session_part where session_id in " + SESSIONS + ")",
                    "part_id, trainee_id"),
            Table.of("seat", "session_id in " + SESSIONS, "session_id, trainee_id"),
            Table.of("absence", "trainee_id in " + TRAINEES, "id"),
            Table.of("attendance", "session_id in " + SESSIONS, "session_id, trainee_id"),
            Table.of("kept_apart", "one_id in " + TRAINEES, "one_id, other_id"),
            Table.of("calendar_feed", OF_SCHOOL, "id"),
            Table.of("cutting", OF_SCHOOL, "entry_no"),
            Table.of(
                    "cutting_undone", "cutting_id in (select id from cutting where centre_id = :school)", "cutting_id"),
            Table.of("cut_piece", "cutting_id in (select id from cutting where centre_id = :school)", "id"),
            Table.of("stock_entry", OF_SCHOOL, "entry_no"),
            Table.of("measuring_study", OF_SCHOOL, "id"),
            Table.of(
                    "measuring_study_reader",
                    "study_id in (select id from measuring_study where centre_id = :school)",
                    "study_id, account_id"),
            Table.of(
                    "study_figure", "study_id in (select id from measuring_study where centre_id = :school)", "at, id"),
            Table.of("reading_spread", OF_SCHOOL, "entry_no"),
            Table.of("anonymous_outcome", OF_SCHOOL, "id"),
            Table.of("erasure", OF_SCHOOL, "id"),
            Table.of("retention_rule", OF_SCHOOL, "kind"),
            Table.of("retention_run", OF_SCHOOL, "id"),
            Table.of("audit", OF_SCHOOL, "chain_no"));

    /**
     * What is not in the file: what is worked out anew ({@code outcome}, {@code follow_up}), what lets somebody in and does not leave a
     * server (passwords and all that is beside them), and what is the server's own.
     */
    static final Set<String> LEFT_OUT = Set.of(
            "outcome",
            "outcome_state",
            "follow_up",
            "second_factor",
            "recovery_code",
            "passkey",
            "known_device",
            "invitation",
            "spring_session",
            "spring_session_attributes",
            "bringing_in",
            "tried",
            "allowance",
            "passkey_question",
            "printing",
            "gauge_claim",
            "flyway_schema_history");

    private SchoolTables() {}
}
