-- What the monitor on the wall tells of people is for each school to choose.
alter table centre add column wall_scores boolean not null default true;
alter table centre add column wall_initials boolean not null default false;
grant update (wall_scores, wall_initials) on centre to lobrik_app;
