-- Sets of tolerances belong to whoever made them, and every change of them is kept. Who made the ones from before is only known
-- as far as nobody else changed them.
alter table judging_preset
    add column made_by uuid references account;
update judging_preset set made_by = kept_by;
alter table judging_preset
    alter column made_by set not null;

create table judging_preset_version (
    preset_id uuid        not null references judging_preset,
    version   integer     not null check (version > 0),
    figures   jsonb       not null,
    put_away  boolean     not null,
    kept_by   uuid        not null references account,
    kept_at   timestamptz not null,
    primary key (preset_id, version)
);
insert into judging_preset_version (preset_id, version, figures, put_away, kept_by, kept_at)
select id, 1, figures, put_away, kept_by, kept_at
from judging_preset;
grant select, insert on judging_preset_version to lobrik_app;

-- Who put an exercise away or took it back, and when. Of those that lie away since before it is not known who did it.
create table library_retirement (
    id       uuid primary key,
    entry_id uuid        not null references library_entry,
    away     boolean     not null,
    by       uuid references account,
    at       timestamptz not null,
    entry_no bigint      not null default nextval('entry_number')
);
create index on library_retirement (entry_id);
insert into library_retirement (id, entry_id, away, by, at)
select gen_random_uuid(), id, true, null, retired_at
from library_entry
where retired_at is not null;
grant select, insert on library_retirement to lobrik_app;
