-- A recording of one play. The sound lies beside the database, under the hash of its content.
create table take (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  session_id uuid not null,
  passage_id uuid not null,
  -- The event of the play that it is of.
  play uuid not null,
  recorded_at timestamptz not null,
  tempo numeric not null,
  bytes integer not null check (bytes > 0),
  hash text not null check (hash ~ '^[0-9a-f]{64}$'),
  media_type text not null,
  -- What is known of it without listening: where its bars lie, and how surely.
  about jsonb not null,
  kept_until date not null,
  unique (studio_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade,
  foreign key (studio_id, session_id) references session (studio_id, id) on delete cascade,
  foreign key (studio_id, passage_id) references passage (studio_id, id) on delete cascade
);
create index take_of_person on take (studio_id, person_id, recorded_at);
create index take_of_passage on take (studio_id, passage_id, recorded_at);
create index take_of_session on take (session_id);
create index take_by_hash on take (hash);
create index take_kept_until on take (kept_until);

-- How many days a take is kept.
alter table studio add column takes_days integer not null default 90 check (takes_days between 1 and 3650);
