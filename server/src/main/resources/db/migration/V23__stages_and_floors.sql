-- A piece that was bent on or eased is measured again: each reading says of which stage it is, 1 as first bent. What was read before
-- there were stages is of the first. An angle that was read with a level is off by as much as the floor slopes; what was read stays.
-- The last mark of an over-bent ninety may be found on the part-bent piece; then it is held to nothing.
alter table reading
    add column stage int not null default 1 check (stage >= 1),
    add column by_level boolean not null default false,
    add column as_found boolean not null default false;
alter table reading
    alter column stage drop default,
    alter column by_level drop default,
    alter column as_found drop default;

alter table bench_fact drop constraint bench_fact_kind_check;
alter table bench_fact add constraint bench_fact_kind_check
    check (kind in ('finding', 'rework', 'stage', 'floor', 'waste', 'time', 'figures', 'note', 'ownLook'));

-- The floor of a bench is looked for whenever a piece is begun there.
create index bench_fact_floor on bench_fact (taken_at) where kind = 'floor';
