-- A bender has a number and a place on the rack; what its figures are is a revision of it, by its kind of tool. Exercises and attempts name
-- the revision that they were set for, so that a bender that is measured anew, or gets another label, changes nothing that was bent on it.
create table bender_revision (
    id        uuid primary key,
    bender_id uuid        not null references bender,
    revision  int         not null check (revision > 0),
    figures   jsonb       not null,
    kind      text        not null generated always as (figures ->> 'kind') stored,
    made_by   uuid references account,
    made_at   timestamptz not null,
    reason    text        not null,
    constraint bender_revision_unique unique (bender_id, revision)
);
insert into bender_revision (id, bender_id, revision, figures, made_by, made_at, reason)
select gen_random_uuid(), b.id, 1,
    jsonb_build_object('kind', 'shoe', 'takeUpPm', b.take_up_pm, 'radiusPm', b.radius_pm, 'minSpacingPm', b.min_spacing_pm,
        'minStubPm', b.min_stub_pm, 'minStandingPm', b.min_standing_pm, 'springbackNdeg', b.springback_ndeg),
    null, c.created_at, 'As it came'
from bender b join centre c on c.id = b.centre_id;
alter table bender
    drop column take_up_pm, drop column radius_pm, drop column min_spacing_pm, drop column min_stub_pm,
    drop column min_standing_pm, drop column springback_ndeg;
grant select, insert on bender_revision to lobrik_app;

-- Exercises of earlier builds name a label and have figures of their own: they are of the bender of which both are true. What came from
-- another school is of none of ours.
alter table exercise add column bender_revision_id uuid references bender_revision;
alter table exercise disable trigger user;
update exercise e
set bender_revision_id = r.id
from bender b join bender_revision r on r.bender_id = b.id
where b.centre_id = e.centre_id and b.label = e.bender_label
  and round((e.definition #>> '{bender,takeUpIn}')::numeric * 25400000000) = (r.figures ->> 'takeUpPm')::numeric
  and round((e.definition #>> '{bender,radiusIn}')::numeric * 25400000000) = (r.figures ->> 'radiusPm')::numeric;
alter table exercise enable trigger user;

alter table attempt add column bender_revision_id uuid references bender_revision;
update attempt a set bender_revision_id = e.bender_revision_id from exercise e where e.id = a.exercise_id;

alter table outcome add column bender_revision_id uuid references bender_revision;
update outcome o set bender_revision_id = a.bender_revision_id from attempt a where a.id = o.attempt_id;

alter table anonymous_outcome add column bender_revision_id uuid references bender_revision;
update anonymous_outcome o
set bender_revision_id = r.id
from bender b join bender_revision r on r.bender_id = b.id
where b.centre_id = o.centre_id and b.label = o.bender_label;

create or replace function erase_trainee(erased uuid, erasure_id uuid, eraser uuid, moment timestamptz, why text) returns int
    language plpgsql security definer set search_path from current as $$
declare
    own    uuid[] := array(select id from attempt where trainee_id = erased);
    nobody uuid := gen_random_uuid();
    kept   int;
begin
    insert into anonymous_outcome (centre_id, person, month, kind, bender_label, bender_revision_id, conduit_label, preset, points,
        passed, cause, conduit_pm, wasted_pm, angles_off, legs_off, rises_off, places_off)
    select centre_id, nobody, date_trunc('month', measured_at at time zone 'UTC')::date, kind, bender_label, bender_revision_id,
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
