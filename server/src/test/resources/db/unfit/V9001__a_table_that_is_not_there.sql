alter table nobody_has_this add column x int;
