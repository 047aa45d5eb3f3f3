-- A trainee has in hand whatever was given and is not measured yet, not only what was given last.

-- Whether everything asked of a piece is read; what is not marked so is judged whenever it matters.
alter table attempt add column complete boolean not null default false;
grant update (complete) on attempt to lobrik_app;

-- An exercise that somebody has no more in hand. Its sheet still opens it: whoever goes on with it has it in hand again.
create table taken_off (
    assignment_id uuid primary key references assignment,
    taken_by      uuid references account,
    taken_at      timestamptz not null
);
grant select, insert, delete on taken_off to lobrik_app;

-- Until now a later exercise took the place of an earlier one, and nobody was on that any more: so it stays.
insert into taken_off (assignment_id, taken_by, taken_at)
select a.id, null, now()
from assignment a
where exists (select 1
              from assignment b
              where b.trainee_id = a.trainee_id
                and b.given_at > a.given_at
                and not exists (select 1 from taken_back t where t.giving_id = b.giving_id));
