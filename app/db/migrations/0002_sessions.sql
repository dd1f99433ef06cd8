create table session (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  plan jsonb not null,
  created_at timestamptz not null default now(),
  unique (studio_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index session_of_person on session (studio_id, person_id, created_at);

-- Appended, never changed. Ids are made at the stand, so sending again changes nothing.
create table session_event (
  id uuid primary key,
  studio_id uuid not null,
  session_id uuid not null,
  seq integer not null check (seq >= 0),
  at timestamptz not null,
  kind text not null,
  payload jsonb not null,
  received_at timestamptz not null default now(),
  unique (session_id, seq),
  foreign key (studio_id, session_id) references session (studio_id, id)
);

-- Below: projections. Each can be rebuilt from session and session_event alone.

create table session_outcome (
  session_id uuid primary key references session (id),
  studio_id uuid not null,
  person_id uuid not null,
  day date not null,
  started_at timestamptz not null,
  last_at timestamptz not null,
  ended text,
  notes jsonb not null
);
create index session_outcome_by_day on session_outcome (studio_id, person_id, day);

create table session_block (
  session_id uuid not null references session (id),
  position integer not null,
  studio_id uuid not null,
  person_id uuid not null,
  passage_id uuid not null references passage (id),
  day date not null,
  start_tempo numeric not null,
  end_tempo numeric not null,
  reached_tempo numeric,
  target_tempo numeric not null,
  plays integer not null,
  clean integer not null,
  active_seconds numeric not null,
  topped_out boolean not null,
  primary key (session_id, position)
);
create index session_block_by_day on session_block (studio_id, person_id, day);
create index session_block_of_passage on session_block (passage_id, day);

create table rep (
  id uuid primary key,
  session_id uuid not null references session (id),
  studio_id uuid not null,
  passage_id uuid not null references passage (id),
  day date not null,
  at timestamptz not null,
  tempo numeric not null,
  verdict text not null check (verdict in ('clean', 'flawed')),
  from_bar integer not null,
  to_bar integer not null,
  flaw_bar integer,
  flaw_what text
);
create index rep_of_passage on rep (studio_id, passage_id, day);
create index rep_of_session on rep (session_id);

create table passage_day (
  studio_id uuid not null,
  passage_id uuid not null references passage (id),
  day date not null,
  reached_tempo numeric,
  comfortable numeric not null,
  comfortable_low numeric not null,
  comfortable_high numeric not null,
  ceiling numeric not null,
  ceiling_low numeric not null,
  ceiling_high numeric not null,
  primary key (passage_id, day)
);
