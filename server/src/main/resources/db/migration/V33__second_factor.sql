-- A second factor beside the password: a secret that an app on a phone makes codes from, and codes to be kept on paper. They go with the
-- account.
create table second_factor (
    account_id   uuid primary key references account on delete cascade,
    secret       bytea       not null check (octet_length(secret) = 20),
    begun_at     timestamptz not null,
    -- When its holder showed that their app makes its codes; before that nobody is asked for one.
    confirmed_at timestamptz,
    -- The last half minute of which a code was used, so that none is used twice.
    last_step    bigint      not null default 0
);
create table recovery_code (
    code_hash  bytea primary key check (octet_length(code_hash) = 32),
    account_id uuid not null references second_factor on delete cascade,
    used_at    timestamptz
);
create index recovery_code_account on recovery_code (account_id);
grant select, insert, delete on second_factor, recovery_code to lobrik_app;
grant update (confirmed_at, last_step) on second_factor to lobrik_app;
grant update (used_at) on recovery_code to lobrik_app;

-- Whether leads need one. Whoever is a lead and has none yet may do what an instructor may.
alter table centre add column leads_confirm boolean not null default false;
grant update (leads_confirm) on centre to lobrik_app;
alter table account add column held_back boolean not null default false;
