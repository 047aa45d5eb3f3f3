-- Sets of tolerances that a centre made for itself. What was judged by one keeps its figures (attempt.tolerances); this
-- table only says what is offered for what is set next.
create table judging_preset (
    id         uuid primary key,
    centre_id  uuid        not null references centre,
    name       text        not null,
    figures    jsonb       not null,
    kept_by    uuid        not null references account,
    kept_at    timestamptz not null,
    put_away   boolean     not null default false
);
create unique index judging_preset_name on judging_preset (centre_id, lower(name)) where not put_away;

grant select, insert, update on judging_preset to lobrik_app;
