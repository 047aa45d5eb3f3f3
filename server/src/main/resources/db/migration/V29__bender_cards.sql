-- A bender is in use, doubtful, or out; what it is called may change. Whatever was bent on it keeps its revision and the label of then.
alter table bender
    add column state text not null default 'IN_USE' check (state in ('IN_USE', 'DOUBTFUL', 'OUT')),
    add column state_reason text not null default '',
    add column edition int not null default 0;
grant update (label, state, state_reason, edition) on bender to lobrik_app;

-- A size of one's own may be put away; what was set with it stays.
alter table conduit
    add column put_away boolean not null default false;
grant update (put_away) on conduit to lobrik_app;
