-- Every attempt has one now; it says what the targets said, and more.
alter table attempt
    alter column basis_id set not null,
    drop column targets;
