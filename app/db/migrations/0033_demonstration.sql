-- A piece as its teacher plays it. The sound lies beside the database, as takes do.
create table demonstration (
  id uuid primary key,
  studio_id uuid not null,
  piece_id uuid not null,
  name text not null check (length(name) between 1 and 120),
  bytes integer not null check (bytes > 0),
  hash text not null check (hash ~ '^[0-9a-f]{64}$'),
  media_type text not null,
  -- Bars and when they begin in it; none until they are marked.
  places jsonb not null default '[]',
  made_at timestamptz not null,
  unique (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id) on delete cascade
);
create index demonstration_of_piece on demonstration (studio_id, piece_id);
create index demonstration_by_hash on demonstration (hash);
