-- More kinds of people. An account that is not taken up yet has no password; one of a trainee belongs to that trainee.
alter table account drop constraint account_role_check;
alter table account
    alter column password_hash drop not null,
    add column trainee_id uuid references trainee,
    add column disabled_at timestamptz,
    add column edition int not null default 0,
    -- What somebody may do is decided when they sign in. Whatever changes it counts this up, and the sessions of before are found no more:
    -- a session is looked for by whose it is and in which edition of their rights (see SessionConfiguration).
    add column rights_edition int not null default 0,
    add constraint account_role_check check (role in ('LEAD', 'INSTRUCTOR', 'ASSISTANT', 'AUDITOR', 'TRAINEE')),
    add constraint account_of_trainee check ((role = 'TRAINEE') = (trainee_id is not null)),
    add constraint account_trainee_unique unique (trainee_id);
alter table account add column session_name text generated always as (id::text || '.' || rights_edition) stored;
create unique index account_session_name on account (session_name);
create index account_centre on account (centre_id, lower(full_name));
update spring_session set principal_name = principal_name || '.0' where principal_name is not null;

-- A code with which somebody takes up an account, or chooses another password: it works once, and not for long. Of it only its SHA-256
-- is here.
create table invitation (
    id           uuid primary key,
    account_id   uuid        not null references account,
    code_hash    bytea       not null unique check (octet_length(code_hash) = 32),
    made_by      uuid        not null references account,
    made_at      timestamptz not null,
    expires_at   timestamptz not null,
    used_at      timestamptz,
    withdrawn_at timestamptz
);
create index invitation_account on invitation (account_id);
grant select, insert on invitation to lobrik_app;
grant update (used_at, withdrawn_at) on invitation to lobrik_app;
grant delete on cohort_instructor to lobrik_app;

-- Every change that matters, each entry holding the hash of the one before: a chain for each school, and one for what is of none. Who
-- changes, takes out or puts in an entry behind our back breaks it, unless they make anew all that follows, and then its head is another.
alter table audit
    drop constraint audit_what_check,
    add constraint audit_what_check check (what in ('signedIn', 'signInFailed', 'signInHeldUp', 'signedOut', 'export',
        'added', 'changed', 'ended', 'erased')),
    add column centre_id uuid references centre,
    add column subject text,
    add column subject_id uuid,
    -- JSON, as text: what is hashed must not be written otherwise by the database.
    add column changes text,
    add column reason text,
    -- What was told of somebody who is erased is taken out; that it was there, and its hash, stay.
    add column blanked boolean not null default false,
    add column chain uuid,
    add column chain_no bigint,
    add column before_hash bytea,
    add column content_hash bytea,
    add column hash bytea;

create function audit_field(field text) returns text language sql immutable
    return case when field is null then '-;' else octet_length(field) || ':' || field || ';' end;

-- The same is worked out by AuditChain in Java, which checks it.
create function audit_content(e audit) returns bytea language sql immutable
    return sha256(convert_to(
        audit_field(e.chain_no::text) || audit_field(e.id::text)
        || audit_field((extract(epoch from e.at) * 1000000)::bigint::text)
        || audit_field(e.account_id::text) || audit_field(e.what) || audit_field(e.about) || audit_field(e.address)
        || audit_field(e.subject) || audit_field(e.subject_id::text) || audit_field(e.changes) || audit_field(e.reason), 'UTF8'));

create function audit_chained() returns trigger
    language plpgsql security definer set search_path from current as $$
declare
    last record;
begin
    new.chain := coalesce(new.centre_id, '00000000-0000-0000-0000-000000000000');
    perform pg_advisory_xact_lock(hashtextextended('audit ' || new.chain, 0));
    select chain_no, hash into last from audit where chain = new.chain order by chain_no desc limit 1;
    new.chain_no := coalesce(last.chain_no, 0) + 1;
    new.entry_no := nextval('entry_number');
    new.before_hash := coalesce(last.hash, decode(repeat('00', 32), 'hex'));
    new.content_hash := audit_content(new);
    new.hash := sha256(new.before_hash || new.content_hash);
    return new;
end $$;

-- What there is already: of the school of whoever it was.
update audit e set centre_id = a.centre_id from account a where a.id = e.account_id;
do $$
declare
    entry  audit;
    before bytea := '';
    number bigint := 0;
    of     uuid;
begin
    for entry in select * from audit order by coalesce(centre_id, '00000000-0000-0000-0000-000000000000'), entry_no loop
        entry.chain := coalesce(entry.centre_id, '00000000-0000-0000-0000-000000000000');
        if of is distinct from entry.chain then
            of := entry.chain;
            number := 0;
            before := decode(repeat('00', 32), 'hex');
        end if;
        number := number + 1;
        entry.chain_no := number;
        entry.before_hash := before;
        entry.content_hash := audit_content(entry);
        before := sha256(entry.before_hash || entry.content_hash);
        update audit set chain = entry.chain, chain_no = number, before_hash = entry.before_hash, content_hash = entry.content_hash,
            hash = before
        where id = entry.id;
    end loop;
end $$;
alter table audit
    alter column chain set not null,
    alter column chain_no set not null,
    alter column before_hash set not null,
    alter column content_hash set not null,
    alter column hash set not null,
    add constraint audit_chain_unique unique (chain, chain_no);
create index audit_subject on audit (subject_id);
create trigger audit_chained before insert on audit for each row execute function audit_chained();

-- Who is erased has no account any more, and what the audit told of them is blank.
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
    delete from taken_off where assignment_id in (select id from assignment where trainee_id = erased);
    delete from assignment where trainee_id = erased;
    delete from sign_off_withdrawal where sign_off_id in (select id from sign_off where trainee_id = erased);
    delete from sign_off where trainee_id = erased;
    delete from trainee_key where trainee_id = erased;
    delete from trainee_group_member where trainee_id = erased;
    delete from spring_session where principal_name in (select session_name from account where id = any (accounts));
    delete from known_device where account_id = any (accounts);
    delete from invitation where account_id = any (accounts);
    delete from account where id = any (accounts);
    delete from trainee where id = erased;
    return kept;
end $$;
