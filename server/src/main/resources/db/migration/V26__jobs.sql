-- A run of several pieces, given to several trainees: the whole of it is an exercise, and each piece that has bends a giving of its own.
-- What a piece is cut from, and where it is fastened, goes by rules that are kept with the job. Written once, never changed.
create table run_job (
    id          uuid primary key,
    centre_id   uuid        not null references centre,
    exercise_id uuid        not null references exercise,
    rules       jsonb       not null,
    given_by    uuid        not null references account,
    given_at    timestamptz not null,
    entry_no    bigint      not null default nextval('entry_number')
);
create index run_job_centre on run_job (centre_id, entry_no desc);

create table run_job_piece (
    job_id    uuid not null references run_job on delete cascade,
    number    int  not null check (number > 0),
    giving_id uuid not null references giving,
    primary key (job_id, number)
);
create index run_job_piece_giving on run_job_piece (giving_id);

-- What a school cuts and fastens its runs by, and what is left over of its sticks. Never changed: a newer row counts.
create table run_rules (
    id        uuid primary key,
    centre_id uuid        not null references centre,
    rules     jsonb       not null,
    kept_by   uuid        not null references account,
    kept_at   timestamptz not null,
    entry_no  bigint      not null default nextval('entry_number')
);
create index run_rules_centre on run_rules (centre_id, entry_no desc);

grant select, insert on run_job, run_job_piece, run_rules to lobrik_app;
