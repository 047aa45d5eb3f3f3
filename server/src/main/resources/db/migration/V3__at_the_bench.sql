-- At the bench: readings say with what they were taken and when they arrived; two people's readings of one feature are both
-- kept; what else is written down of a piece; where everybody is; photos; what was verified.

alter table exercise add column readings text not null default 'all' check (readings in ('all', 'short'));
alter table exercise alter column readings drop default;

-- A trainee's phone may begin an attempt: then nobody with an account did.
alter table attempt
    alter column started_by drop not null,
    add column readings text not null default 'all' check (readings in ('all', 'short'));
alter table attempt alter column readings drop default;

alter table reading
    add column taken_with  text not null default 'keys'
        check (taken_with in ('keys', 'pad', 'wedge', 'gauge', 'asAsked')),
    add column instrument  text,
    add column received_at timestamptz,
    add column omitted     text;
update reading set received_at = taken_at;
alter table reading
    alter column taken_with drop default,
    alter column received_at set not null,
    alter column unit drop not null,
    alter column value drop not null,
    add constraint reading_value_or_omitted check ((value is null) = (omitted is not null)),
    add constraint reading_unit_with_value check ((value is null) = (unit is null)),
    drop constraint reading_corrected_once;
-- Two people may have measured the same feature, or corrected the same reading: both rows stay, and somebody is asked.
drop index reading_first_once;
create index reading_corrects on reading (corrects);

-- What is written down of a piece besides its readings: findings, re-bending, waste, time, the trainee's own figures.
create table bench_fact (
    id          uuid primary key,
    attempt_id  uuid        not null references attempt,
    kind        text        not null check (kind in ('finding', 'rework', 'waste', 'time', 'figures', 'note')),
    about       text        not null,
    said        jsonb       not null,
    taken_by    uuid references account,
    taken_at    timestamptz not null,
    received_at timestamptz not null,
    corrects    uuid references bench_fact,
    reason      text
);
create index bench_fact_attempt on bench_fact (attempt_id);

create table photo (
    id          uuid primary key,
    attempt_id  uuid        not null references attempt,
    about       text        not null,
    note        text        not null,
    width       int         not null check (width > 0),
    height      int         not null check (height > 0),
    content     bytea       not null,
    digest      text        not null,
    taken_by    uuid        not null references account,
    taken_at    timestamptz not null,
    received_at timestamptz not null
);
create index photo_attempt on photo (attempt_id);

-- A reading, a fact or a photo that no longer counts; it stays where it is, and so does the reason.
create table set_aside (
    record_id  uuid primary key,
    attempt_id uuid        not null references attempt,
    set_by     uuid        not null references account,
    set_at     timestamptz not null,
    reason     text        not null
);
create index set_aside_attempt on set_aside (attempt_id);

create table seal (
    id         uuid primary key,
    attempt_id uuid        not null references attempt,
    sealed     boolean     not null,
    set_by     uuid        not null references account,
    set_at     timestamptz not null,
    reason     text        not null
);
create index seal_attempt on seal (attempt_id);

create table bench_step (
    id         uuid primary key,
    attempt_id uuid        not null references attempt,
    step       text        not null check (step in ('workingOut', 'bending', 'called', 'help')),
    set_by     uuid references account,
    set_at     timestamptz not null
);
create index bench_step_attempt on bench_step (attempt_id);

grant select, insert on bench_fact, photo, set_aside, seal, bench_step to lobrik_app;
