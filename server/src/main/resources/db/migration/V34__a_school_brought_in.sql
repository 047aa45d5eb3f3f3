-- A school that was taken out of another server as a file is brought in with all its ids and its audit. Whoever brings it in does so from a
-- school that is empty still, which that one stands in place of from then on.
alter table centre add column replaced_by uuid references centre;
grant update (replaced_by) on centre to lobrik_app;

-- Which transaction brings a school in just now; nobody sees a row of it, as it is taken out before that ends.
create table bringing_in (
    transaction xid8 primary key,
    school      uuid not null
);

-- What is brought in was written down elsewhere: it is neither enrolled nor chained anew.
create function bring_in_begin(wanted uuid) returns void
    language plpgsql security definer set search_path from current as $$
begin
    if exists (select from centre where id = wanted) then
        raise exception 'school-known';
    end if;
    alter table trainee disable trigger trainee_enrolled;
    alter table audit disable trigger audit_chained;
    insert into bringing_in values (pg_current_xact_id(), wanted);
end $$;

-- Rows of one table, as JSON with the names of its columns. Of what is kept by its content there may be some already.
create function bring_in(name text, row_list jsonb) returns int
    language plpgsql security definer set search_path from current as $$
declare
    columns text;
    brought int;
begin
    if not exists (select from bringing_in where transaction = pg_current_xact_id()) then
        raise exception 'nothing is brought in just now';
    end if;
    if name in ('second_factor', 'recovery_code', 'known_device', 'invitation', 'spring_session', 'spring_session_attributes',
        'bringing_in', 'flyway_schema_history', 'outcome_state') then
        raise exception 'not of a school: %', name;
    end if;
    select string_agg(quote_ident(c.column_name), ', ' order by c.ordinal_position) into columns
    from information_schema.columns c
    where c.table_schema = current_schema() and c.table_name = name and c.is_generated = 'NEVER'
        and c.column_name <> 'password_hash' and row_list -> 0 ? c.column_name;
    if columns is null then
        raise exception 'no such table: %', name;
    end if;
    execute format('insert into %I (%s) select %s from jsonb_populate_recordset(null::%I, $1)%s', name, columns, columns, name,
        case when name = 'basis' then ' on conflict do nothing' else '' end) using row_list;
    get diagnostics brought = row_count;
    return brought;
end $$;

-- What is written down next comes after all of it.
create function bring_in_end(highest bigint) returns void
    language plpgsql security definer set search_path from current as $$
begin
    delete from bringing_in where transaction = pg_current_xact_id();
    alter table trainee enable trigger trainee_enrolled;
    alter table audit enable trigger audit_chained;
    perform setval('entry_number', greatest(highest, nextval('entry_number')));
end $$;
revoke execute on function bring_in_begin(uuid), bring_in(text, jsonb), bring_in_end(bigint) from public;
grant execute on function bring_in_begin(uuid), bring_in(text, jsonb), bring_in_end(bigint) to lobrik_app;

-- How long data of each kind is kept, and what was taken away by that.
create table retention_rule (
    centre_id    uuid        not null references centre,
    kind         text        not null check (kind in ('PHOTOS', 'PRESENCE', 'PEOPLE_LEFT', 'STUDIES')),
    months       int         not null check (months between 1 and 240),
    by_calendar  boolean     not null,
    edition      int         not null default 0,
    kept_by      uuid        not null references account,
    kept_at      timestamptz not null,
    primary key (centre_id, kind)
);
grant select, insert, delete on retention_rule to lobrik_app;
grant update (months, by_calendar, edition, kept_by, kept_at) on retention_rule to lobrik_app;
create table retention_run (
    id        uuid        primary key,
    centre_id uuid        not null references centre,
    kind      text        not null,
    before    timestamptz not null,
    taken     int         not null,
    run_by    uuid references account,
    run_at    timestamptz not null
);
create index retention_run_centre on retention_run (centre_id, run_at desc);
grant select, insert on retention_run to lobrik_app;

-- What is older than a school keeps it goes. People who left are erased by erase_trainee.
create function retain(kind text, school uuid, before timestamptz) returns int
    language plpgsql security definer set search_path from current as $$
declare
    gone int := 0;
    more int;
begin
    if kind = 'PHOTOS' then
        delete from photo p using attempt a join trainee t on t.id = a.trainee_id join cohort c on c.id = t.cohort_id
        where p.attempt_id = a.id and c.centre_id = school and p.received_at < before;
        get diagnostics gone = row_count;
    elsif kind = 'PRESENCE' then
        delete from attendance p using class_session s where p.session_id = s.id and s.centre_id = school and s.on_day < before::date;
        get diagnostics gone = row_count;
        delete from seat p using class_session s where p.session_id = s.id and s.centre_id = school and s.on_day < before::date;
        delete from absence p using trainee t join cohort c on c.id = t.cohort_id
        where p.trainee_id = t.id and c.centre_id = school and p.last_day < before::date;
        get diagnostics more = row_count;
        gone := gone + more;
    elsif kind = 'STUDIES' then
        delete from study_figure f using measuring_study s
        where f.study_id = s.id and s.centre_id = school and s.closed_at < before;
        get diagnostics gone = row_count;
    else
        raise exception 'unknown kind %', kind;
    end if;
    return gone;
end $$;
revoke execute on function retain(text, uuid, timestamptz) from public;
grant execute on function retain(text, uuid, timestamptz) to lobrik_app;
