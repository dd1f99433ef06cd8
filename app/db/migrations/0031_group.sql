-- Students who are taught together.
create table student_group (
  id uuid primary key,
  studio_id uuid not null references studio (id),
  name text not null check (length(name) between 1 and 80),
  kind text not null check (kind in ('class', 'ensemble', 'section')),
  made_at timestamptz not null,
  unique (studio_id, id),
  unique (studio_id, name)
);

create table group_member (
  studio_id uuid not null,
  group_id uuid not null,
  person_id uuid not null,
  primary key (group_id, person_id),
  foreign key (studio_id, group_id) references student_group (studio_id, id) on delete cascade,
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade
);
create index group_member_of_person on group_member (studio_id, person_id);

-- What is set for a group until a day. It lands in each member's own week.
create table group_item (
  id uuid primary key,
  studio_id uuid not null,
  group_id uuid not null,
  asked jsonb not null,
  until_day date not null,
  set_at timestamptz not null,
  changed_at timestamptz not null,
  unique (studio_id, id),
  foreign key (studio_id, group_id) references student_group (studio_id, id) on delete cascade
);
create index group_item_of on group_item (studio_id, group_id, until_day);

-- How it came to each member: the item as it was put into their week, or why it was not. As long
-- as theirs is as it was given, later changes reach it.
create table group_landed (
  studio_id uuid not null,
  group_item_id uuid not null,
  person_id uuid not null,
  left_out text check (left_out in ('by-you', 'hurt', 'full')),
  item jsonb,
  -- The number of the ladder that their passage was given with it.
  ladder_number integer,
  -- A later change that did not reach them, since theirs had been changed.
  kept_theirs boolean not null default false,
  primary key (group_item_id, person_id),
  check ((left_out is null) = (item is not null)),
  foreign key (studio_id, group_item_id) references group_item (studio_id, id) on delete cascade,
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade
);
create index group_landed_of_person on group_landed (studio_id, person_id);
