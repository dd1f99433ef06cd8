-- Exercises of the room: a piece with the passages and ladders that a student gets with it.
create table exercise (
  id uuid primary key,
  studio_id uuid not null references studio (id),
  piece_id uuid not null,
  name text not null check (length(name) between 1 and 80),
  passages jsonb not null,
  version integer not null default 1,
  kept_at timestamptz not null,
  unique (studio_id, name),
  unique (studio_id, piece_id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);

-- The exercise that a passage was given from, and its version then.
alter table passage
  add column given_exercise uuid references exercise (id) on delete set null,
  add column given_version integer;
