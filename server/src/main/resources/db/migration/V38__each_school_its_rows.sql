-- Rows of a school are shown to, and taken from, whoever works for that school: the application says for which it works
-- (lobrik.school: the id of one, * for what concerns them all, such as finding out whose a code is; nothing said shows nothing).
-- This is besides the conditions in the application's own questions: one that is forgotten there finds nothing of others here.
-- The owner, who migrates and backs up, is not bound by it.

-- Read once for each question, not for each row.
create function works_for() returns uuid language sql stable parallel safe as
$$ select case when current_setting('lobrik.school', true) ~ '^[0-9a-f-]{36}$' then current_setting('lobrik.school')::uuid end $$;
create function works_for_all() returns boolean language sql stable parallel safe as
$$ select coalesce(current_setting('lobrik.school', true), '') = '*' $$;

-- What has a school's id.
do $$
declare
    name text;
begin
    for name in
        select c.table_name from information_schema.columns c
        where c.table_schema = current_schema() and c.column_name = 'centre_id' and c.table_name <> 'audit'
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
        ['trainee', 'cohort_id', 'cohort', 'id'],
        ['cohort_instructor', 'cohort_id', 'cohort', 'id'],
        ['trainee_group', 'cohort_id', 'cohort', 'id'],
        ['trainee_group_member', 'group_id', 'trainee_group', 'id'],
        ['enrolment', 'trainee_id', 'trainee', 'id'],
        ['portrait', 'id', 'trainee', 'id'],
        ['trainee_key', 'trainee_id', 'trainee', 'id'],
        ['absence', 'trainee_id', 'trainee', 'id'],
        ['kept_apart', 'one_id', 'trainee', 'id'],
        ['assignment', 'trainee_id', 'trainee', 'id'],
        ['attempt', 'trainee_id', 'trainee', 'id'],
        ['sign_off', 'trainee_id', 'trainee', 'id'],
        ['sign_off_withdrawal', 'sign_off_id', 'sign_off', 'id'],
        ['taken_off', 'assignment_id', 'assignment', 'id'],
        ['taken_back', 'giving_id', 'giving', 'id'],
        ['reading', 'attempt_id', 'attempt', 'id'],
        ['bench_fact', 'attempt_id', 'attempt', 'id'],
        ['bench_step', 'attempt_id', 'attempt', 'id'],
        ['seal', 'attempt_id', 'attempt', 'id'],
        ['set_aside', 'attempt_id', 'attempt', 'id'],
        ['photo', 'attempt_id', 'attempt', 'id'],
        ['follow_up', 'attempt_id', 'attempt', 'id'],
        ['bender_revision', 'bender_id', 'bender', 'id'],
        ['library_retirement', 'entry_id', 'library_entry', 'id'],
        ['judging_preset_version', 'preset_id', 'judging_preset', 'id'],
        ['run_job_piece', 'job_id', 'run_job', 'id'],
        ['class_session_bench', 'session_id', 'class_session', 'id'],
        ['class_session_bender', 'session_id', 'class_session', 'id'],
        ['class_session_part', 'session_id', 'class_session', 'id'],
        ['class_session_part_trainee', 'part_id', 'class_session_part', 'id'],
        ['seat', 'session_id', 'class_session', 'id'],
        ['attendance', 'session_id', 'class_session', 'id'],
        ['cutting_undone', 'cutting_id', 'cutting', 'id'],
        ['cut_piece', 'cutting_id', 'cutting', 'id'],
        ['measuring_study_reader', 'study_id', 'measuring_study', 'id'],
        ['study_figure', 'study_id', 'measuring_study', 'id'],
        ['known_device', 'account_id', 'account', 'id'],
        ['invitation', 'account_id', 'account', 'id'],
        ['passkey', 'account_id', 'account', 'id'],
        ['passkey_question', 'account_id', 'account', 'id'],
        ['second_factor', 'account_id', 'account', 'id'],
        ['recovery_code', 'account_id', 'account', 'id'],
        ['printing', 'account_id', 'account', 'id']]
    loop
        execute format('alter table %I enable row level security', hangs[1]);
        execute format('create policy of_school on %I to lobrik_app using ((select works_for_all()) or exists (select from %I as hangs_on where hangs_on.%I = %I.%I))',
            hangs[1], hangs[3], hangs[4], hangs[1], hangs[2]);
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
