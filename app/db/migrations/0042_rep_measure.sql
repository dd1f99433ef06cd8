-- How a play lay against its beats, where something measured it; counted from its events.
create table rep_measure (
  play_id uuid primary key,
  session_id uuid not null,
  studio_id uuid not null,
  passage_id uuid not null,
  day date not null,
  source text not null check (source in ('taps', 'midi', 'sound')),
  -- Milliseconds: the mean asynchrony, and its standard deviation.
  bias numeric,
  spread numeric not null,
  -- Beats or notes that were met; an earlier form told the spread alone.
  met integer,
  missed integer,
  extra integer
);
create index rep_measure_of_passage on rep_measure (studio_id, passage_id, day);
create index rep_measure_of_session on rep_measure (session_id);
