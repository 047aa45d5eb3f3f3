-- What servers of one record have to know of each other. None of it is a school's record: it is gone within minutes, and in no file.

-- Wrong tries at passwords and codes: whose they are is kept as a hash only.
create table tried (
    what         text        not null,
    who          text        not null,
    wrong        int         not null,
    next_at      timestamptz not null,
    forgotten_at timestamptz not null,
    primary key (what, who)
);
create index tried_forgotten on tried (forgotten_at);
grant select, insert, update, delete on tried to lobrik_app;

-- Allowances that hold for all servers together (Bucket4j's own form); its keys are hashes.
create table allowance (
    id         text primary key,
    state      bytea,
    expires_at bigint
);
create index allowance_expires on allowance (expires_at);
grant select, insert, update, delete on allowance to lobrik_app;

-- What devices were asked to sign: each question is answered once, at whatever server.
create table passkey_question (
    id         uuid primary key,
    account_id uuid references account on delete cascade,
    challenge  bytea       not null,
    good_until timestamptz not null
);
create index passkey_question_good_until on passkey_question (good_until);
grant select, insert, delete on passkey_question to lobrik_app;

-- Printings that go on, and their files for ten minutes.
create table printing (
    id         uuid primary key,
    account_id uuid        not null references account on delete cascade,
    file_name  text        not null,
    pages      int         not null,
    done       int         not null default 0,
    failed     boolean     not null default false,
    file       bytea,
    made_at    timestamptz not null default clock_timestamp(),
    -- The server that prints says so every few seconds.
    alive_at   timestamptz not null default clock_timestamp()
);
create index printing_account on printing (account_id);
create index printing_made on printing (made_at);
grant select, insert, update, delete on printing to lobrik_app;

-- Which screen has a gauge, for as long as some server has that screen.
create table gauge_claim (
    gauge_id   text primary key,
    centre_id  uuid        not null references centre on delete cascade,
    screen_id  uuid        not null,
    account_id uuid        not null references account on delete cascade,
    name       text        not null,
    seen_at    timestamptz not null default clock_timestamp()
);
grant select, insert, update, delete on gauge_claim to lobrik_app;

-- How far working everything out anew is, on whichever server.
alter table outcome_state add column done bigint, add column of_all bigint;
