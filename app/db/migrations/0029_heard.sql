-- What somebody heard in a take before they looked at the verdict at the stand: the bars with a
-- flaw. It outlives the take: how one's own ear compares with the stand is told over months.
create table take_heard (
  studio_id uuid not null,
  take_id uuid not null,
  person_id uuid not null,
  flawed jsonb not null,
  stand_verdict text check (stand_verdict in ('clean', 'flawed')),
  at timestamptz not null,
  primary key (take_id, person_id),
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade
);
create index take_heard_by on take_heard (studio_id, person_id);
