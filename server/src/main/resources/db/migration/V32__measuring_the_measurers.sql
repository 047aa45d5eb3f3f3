-- Studies of how far readings can be trusted: the same pieces measured by several people, each several times, blind.
create table measuring_study (
    id         uuid primary key,
    centre_id  uuid not null references centre,
    title      text not null check (length(title) between 1 and 80),
    instrument text not null check (instrument in ('HAND', 'GAUGE')),
    pieces     int not null check (pieces between 3 and 50),
    repeats    int not null check (repeats between 2 and 5),
    asked      jsonb not null,
    made_by    uuid not null references account,
    made_at    timestamptz not null,
    closed_by  uuid references account,
    closed_at  timestamptz
);
create index measuring_study_centre on measuring_study (centre_id, made_at desc);
create table measuring_study_reader (
    study_id   uuid not null references measuring_study on delete cascade,
    account_id uuid not null references account,
    primary key (study_id, account_id)
);
create index measuring_study_reader_account on measuring_study_reader (account_id);
-- What somebody read of a piece in a round; never changed, and seen by nobody before the study is closed.
create table study_figure (
    id         uuid primary key,
    study_id   uuid not null references measuring_study,
    account_id uuid not null references account,
    piece      int not null,
    round      int not null,
    feature    text not null,
    value      bigint not null,
    at         timestamptz not null,
    unique (study_id, account_id, piece, round, feature)
);
grant select, insert, delete on measuring_study, measuring_study_reader to lobrik_app;
grant update (closed_by, closed_at) on measuring_study to lobrik_app;
grant select, insert on study_figure to lobrik_app;

-- What readings of a school are known to spread by, from then on; the newest row counts.
create table reading_spread (
    id        uuid primary key,
    centre_id uuid not null references centre,
    study_id  uuid references measuring_study,
    known     jsonb not null,
    taken_by  uuid not null references account,
    taken_at  timestamptz not null,
    entry_no  bigint not null default nextval('entry_number')
);
create index reading_spread_newest on reading_spread (centre_id, entry_no desc);
grant select, insert on reading_spread to lobrik_app;

-- As it was known when a piece was begun; null for what is usual.
alter table attempt add column reads_to jsonb;
