-- Bars that stand by heart, and since when; a bar that fell out has no row.
create table memory_bar (
  studio_id uuid not null,
  person_id uuid not null,
  piece_id uuid not null,
  bar integer not null check (bar > 0),
  since date not null,
  primary key (person_id, piece_id, bar),
  foreign key (person_id, piece_id) references person_piece (person_id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);

-- Playing from a bar on without the notes: whether it stood. The id comes from the page.
create table memory_test (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  piece_id uuid not null,
  day date not null,
  from_bar integer not null check (from_bar > 0),
  to_bar integer not null check (to_bar >= from_bar),
  stood boolean not null,
  -- The notes were looked at: nothing is said about memory.
  looked boolean not null,
  tested_at timestamptz not null,
  foreign key (person_id, piece_id) references person_piece (person_id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index memory_test_of_piece on memory_test (person_id, piece_id, day);
