-- What is learnt and signed for by itself is a family: a kind of bend with a sort of tool. By hand it is called as the bend is, so
-- that nothing that was written down before there were other tools changes; else the tool stands behind it: stub90.machine.
alter table outcome rename column kind to family;
alter table anonymous_outcome rename column kind to family;
alter table sign_off rename column kind to family;
alter table sign_off_rule rename column kind to family;

update outcome o set family = o.family || '.' || (e.definition #>> '{bender,kind}')
from attempt a join exercise e on e.id = a.exercise_id
where a.id = o.attempt_id and e.definition #>> '{bender,kind}' in ('machine', 'former');

update anonymous_outcome o set family = o.family || '.' || r.kind
from bender_revision r where r.id = o.bender_revision_id and r.kind in ('machine', 'former');

-- A signature is for what its evidence shows: where every piece of it was bent at the machine, it never was one for bending by hand.
update sign_off s set family = of.family
from (
    select s.id, min(o.family) as family
    from sign_off s
    cross join lateral jsonb_array_elements(s.evidence) piece
    left join outcome o on o.attempt_id = (piece ->> 'attemptId')::uuid
    group by s.id
    having count(distinct o.family) = 1 and count(o.family) = count(*)) of
where of.id = s.id and of.family like s.family || '.%';

-- In which order a school teaches. Never changed: a newer row counts; without any it is the usual order.
create table curriculum (
    id        uuid primary key,
    centre_id uuid        not null references centre,
    steps     jsonb       not null,
    kept_by   uuid        not null references account,
    kept_at   timestamptz not null,
    entry_no  bigint      not null default nextval('entry_number')
);
create index curriculum_centre on curriculum (centre_id, entry_no desc);
grant select, insert on curriculum to lobrik_app;

create or replace function erase_trainee(erased uuid, erasure_id uuid, eraser uuid, moment timestamptz, why text) returns int
    language plpgsql security definer set search_path from current as $$
declare
    own    uuid[] := array(select id from attempt where trainee_id = erased);
    nobody uuid := gen_random_uuid();
    kept   int;
begin
    insert into anonymous_outcome (centre_id, person, month, family, bender_label, bender_revision_id, conduit_label, preset, points,
        passed, cause, conduit_pm, wasted_pm, angles_off, legs_off, rises_off, places_off)
    select centre_id, nobody, date_trunc('month', measured_at at time zone 'UTC')::date, family, bender_label, bender_revision_id,
        conduit_label, preset, points, passed, cause, conduit_pm, wasted_pm, angles_off, legs_off, rises_off, places_off
    from outcome where trainee_id = erased;
    get diagnostics kept = row_count;
    insert into erasure
    select erasure_id, c.centre_id, c.id, kept, eraser, moment, why
    from trainee t join cohort c on c.id = t.cohort_id where t.id = erased;
    delete from outcome where trainee_id = erased;
    delete from photo where attempt_id = any (own);
    delete from bench_fact where attempt_id = any (own);
    delete from bench_step where attempt_id = any (own);
    delete from seal where attempt_id = any (own);
    delete from set_aside where attempt_id = any (own);
    delete from reading where attempt_id = any (own);
    delete from attempt where trainee_id = erased;
    delete from taken_off where assignment_id in (select id from assignment where trainee_id = erased);
    delete from assignment where trainee_id = erased;
    delete from sign_off_withdrawal where sign_off_id in (select id from sign_off where trainee_id = erased);
    delete from sign_off where trainee_id = erased;
    delete from trainee_key where trainee_id = erased;
    delete from trainee_group_member where trainee_id = erased;
    delete from trainee where id = erased;
    return kept;
end $$;
