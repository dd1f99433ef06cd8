-- When a student has time, and when the lesson is.
alter table person
  add column times jsonb not null default '{"windows": [], "lesson": null}';

-- What is asked from one lesson to the next. A draft until it is set; then it stays readable.
create table assignment (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  from_day date not null,
  until_day date not null,
  -- Counted up at each saving, so that nobody writes over what somebody else has written.
  version integer not null default 1,
  text jsonb not null,
  set_at timestamptz,
  saved_at timestamptz not null,
  unique (studio_id, id),
  check (until_day > from_day),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index assignment_of_person on assignment (studio_id, person_id, from_day);
create unique index one_draft_of_person on assignment (studio_id, person_id) where set_at is null;

-- Practice made without Fidus.
create table practice_by_hand (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  day date not null,
  minutes integer not null check (minutes between 1 and 600),
  item_id uuid,
  note text not null default '',
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index practice_by_hand_of_person on practice_by_hand (studio_id, person_id, day);

-- Shapes of a session to use again.
create table session_shape (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  name text not null check (length(name) between 1 and 80),
  shape jsonb not null,
  kept_at timestamptz not null,
  unique (person_id, name),
  foreign key (studio_id, person_id) references person (studio_id, id)
);

-- Learning a piece by heart to a date, and what stood on which day.
create table memory_plan (
  studio_id uuid not null,
  person_id uuid not null,
  piece_id uuid not null,
  plan jsonb not null,
  stands integer not null default 0 check (stands >= 0),
  stands_on date not null,
  primary key (person_id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);

-- Projections of the new events; older sessions have none of these.
alter table session_outcome
  add column tasks jsonb not null default '[]',
  add column questions jsonb not null default '[]',
  add column ratings jsonb not null default '{}',
  add column feeling text;

-- The board reads what was said lately, of everyone.
create index session_outcome_lately on session_outcome (studio_id, day);
create index session_block_lately on session_block (studio_id, day);
