-- A photograph of somebody, where they like one to be kept: it goes with them. When it was kept stands with the person, so that
-- whoever shows people need not ask for it one by one.
alter table trainee add column portrait_at timestamptz;
grant update (portrait_at) on trainee to lobrik_app;
create table portrait (
    id      uuid primary key references trainee on delete cascade,
    content bytea not null
);
grant select, insert, update (content), delete on portrait to lobrik_app;
