-- Devices from which somebody signed in before: a stranger who tries their name does not hold them up there. Of the token that
-- the device keeps only its SHA-256 is here.
create table known_device (
    token_hash bytea primary key check (octet_length(token_hash) = 32),
    account_id uuid not null references account,
    since timestamptz not null,
    seen_at timestamptz not null
);
create index on known_device (account_id);

-- Who came in, who tried, and what was taken out. It grows and is never changed.
create table audit (
    id uuid primary key,
    at timestamptz not null,
    account_id uuid references account,
    what text not null check (what in ('signedIn', 'signInFailed', 'signInHeldUp', 'signedOut', 'export')),
    about text not null check (length(about) <= 200),
    address text not null check (length(address) <= 60)
);
create index on audit (at);

grant select, insert, update, delete on known_device to lobrik_app;
grant select, insert on audit to lobrik_app;

-- Sessions are found by the account's id from now on, no more by the full name, which two may share. Whoever does signs in again.
update spring_session s set principal_name = a.id::text
from account a
where s.principal_name = a.full_name
  and not exists (select 1 from account b where b.full_name = a.full_name and b.id <> a.id);
delete from spring_session s
where s.principal_name is not null and not exists (select 1 from account a where a.id::text = s.principal_name);
