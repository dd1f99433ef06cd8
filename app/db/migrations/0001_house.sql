-- Everything belongs to a studio; composite keys keep a row from pointing into another studio.

create table studio (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  time_zone text not null,
  concert_name text not null default '',
  concert_on date,
  created_at timestamptz not null default now()
);

create table person (
  id uuid primary key,
  studio_id uuid not null references studio (id),
  name text not null check (length(name) between 1 and 120),
  role text not null check (role in ('teacher', 'student')),
  instrument text not null default '',
  no_verdict text not null default 'wait' check (no_verdict in ('wait', 'again')),
  created_at timestamptz not null default now(),
  unique (studio_id, id)
);

create table piece (
  id uuid primary key,
  studio_id uuid not null references studio (id),
  title text not null check (length(title) between 1 and 200),
  origin text not null default '',
  kind text not null check (kind in ('piece', 'etude', 'scale', 'drill')),
  bars integer not null check (bars > 0),
  pickup_beats integer not null check (pickup_beats >= 0),
  metres jsonb not null,
  mark_bpm numeric not null,
  mark_unit text not null,
  created_at timestamptz not null default now(),
  unique (studio_id, id)
);

-- A piece on a student's stand.
create table person_piece (
  studio_id uuid not null,
  person_id uuid not null,
  piece_id uuid not null,
  added_at timestamptz not null default now(),
  primary key (person_id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);

create table passage (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  piece_id uuid not null,
  name text not null default '',
  focus text not null default '',
  from_bar integer not null check (from_bar > 0),
  to_bar integer not null,
  pickup_beats integer not null check (pickup_beats >= 0),
  end_beats integer not null check (end_beats >= 0),
  -- What the teacher says of it; without it the record speaks.
  state_set text check (state_set in ('raw', 'forming', 'safe')),
  created_at timestamptz not null default now(),
  retired_at timestamptz,
  unique (studio_id, id),
  check (to_bar >= from_bar),
  foreign key (person_id, piece_id) references person_piece (person_id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index passage_of_person on passage (studio_id, person_id);

-- The newest ladder of a passage is the one in force; earlier ones stay readable.
create table ladder (
  id uuid primary key,
  studio_id uuid not null,
  passage_id uuid not null,
  number integer not null,
  ladder jsonb not null,
  created_at timestamptz not null default now(),
  unique (passage_id, number),
  foreign key (studio_id, passage_id) references passage (studio_id, id)
);
