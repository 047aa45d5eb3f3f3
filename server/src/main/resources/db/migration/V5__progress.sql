-- What each finished piece came to: worked out by the core from what was written down of it, again with every change, in the
-- same transaction. Nothing here is a record of its own: it can be thrown away and worked out anew (outcome_state says by which
-- revision of the rules it was). It is what makes progress fast: one row a piece, its features in arrays.
create table outcome (
    attempt_id           uuid primary key references attempt on delete cascade,
    centre_id            uuid             not null references centre,
    cohort_id            uuid             not null references cohort,
    trainee_id           uuid             not null references trainee,
    kind                 text             not null,
    measured_at          timestamptz      not null,
    title                text             not null,
    bender_label         text             not null,
    conduit_label        text             not null,
    preset               text             not null,
    length_tolerance_pm  bigint           not null,
    angle_tolerance_ndeg bigint           not null,
    twist_tolerance_ndeg bigint           not null,
    pass_mark            double precision not null,
    points               double precision not null,
    passed               boolean          not null,
    arithmetic           double precision,
    rebent               int              not null,
    cause                text,
    cause_bend           int,
    conduit_pm           bigint           not null,
    wasted_pm            bigint           not null,
    minutes              int,
    features             text[]           not null,
    targets              bigint[]         not null,
    deviations           bigint[]         not null,
    planned              bigint[]         not null,
    tolerances           bigint[]         not null,
    -- How far the features of a kind are off by hands and bender, where the piece tells of hands: what benders are compared by.
    angles_off           bigint,
    legs_off             bigint,
    rises_off            bigint,
    places_off           bigint
);
-- The last few of a cell of the matrix, and a trainee's page: one descent each, however many there are. A trainee's totals are
-- answered by it alone.
create index outcome_cell on outcome (trainee_id, kind, measured_at desc, attempt_id)
    include (passed, conduit_pm, wasted_pm);
-- The trainee's last piece of all kinds.
create index outcome_trainee on outcome (trainee_id, measured_at desc);
-- What went wrong in this class this week, and with whom: answered by it alone.
create index outcome_cohort on outcome (cohort_id, measured_at desc) include (trainee_id, cause);
-- The centre's last pieces, for comparing benders.
create index outcome_centre on outcome (centre_id, measured_at desc);

create table outcome_state (
    revision int not null
);
insert into outcome_state values (0);

-- The rule that an instructor is asked to sign by; kind is empty for all kinds that have none of their own. Never changed: a
-- newer row counts.
create table sign_off_rule (
    id        uuid primary key,
    centre_id uuid        not null references centre,
    kind      text        not null,
    figures   jsonb       not null,
    kept_by   uuid        not null references account,
    kept_at   timestamptz not null
);
create index sign_off_rule_centre on sign_off_rule (centre_id, kind, kept_at desc);

-- A signature with what it was given on, as it was then. It is never changed; a withdrawal stands beside it.
create table sign_off (
    id          uuid primary key,
    trainee_id  uuid        not null references trainee,
    kind        text        not null,
    signed_by   uuid        not null references account,
    signed_name text        not null,
    signed_at   timestamptz not null,
    rule        jsonb       not null,
    evidence    jsonb       not null,
    met         boolean     not null,
    remark      text        not null,
    constraint sign_off_against_the_rule_has_a_reason check (met or remark <> '')
);
create index sign_off_trainee on sign_off (trainee_id, kind);

create table sign_off_withdrawal (
    sign_off_id    uuid primary key references sign_off,
    withdrawn_by   uuid        not null references account,
    withdrawn_name text        not null,
    withdrawn_at   timestamptz not null,
    reason         text        not null check (reason <> '')
);

-- A trainee's key to their own page; a new one ends the old one.
create table trainee_key (
    id         uuid primary key,
    trainee_id uuid        not null references trainee,
    code       text        not null constraint trainee_key_code_unique unique,
    made_by    uuid        not null references account,
    made_at    timestamptz not null,
    ended_at   timestamptz
);
create unique index trainee_key_one on trainee_key (trainee_id) where ended_at is null;

-- The number that the school knows a trainee by, if it has one.
alter table trainee add column number text;

-- What stays of whoever was erased: no name, no day, no code; pieces of one person hang together by a number made up for it.
create table anonymous_outcome (
    id            uuid primary key default gen_random_uuid(),
    centre_id     uuid             not null references centre,
    person        uuid             not null,
    month         date             not null,
    kind          text             not null,
    bender_label  text             not null,
    conduit_label text             not null,
    preset        text             not null,
    points        double precision not null,
    passed        boolean          not null,
    cause         text,
    conduit_pm    bigint           not null,
    wasted_pm     bigint           not null,
    angles_off    bigint,
    legs_off      bigint,
    rises_off     bigint,
    places_off    bigint
);
create index anonymous_outcome_centre on anonymous_outcome (centre_id, month desc);

create table erasure (
    id        uuid primary key,
    centre_id uuid        not null references centre,
    cohort_id uuid        not null references cohort,
    pieces    int         not null,
    erased_by uuid        not null references account,
    erased_at timestamptz not null,
    reason    text        not null
);

-- The application may take nothing away. This one thing it may ask for: everything of one person, in one go.
create function erase_trainee(erased uuid, erasure_id uuid, eraser uuid, moment timestamptz, why text) returns int
    language plpgsql security definer set search_path from current as $$
declare
    own    uuid[] := array(select id from attempt where trainee_id = erased);
    nobody uuid := gen_random_uuid();
    kept   int;
begin
    insert into anonymous_outcome (centre_id, person, month, kind, bender_label, conduit_label, preset, points, passed,
        cause, conduit_pm, wasted_pm, angles_off, legs_off, rises_off, places_off)
    select centre_id, nobody, date_trunc('month', measured_at at time zone 'UTC')::date, kind, bender_label, conduit_label,
        preset, points, passed, cause, conduit_pm, wasted_pm, angles_off, legs_off, rises_off, places_off
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
    delete from assignment where trainee_id = erased;
    delete from sign_off_withdrawal where sign_off_id in (select id from sign_off where trainee_id = erased);
    delete from sign_off where trainee_id = erased;
    delete from trainee_key where trainee_id = erased;
    delete from trainee_group_member where trainee_id = erased;
    delete from trainee where id = erased;
    return kept;
end $$;
revoke all on function erase_trainee(uuid, uuid, uuid, timestamptz, text) from public;

grant select, insert, update, delete on outcome to lobrik_app;
grant select, update on outcome_state to lobrik_app;
grant select, insert on sign_off_rule, sign_off, sign_off_withdrawal, trainee_key to lobrik_app;
grant update (ended_at) on trainee_key to lobrik_app;
grant select on anonymous_outcome, erasure to lobrik_app;
grant execute on function erase_trainee(uuid, uuid, uuid, timestamptz, text) to lobrik_app;
