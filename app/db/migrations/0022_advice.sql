-- Advice that was put away, by what it saw: it stays away until that changes.
create table advice_dismissed (
  studio_id uuid not null,
  person_id uuid not null,
  key text not null,
  at timestamptz not null,
  primary key (person_id, key),
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade
);

-- Rules that a teacher has switched off, for a student or (person null) for everyone.
create table advice_off (
  studio_id uuid not null references studio (id),
  person_id uuid,
  rule text not null,
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade
);
create unique index advice_off_once on advice_off
  (studio_id, coalesce(person_id, '00000000-0000-0000-0000-000000000000'), rule);
