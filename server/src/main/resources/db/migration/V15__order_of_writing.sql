-- In which order things were written down, whatever the clocks said: a clock that was put right must not hide what is newer behind
-- what it dated too late.
create sequence entry_number;
grant usage on sequence entry_number to lobrik_app;

create temporary table entry_order on commit drop as
select what, id, row_number() over (order by at, rank, id) as entry_no
from (
    select 'sign_off_rule' as what, id, kept_at as at, 0 as rank from sign_off_rule
    union all select 'giving', id, given_at, 1 from giving
    union all select 'assignment', id, given_at, 2 from assignment
    union all select 'attempt', id, started_at, 3 from attempt
    union all select 'bench_step', id, set_at, 4 from bench_step
    union all select 'bench_fact', id, received_at, 5 from bench_fact
    union all select 'reading', id, received_at, 6 from reading
    union all select 'seal', id, set_at, 7 from seal
    union all select 'sign_off', id, signed_at, 8 from sign_off
    union all select 'audit', id, at, 9 from audit
) as known;
create unique index on entry_order (what, id);
select setval('entry_number', (select count(*) + 1 from entry_order), false);

do $$
declare
    what text;
begin
    foreach what in array array['sign_off_rule', 'giving', 'assignment', 'attempt', 'bench_step', 'bench_fact', 'reading', 'seal',
        'sign_off', 'audit'] loop
        execute format('alter table %I add column entry_no bigint', what);
        execute format('update %I t set entry_no = o.entry_no from entry_order o where o.what = %L and o.id = t.id', what, what);
        execute format('alter table %I alter column entry_no set default nextval(''entry_number''), alter column entry_no set not null',
            what);
    end loop;
end
$$;

-- What the device said of the time is kept beside the time that is concluded from it; and how far its clock was ahead of ours.
alter table reading
    add column said_at timestamptz,
    add column device_ahead_ms bigint;
alter table bench_fact
    add column said_at timestamptz,
    add column device_ahead_ms bigint;
alter table photo
    add column said_at timestamptz,
    add column device_ahead_ms bigint;
