-- What follows from something that was written down and is not worked out yet: once for each attempt, in the order in which it was asked
-- for. It is on the list in the transaction of what was written, so that no end of the server loses it.
create table follow_up (
    attempt_id uuid primary key references attempt on delete cascade,
    asked_no   bigint not null default nextval('entry_number'),
    failed     int    not null default 0
);
create index follow_up_order on follow_up (asked_no);
grant select, insert, update, delete on follow_up to lobrik_app;
