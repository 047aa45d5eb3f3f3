-- Keys that devices keep for somebody: of each only the public half is here. They go with the account.
create table passkey (
    credential_id      bytea primary key check (octet_length(credential_id) between 1 and 1023),
    account_id         uuid        not null references account on delete cascade,
    public_key         bytea       not null,
    signature_count    bigint      not null,
    backup_eligible    boolean     not null,
    backup_state       boolean     not null,
    attestation_object bytea,
    client_data        bytea,
    label              text        not null check (length(label) between 1 and 60),
    created_at         timestamptz not null,
    last_used_at       timestamptz not null
);
create index passkey_account on passkey (account_id);
grant select, insert, delete on passkey to lobrik_app;
grant update (signature_count, backup_state, last_used_at) on passkey to lobrik_app;
