-- What conduit is on the rack: how long its sticks are, how few are too few, what one costs.
alter table centre add column currency text not null default '' check (length(currency) <= 8);
grant update (currency) on centre to lobrik_app;
alter table conduit
    add column material text not null default '' check (length(material) <= 40),
    add column stick_pm bigint not null default 3048000000000 check (stick_pm > 0),
    add column fewest_sticks int not null default 0 check (fewest_sticks between 0 and 10000),
    add column shortest_kept_pm bigint not null default 609600000000 check (shortest_kept_pm >= 0),
    add column price numeric(12, 2) check (price >= 0),
    add column edition int not null default 0;
grant update (material, stick_pm, fewest_sticks, shortest_kept_pm, price, edition) on conduit to lobrik_app;

-- What was cut at once: for an exercise that was given out, or another piece of one.
create table cutting (
    id            uuid primary key,
    centre_id     uuid not null references centre,
    conduit_id    uuid not null references conduit,
    giving_id     uuid references giving,
    at            timestamptz not null,
    made_by       uuid references account,
    wasted_pm     bigint not null check (wasted_pm >= 0),
    entry_no      bigint not null default nextval('entry_number')
);
create index cutting_giving on cutting (giving_id);
create index cutting_conduit on cutting (conduit_id, at);
create table cutting_undone (
    cutting_id uuid primary key references cutting,
    undone_by  uuid references account,
    at         timestamptz not null
);
-- Whose piece it was goes with the person; how long it was stays.
create table cut_piece (
    id            uuid primary key,
    cutting_id    uuid not null references cutting,
    trainee_id    uuid references trainee,
    assignment_id uuid references assignment,
    family        text not null,
    length_pm     bigint not null check (length_pm > 0)
);
create index cut_piece_cutting on cut_piece (cutting_id);
create index cut_piece_assignment on cut_piece (assignment_id);
create index cut_piece_trainee on cut_piece (trainee_id);
grant select, insert on cutting, cutting_undone, cut_piece to lobrik_app;

-- Everything that came onto the rack or went off it; what is there is the sum.
create table stock_entry (
    id         uuid primary key,
    centre_id  uuid not null references centre,
    conduit_id uuid not null references conduit,
    what       text not null check (what in ('DELIVERED', 'BROUGHT_BACK', 'CUT', 'LEFT', 'THROWN_AWAY', 'COUNTED', 'UNDONE')),
    length_pm  bigint not null check (length_pm > 0),
    pieces     int not null check (pieces <> 0),
    at         timestamptz not null,
    made_by    uuid references account,
    note       text not null default '' check (length(note) <= 300),
    price      numeric(12, 2) check (price >= 0),
    cutting_id uuid references cutting,
    entry_no   bigint not null default nextval('entry_number')
);
create index stock_entry_sum on stock_entry (centre_id, conduit_id, length_pm) include (pieces);
create index stock_entry_order on stock_entry (conduit_id, entry_no desc);
create index stock_entry_cutting on stock_entry (cutting_id);
grant select, insert on stock_entry to lobrik_app;

-- With what the calendar and the rack know of somebody.
create or replace function erase_trainee(erased uuid, erasure_id uuid, eraser uuid, moment timestamptz, why text) returns int
    language plpgsql security definer set search_path from current as $$
declare
    own      uuid[] := array(select id from attempt where trainee_id = erased);
    accounts uuid[] := array(select id from account where trainee_id = erased);
    school   uuid := (select c.centre_id from trainee t join cohort c on c.id = t.cohort_id where t.id = erased);
    nobody   uuid := gen_random_uuid();
    kept     int;
    blank    int;
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
    update audit
    set blanked = true, about = '', address = '', account_id = null, subject_id = null, changes = null, reason = null
    where subject_id = erased or account_id = any (accounts) or subject_id = any (accounts);
    get diagnostics blank = row_count;
    insert into audit (id, at, centre_id, account_id, what, about, address, subject, changes, reason)
    values (gen_random_uuid(), moment, school, eraser, 'erased', '', '', 'trainee',
        '[{"what":"entries blanked","from":null,"to":"' || blank || '"}]', why);
    delete from outcome where trainee_id = erased;
    delete from photo where attempt_id = any (own);
    delete from bench_fact where attempt_id = any (own);
    delete from bench_step where attempt_id = any (own);
    delete from seal where attempt_id = any (own);
    delete from set_aside where attempt_id = any (own);
    delete from reading where attempt_id = any (own);
    delete from attempt where trainee_id = erased;
    update cut_piece set trainee_id = null, assignment_id = null
    where trainee_id = erased or assignment_id in (select id from assignment where trainee_id = erased);
    delete from taken_off where assignment_id in (select id from assignment where trainee_id = erased);
    delete from assignment where trainee_id = erased;
    delete from sign_off_withdrawal where sign_off_id in (select id from sign_off where trainee_id = erased);
    delete from sign_off where trainee_id = erased;
    delete from trainee_key where trainee_id = erased;
    delete from trainee_group_member where trainee_id = erased;
    delete from class_session_part_trainee where trainee_id = erased;
    delete from seat where trainee_id = erased;
    delete from absence where trainee_id = erased;
    delete from attendance where trainee_id = erased;
    delete from kept_apart where one_id = erased or other_id = erased;
    delete from spring_session where principal_name in (select session_name from account where id = any (accounts));
    delete from known_device where account_id = any (accounts);
    delete from invitation where account_id = any (accounts);
    delete from account where id = any (accounts);
    delete from trainee where id = erased;
    return kept;
end $$;
