-- Rooms with their benches, the calendar of sessions, who is there and who sits where.
create table room (
    id        uuid primary key,
    centre_id uuid not null references centre,
    name      text not null check (length(name) between 1 and 60),
    benches   int  not null check (benches between 1 and 200),
    places    int  not null check (places between 1 and 20),
    put_away  boolean not null default false,
    edition   int  not null default 0
);
create unique index room_name_unique on room (centre_id, lower(name));
grant select, insert, update (name, benches, places, put_away, edition) on room to lobrik_app;

create table holiday (
    id        uuid primary key,
    centre_id uuid not null references centre,
    name      text not null check (length(name) between 1 and 60),
    first_day date not null,
    last_day  date not null,
    check (first_day <= last_day)
);
create index holiday_centre on holiday (centre_id, first_day);
grant select, insert, delete on holiday to lobrik_app;

create table class_session (
    id                uuid primary key,
    centre_id         uuid not null references centre,
    cohort_id         uuid not null references cohort,
    series_id         uuid,
    on_day            date not null,
    begins            time not null,
    ends              time not null,
    room_id           uuid references room,
    instructor_id     uuid references account,
    note              text not null default '' check (length(note) <= 300),
    begins_by_itself  boolean not null default false,
    begun_at          timestamptz,
    begun_by          uuid references account,
    called_off_at     timestamptz,
    called_off_reason text not null default '',
    changed_at        timestamptz not null,
    edition           int not null default 0,
    check (begins < ends)
);
create index class_session_day on class_session (centre_id, on_day);
create index class_session_cohort on class_session (cohort_id, on_day, begins);
grant select, insert, delete,
    update (on_day, begins, ends, room_id, instructor_id, note, begins_by_itself, begun_at, begun_by, called_off_at, called_off_reason,
        changed_at, edition)
    on class_session to lobrik_app;

create table class_session_bench (
    session_id uuid not null references class_session on delete cascade,
    bench      int  not null check (bench between 1 and 999),
    primary key (session_id, bench)
);
create table class_session_bender (
    session_id uuid not null references class_session on delete cascade,
    bender_id  uuid not null references bender,
    primary key (session_id, bender_id)
);
grant select, insert, delete on class_session_bench, class_session_bender to lobrik_app;

-- What is given out when it begins.
create table class_session_part (
    id         uuid primary key,
    session_id uuid not null references class_session on delete cascade,
    place      int  not null,
    entry_id   uuid not null,
    varied     boolean not null
);
create index class_session_part_session on class_session_part (session_id);
create table class_session_part_trainee (
    part_id    uuid not null references class_session_part on delete cascade,
    trainee_id uuid not null references trainee,
    primary key (part_id, trainee_id)
);
create index class_session_part_trainee_trainee on class_session_part_trainee (trainee_id);
grant select, insert, delete on class_session_part, class_session_part_trainee to lobrik_app;

create table seat (
    session_id uuid not null references class_session on delete cascade,
    trainee_id uuid not null references trainee,
    bench      int  not null check (bench between 1 and 999),
    bender_id  uuid not null references bender,
    by_hand    boolean not null,
    primary key (session_id, trainee_id)
);
create index seat_trainee on seat (trainee_id);
grant select, insert, update (bench, bender_id, by_hand), delete on seat to lobrik_app;

create table absence (
    id         uuid primary key,
    trainee_id uuid not null references trainee,
    first_day  date not null,
    last_day   date not null,
    reason     text not null default '' check (length(reason) <= 300),
    noted_by   uuid references account,
    check (first_day <= last_day)
);
create index absence_trainee on absence (trainee_id, first_day);
grant select, insert, delete on absence to lobrik_app;

-- The same two once, in whatever order they are named.
create table kept_apart (
    one_id   uuid not null references trainee,
    other_id uuid not null references trainee,
    noted_by uuid references account,
    primary key (one_id, other_id),
    check (one_id < other_id)
);
create index kept_apart_other on kept_apart (other_id);
grant select, insert, delete on kept_apart to lobrik_app;

create table attendance (
    session_id uuid not null references class_session,
    trainee_id uuid not null references trainee,
    state      text not null check (state in ('HERE', 'LATE', 'AWAY', 'EXCUSED')),
    noted_by   uuid references account,
    noted_at   timestamptz not null,
    primary key (session_id, trainee_id)
);
create index attendance_trainee on attendance (trainee_id);
grant select, insert, update (state, noted_by, noted_at), delete on attendance to lobrik_app;

-- Whoever has the address of a feed reads it; only the hash of what stands in the address is kept.
create table calendar_feed (
    id         uuid primary key,
    centre_id  uuid not null references centre,
    account_id uuid references account on delete cascade,
    cohort_id  uuid references cohort,
    hash       text not null unique,
    made_by    uuid not null references account,
    made_at    timestamptz not null,
    ended_at   timestamptz,
    check ((account_id is null) <> (cohort_id is null))
);
create index calendar_feed_made_by on calendar_feed (made_by);
grant select, insert, update (ended_at) on calendar_feed to lobrik_app;
