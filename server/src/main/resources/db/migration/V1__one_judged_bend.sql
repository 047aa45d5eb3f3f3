-- Lengths are bigint picometres (1 in = 25400000000 pm) and angles bigint nanodegrees: exactly what the core calculates
-- with, so that a typed fraction comes back as typed. The application's role may only do what is granted at the end.

create table centre (
    id         uuid primary key,
    name       text        not null,
    created_at timestamptz not null
);

create table account (
    id            uuid primary key,
    centre_id     uuid        not null references centre,
    sign_in_name  text        not null constraint account_sign_in_name_unique unique,
    full_name     text        not null,
    role          text        not null check (role in ('INSTRUCTOR', 'LEAD')),
    password_hash text        not null,
    unit          text        not null default 'INCH' check (unit in ('INCH', 'MILLIMETRE')),
    created_at    timestamptz not null
);

create table cohort (
    id         uuid primary key,
    centre_id  uuid        not null references centre,
    name       text        not null,
    created_at timestamptz not null,
    constraint cohort_name_unique unique (centre_id, name)
);

create table cohort_instructor (
    cohort_id  uuid not null references cohort,
    account_id uuid not null references account,
    primary key (cohort_id, account_id)
);

create table trainee (
    id        uuid primary key,
    cohort_id uuid not null references cohort,
    full_name text not null,
    bench     int  not null check (bench > 0)
);
create index trainee_cohort on trainee (cohort_id);

create table conduit (
    id                  uuid primary key,
    centre_id           uuid   not null references centre,
    label               text   not null,
    outside_diameter_pm bigint not null check (outside_diameter_pm > 0),
    constraint conduit_label_unique unique (centre_id, label)
);

create table bender (
    id               uuid primary key,
    centre_id        uuid   not null references centre,
    conduit_id       uuid   not null references conduit,
    label            text   not null,
    take_up_pm       bigint not null check (take_up_pm > 0),
    radius_pm        bigint not null check (radius_pm > 0),
    min_spacing_pm   bigint not null check (min_spacing_pm >= 0),
    min_stub_pm      bigint not null check (min_stub_pm >= 0),
    min_standing_pm  bigint not null check (min_standing_pm >= 0),
    springback_ndeg  bigint not null check (springback_ndeg >= 0),
    constraint bender_label_unique unique (centre_id, label)
);

-- definition: method, tape division, conduit, bender and bend as in the calculation interface; tolerances: the preset and
-- its figures. Both are copies, so that a later change of a bender or a preset changes no exercise that was given.
create table exercise (
    id            uuid primary key,
    centre_id     uuid        not null references centre,
    title         text        not null,
    conduit_label text        not null,
    bender_label  text        not null,
    definition    jsonb       not null,
    tolerances    jsonb       not null,
    created_by    uuid        not null references account,
    created_at    timestamptz not null
);

create table assignment (
    id          uuid primary key,
    exercise_id uuid        not null references exercise,
    trainee_id  uuid        not null references trainee,
    given_by    uuid        not null references account,
    given_at    timestamptz not null
);
create index assignment_trainee on assignment (trainee_id, given_at desc);

create table attempt (
    id            uuid primary key,
    assignment_id uuid        not null references assignment,
    exercise_id   uuid        not null references exercise,
    trainee_id    uuid        not null references trainee,
    tolerances    jsonb       not null,
    started_by    uuid        not null references account,
    started_at    timestamptz not null
);
create index attempt_trainee on attempt (trainee_id, started_at);
create index attempt_assignment on attempt (assignment_id);

-- The id is made by the client, so a repeated request adds nothing. A reading is never changed: a correction is a new row.
create table reading (
    id         uuid primary key,
    attempt_id uuid        not null references attempt,
    feature    text        not null,
    unit       text        not null check (unit in ('pm', 'ndeg')),
    value      bigint      not null,
    typed      text        not null,
    taken_by   uuid        not null references account,
    taken_at   timestamptz not null,
    corrects   uuid references reading,
    reason     text,
    constraint reading_corrected_once unique (corrects),
    constraint reading_reason_with_correction check ((corrects is null) = (reason is null))
);
create unique index reading_first_once on reading (attempt_id, feature) where corrects is null;
create index reading_attempt on reading (attempt_id);

-- Spring Session's own schema for PostgreSQL.
create table spring_session (
    primary_id            char(36) not null constraint spring_session_pk primary key,
    session_id            char(36) not null,
    creation_time         bigint   not null,
    last_access_time      bigint   not null,
    max_inactive_interval int      not null,
    expiry_time           bigint   not null,
    principal_name        varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea        not null,
    constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name)
);

grant select, insert on centre, cohort, cohort_instructor, trainee, conduit, bender, exercise, assignment, attempt, reading
    to lobrik_app;
grant select, insert, update on account to lobrik_app;
grant select, insert, update, delete on spring_session, spring_session_attributes to lobrik_app;
