-- What a school is set up with: how its screens and sheets begin, and what they say of it.
alter table centre
    add column edition int not null default 0,
    add column usual_unit text not null default 'INCH' check (usual_unit in ('INCH', 'MILLIMETRE')),
    add column division_pm bigint not null default 1587500000 check (division_pm > 0),
    add column usual_preset text not null default 'site',
    add column code_notes text not null default '' check (length(code_notes) <= 1000),
    add column logo bytea,
    -- Empty until somebody has looked at all of it; the screens ask for it first.
    add column set_up_at timestamptz;
update centre set set_up_at = now();
grant update (name, edition, usual_unit, division_pm, usual_preset, code_notes, logo, set_up_at) on centre to lobrik_app;

-- A cohort is of a year, and archived when that is over: it stays as it was then.
alter table cohort
    add column begins_on date,
    add column archived_at timestamptz,
    add column edition int not null default 0,
    drop constraint cohort_name_unique,
    add constraint cohort_dates check (begins_on is null or ends_on is null or begins_on <= ends_on);
create unique index cohort_name_unique on cohort (centre_id, name) where archived_at is null;
grant update (name, begins_on, archived_at, edition) on cohort to lobrik_app;

-- Somebody moves to another cohort or bench, leaves, and may come back; what they need is theirs wherever they are.
alter table trainee
    add column left_at timestamptz,
    add column larger_print boolean not null default false,
    add column extra_time_pct int not null default 0 check (extra_time_pct between 0 and 200),
    add column edition int not null default 0;
grant update (cohort_id, full_name, bench, number, left_at, larger_print, extra_time_pct, edition) on trainee to lobrik_app;

-- Who was in which cohort, at which bench, from when until when; kept in step by the database, whoever writes. The one that is open is
-- where somebody is.
create table enrolment (
    id         uuid primary key default gen_random_uuid(),
    trainee_id uuid not null references trainee on delete cascade,
    cohort_id  uuid not null references cohort,
    bench      int  not null,
    since      timestamptz,
    until      timestamptz
);
create unique index enrolment_open on enrolment (trainee_id) where until is null;
create index enrolment_cohort on enrolment (cohort_id);
create index enrolment_trainee on enrolment (trainee_id);
insert into enrolment (trainee_id, cohort_id, bench, since) select id, cohort_id, bench, joined_at from trainee;
grant select on enrolment to lobrik_app;

create function trainee_enrolled() returns trigger
    language plpgsql security definer set search_path from current as $$
begin
    if tg_op = 'UPDATE' then
        if old.cohort_id = new.cohort_id and old.bench = new.bench and (old.left_at is null) = (new.left_at is null) then
            return null;
        end if;
        update enrolment set until = now() where trainee_id = new.id and until is null;
    end if;
    if new.left_at is null then
        insert into enrolment (trainee_id, cohort_id, bench, since)
        values (new.id, new.cohort_id, new.bench, case when tg_op = 'INSERT' then new.joined_at else now() end);
    end if;
    return null;
end $$;
create trigger trainee_enrolled after insert or update on trainee for each row execute function trainee_enrolled();
