-- Rows of a school are shown to, and taken from, whoever works for that school: the application says for which it works
-- (lobrik.school: the id of one, * for what concerns them all, such as finding out whose a code is; nothing said shows nothing).
-- This is besides the conditions in the application's own questions: one that is forgotten there finds nothing of others here.
-- The owner, who migrates and backs up, is not bound by it.

-- Read once for each question, not for each row.
create function works_for() returns uuid language sql stable parallel safe as
$$ select nullif(nullif(current_setting('lobrik.school', true), ''), '*')::uuid $$;
create function works_for_all() returns boolean language sql stable parallel safe as
$$ select coalesce(current_setting('lobrik.school', true) = '*', false) $$;

-- Whose what hangs below others is, in one step: views of the owner, who is not bound, so that asking about a reading does not ask about
-- its attempt, its trainee and their cohort each with conditions of its own, which took five times as long.
create view school_of_trainee as select t.id, c.centre_id from trainee t join cohort c on c.id = t.cohort_id;
create view school_of_assignment as
    select a.id, c.centre_id from assignment a join trainee t on t.id = a.trainee_id join cohort c on c.id = t.cohort_id;
create view school_of_attempt as
    select a.id, c.centre_id from attempt a join trainee t on t.id = a.trainee_id join cohort c on c.id = t.cohort_id;
grant select on school_of_trainee, school_of_assignment, school_of_attempt to lobrik_app;

-- What has a school's id.
do $$
declare
    name text;
begin
    for name in
        select c.table_name from information_schema.columns c join information_schema.tables t using (table_schema, table_name)
        where c.table_schema = current_schema() and c.column_name = 'centre_id' and t.table_type = 'BASE TABLE'
            and c.table_name <> 'audit'
    loop
        execute format('alter table %I enable row level security', name);
        execute format('create policy of_school on %I to lobrik_app using ((select works_for_all()) or centre_id = (select works_for()))', name);
    end loop;
end $$;
alter table centre enable row level security;
create policy of_school on centre to lobrik_app using ((select works_for_all()) or id = (select works_for()));
-- Tries with names that nobody has are of no school: noted whoever makes them, and shown to who leads a school that has the server for itself.
alter table audit enable row level security;
create policy of_school on audit to lobrik_app using ((select works_for_all()) or centre_id = (select works_for()) or centre_id is null);

-- What hangs on something that is a school's.
do $$
declare
    hangs text[];
begin
    foreach hangs slice 1 in array array[
        ['trainee', 'cohort_id', 'cohort'],
        ['cohort_instructor', 'cohort_id', 'cohort'],
        ['trainee_group', 'cohort_id', 'cohort'],
        ['trainee_group_member', 'group_id', 'trainee_group'],
        ['enrolment', 'trainee_id', 'school_of_trainee'],
        ['portrait', 'id', 'school_of_trainee'],
        ['trainee_key', 'trainee_id', 'school_of_trainee'],
        ['absence', 'trainee_id', 'school_of_trainee'],
        ['kept_apart', 'one_id', 'school_of_trainee'],
        ['assignment', 'trainee_id', 'school_of_trainee'],
        ['attempt', 'trainee_id', 'school_of_trainee'],
        ['sign_off', 'trainee_id', 'school_of_trainee'],
        ['sign_off_withdrawal', 'sign_off_id', 'sign_off'],
        ['taken_off', 'assignment_id', 'school_of_assignment'],
        ['taken_back', 'giving_id', 'giving'],
        ['reading', 'attempt_id', 'school_of_attempt'],
        ['bench_fact', 'attempt_id', 'school_of_attempt'],
        ['bench_step', 'attempt_id', 'school_of_attempt'],
        ['seal', 'attempt_id', 'school_of_attempt'],
        ['set_aside', 'attempt_id', 'school_of_attempt'],
        ['photo', 'attempt_id', 'school_of_attempt'],
        ['follow_up', 'attempt_id', 'school_of_attempt'],
        ['bender_revision', 'bender_id', 'bender'],
        ['library_retirement', 'entry_id', 'library_entry'],
        ['judging_preset_version', 'preset_id', 'judging_preset'],
        ['run_job_piece', 'job_id', 'run_job'],
        ['class_session_bench', 'session_id', 'class_session'],
        ['class_session_bender', 'session_id', 'class_session'],
        ['class_session_part', 'session_id', 'class_session'],
        ['class_session_part_trainee', 'part_id', 'class_session_part'],
        ['seat', 'session_id', 'class_session'],
        ['attendance', 'session_id', 'class_session'],
        ['cutting_undone', 'cutting_id', 'cutting'],
        ['cut_piece', 'cutting_id', 'cutting'],
        ['measuring_study_reader', 'study_id', 'measuring_study'],
        ['study_figure', 'study_id', 'measuring_study'],
        ['known_device', 'account_id', 'account'],
        ['invitation', 'account_id', 'account'],
        ['passkey', 'account_id', 'account'],
        ['passkey_question', 'account_id', 'account'],
        ['second_factor', 'account_id', 'account'],
        ['recovery_code', 'account_id', 'account'],
        ['printing', 'account_id', 'account']]
    loop
        execute format('alter table %I enable row level security', hangs[1]);
        -- Compared as one value: whether it exists would be found out by reading all that there is of the school, where a few rows are asked for.
        if hangs[3] like 'school\_of\_%' then
            execute format('create policy of_school on %I to lobrik_app using ((select works_for_all()) or (select hangs_on.centre_id from %I as hangs_on where hangs_on.id = %I.%I) = (select works_for()))',
                hangs[1], hangs[3], hangs[1], hangs[2]);
        else
            -- A table is bound by its own policy.
            execute format('create policy of_school on %I to lobrik_app using ((select works_for_all()) or (select hangs_on.id from %I as hangs_on where hangs_on.id = %I.%I) is not null)',
                hangs[1], hangs[3], hangs[1], hangs[2]);
        end if;
    end loop;
end $$;

-- The little that goes beyond one's own school, and says nothing of others'.
create function first_school() returns uuid language sql stable security definer set search_path from current as
$$ select id from centre where replaced_by is null order by created_at, id limit 1 $$;
create function schools_here() returns bigint language sql stable security definer set search_path from current as
$$ select count(*) from centre where replaced_by is null $$;
create function is_name_taken(name text) returns boolean language sql stable security definer set search_path from current as
$$ select exists (select from account where sign_in_name = name) $$;
-- Asked with each session, before it is known whose it is.
create function is_let_in(of_session text) returns boolean language sql stable security definer set search_path from current as
$$ select exists (select from account where session_name = of_session and disabled_at is null) $$;
revoke execute on function first_school(), schools_here(), is_name_taken(text), is_let_in(text) from public;
grant execute on function first_school(), schools_here(), is_name_taken(text), is_let_in(text) to lobrik_app;
