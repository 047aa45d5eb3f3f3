-- The code on a sheet ends so many days after its session; a cohort may have a last day, with which its trainees' keys end.
alter table centre
    add column sheet_days integer not null default 14 check (sheet_days between 1 and 366);
alter table cohort
    add column ends_on date;
grant update (sheet_days) on centre to lobrik_app;
grant update (ends_on) on cohort to lobrik_app;
