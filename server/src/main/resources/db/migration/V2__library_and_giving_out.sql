-- The library: an entry is one exercise through its versions. A version that was given out never changes; a variant is a
-- version's own exercise with other sizes, for some of those it was given to.
create table library_entry (
    id         uuid primary key,
    centre_id  uuid        not null references centre,
    created_by uuid        not null references account,
    created_at timestamptz not null,
    retired_at timestamptz
);
create index library_entry_centre on library_entry (centre_id);

insert into library_entry (id, centre_id, created_by, created_at)
select id, centre_id, created_by, created_at from exercise;

alter table exercise
    add column entry_id   uuid references library_entry,
    add column version    int,
    add column kind       text,
    add column level      text not null default 'first' check (level in ('first', 'steady', 'advanced')),
    add column tags       text[] not null default '{}',
    add column entered    jsonb,
    add column variation  jsonb,
    add column variant_of uuid references exercise;
update exercise set entry_id = id, version = 1, kind = definition -> 'bend' ->> 'kind';
alter table exercise
    alter column entry_id set not null,
    alter column version set not null,
    alter column kind set not null,
    alter column level drop default,
    alter column tags drop default;
create unique index exercise_version_once on exercise (entry_id, version) where variant_of is null;
create index exercise_variant_of on exercise (variant_of);

-- Giving out: one row for what was given to several at once.
create table giving (
    id          uuid primary key,
    centre_id   uuid        not null references centre,
    exercise_id uuid        not null references exercise,
    given_by    uuid        not null references account,
    given_at    timestamptz not null,
    due_on      date,
    tries       int check (tries between 1 and 20),
    varied      boolean     not null
);
create index giving_exercise on giving (exercise_id);
create index giving_centre on giving (centre_id, given_at desc);

insert into giving (id, centre_id, exercise_id, given_by, given_at, varied)
select distinct on (a.exercise_id) a.exercise_id, e.centre_id, a.exercise_id, a.given_by, a.given_at, false
from assignment a join exercise e on e.id = a.exercise_id
order by a.exercise_id, a.given_at;

-- The code on a sheet, short enough to be typed: eight of 32 letters and digits that cannot be confused.
alter table assignment
    add column giving_id uuid references giving,
    add column code      text;
update assignment set giving_id = exercise_id, code = upper(substr(md5(id::text), 1, 12));
alter table assignment
    alter column giving_id set not null,
    alter column code set not null,
    add constraint assignment_code_unique unique (code);
create index assignment_giving on assignment (giving_id);
create index assignment_exercise on assignment (exercise_id);

create function refuse_change_of_used_exercise() returns trigger language plpgsql as $$
begin
    if exists (select 1 from assignment where exercise_id = old.id)
        or exists (select 1 from giving where exercise_id = old.id) then
        raise exception 'exercise % was given out and does not change any more', old.id;
    end if;
    return new;
end $$;
create trigger exercise_used_stays before update on exercise
    for each row execute function refuse_change_of_used_exercise();

create table trainee_group (
    id        uuid primary key,
    cohort_id uuid not null references cohort,
    name      text not null,
    constraint trainee_group_name_unique unique (cohort_id, name)
);
create table trainee_group_member (
    group_id   uuid not null references trainee_group on delete cascade,
    trainee_id uuid not null references trainee,
    primary key (group_id, trainee_id)
);

grant select, insert on library_entry, giving, trainee_group, trainee_group_member to lobrik_app;
grant update on exercise to lobrik_app;
grant update (retired_at) on library_entry to lobrik_app;
grant update (name), delete on trainee_group to lobrik_app;
grant delete on trainee_group_member to lobrik_app;
