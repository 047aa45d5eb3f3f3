-- What pieces are judged by, figure by figure: what is asked, what a reading is held to and how far it may be off, and what the trainee's
-- own figures are held to. It is worked out when the measuring begins; what is the same for many is kept once, under an id that is made of
-- what it says.
create table basis (
    id   uuid primary key,
    said jsonb not null
);
grant select, insert on basis to lobrik_app;

-- Of the attempts there are it is worked out by the migration that follows.
alter table attempt add column basis_id uuid references basis;
