-- What was known of the bender when a piece was begun on it, and whether its points leave that out; null where nobody asked.
alter table attempt add column bender_known jsonb;

-- The lead decides whether points leave out what a bender is known to add. Until now they did not.
alter table centre add column points_without_bender boolean not null default false;
grant update (points_without_bender) on centre to lobrik_app;
