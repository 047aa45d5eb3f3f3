-- A giving that was taken back before anything was measured: it stays on record, and nobody is on it any more.
create table taken_back (
    giving_id uuid primary key references giving,
    taken_by  uuid        not null references account,
    taken_at  timestamptz not null
);
grant select, insert on taken_back to lobrik_app;
