-- The notes of a piece, one row for each edition; the newest is the one in force.
create table score (
  id uuid primary key,
  studio_id uuid not null,
  piece_id uuid not null,
  edition integer not null check (edition > 0),
  file_name text not null check (length(file_name) between 1 and 200),
  format text not null check (format in ('musicxml', 'mxl', 'abc', 'midi')),
  -- The file as it came, byte for byte.
  original bytea not null,
  score jsonb not null,
  notes jsonb not null,
  -- What the engraver is given.
  engraving text not null,
  added_at timestamptz not null,
  unique (piece_id, edition),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);

-- The part of the score that this student plays; without it the first.
alter table person_piece add column part_id text;
