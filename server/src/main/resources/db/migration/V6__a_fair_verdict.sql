-- What the readings of an attempt are judged against is frozen with it. Whatever was begun before this is judged as it was:
-- against what the exercise asks for, marks too.
alter table attempt
    add column yardstick text not null default 'asAsked'
        constraint attempt_yardstick_known check (yardstick in ('rightPiece', 'freeMethod', 'asAsked')),
    -- By feature, in picometres or nanodegrees. Of what was begun before, those that were judged; the rest is laid out.
    add column targets   jsonb not null default '{}';
update attempt
set targets = (select jsonb_object_agg(judged.feature, judged.target)
               from unnest(outcome.features, outcome.targets) as judged (feature, target))
from outcome
where outcome.attempt_id = attempt.id
  and cardinality(outcome.features) > 0;
alter table attempt alter column yardstick drop default, alter column targets drop default;

-- Since when somebody is there: whoever came yesterday has not rested for two weeks.
alter table trainee add column joined_at timestamptz;
update trainee
set joined_at = cohort.created_at
from cohort
where cohort.id = trainee.cohort_id;
alter table trainee alter column joined_at set default now(), alter column joined_at set not null;

-- An exercise may leave it to the trainee how the marks are found.
alter table exercise add column method_free boolean not null default false;
