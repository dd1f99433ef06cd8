-- Who may come in. Someone teaching themself is a teacher who plays.
alter table person
  drop constraint person_role_check,
  add constraint person_role_check check (role in ('teacher', 'student', 'parent')),
  add column plays boolean not null default false,
  -- What a teacher signs in with, and its memory-hard hash.
  add column sign_in text,
  add column password_hash text,
  add constraint person_sign_in_key unique (sign_in),
  add constraint person_sign_in_whole check ((sign_in is null) = (password_hash is null));
update person set plays = role = 'student';

-- Rooms of the demo: only there is anyone let in on one press.
alter table studio add column demo boolean not null default false;

-- A parent looks on.
create table looks_on (
  studio_id uuid not null,
  parent_id uuid not null,
  student_id uuid not null,
  primary key (parent_id, student_id),
  foreign key (studio_id, parent_id) references person (studio_id, id),
  foreign key (studio_id, student_id) references person (studio_id, id)
);

-- Secrets that were given out; only their hashes are kept.
create table access (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  kind text not null check (kind in ('link', 'code', 'calendar')),
  secret_hash text not null unique,
  made_at timestamptz not null,
  expires_at timestamptz,
  used_at timestamptz,
  revoked_at timestamptz,
  unique (studio_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index access_of_person on access (studio_id, person_id);

create table sign_in (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  access_id uuid references access (id),
  began_at timestamptz not null,
  ended_at timestamptz,
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index sign_in_of_person on sign_in (studio_id, person_id);
