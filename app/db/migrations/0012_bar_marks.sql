-- How well each bar goes, as it was touched while the piece was read once.
create table bar_mark (
  studio_id uuid not null,
  person_id uuid not null,
  piece_id uuid not null,
  bar integer not null check (bar >= 0),
  mark text not null check (mark in ('raw', 'forming', 'safe')),
  marked_at timestamptz not null,
  primary key (person_id, piece_id, bar),
  foreign key (person_id, piece_id) references person_piece (person_id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
