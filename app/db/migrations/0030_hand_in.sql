-- A take handed in for an item of a week. Until its day it may be exchanged for another.
create table hand_in (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  -- The item of the week, and what it was then.
  item_id uuid not null,
  title text not null,
  take_id uuid not null,
  line text not null default '',
  due date not null,
  at timestamptz not null,
  answer text check (answer in ('heard', 'again')),
  rating text not null default '',
  answered_at timestamptz,
  unique (studio_id, id),
  unique (person_id, item_id),
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade,
  foreign key (studio_id, take_id) references take (studio_id, id) on delete cascade
);
create index hand_in_waiting on hand_in (studio_id, at) where answer is null;
create index hand_in_of_take on hand_in (take_id);

-- What the teacher says of a bar of a take that was handed in; without a bar: of all of it.
create table hand_in_comment (
  id uuid primary key,
  studio_id uuid not null,
  hand_in_id uuid not null,
  bar integer,
  text text not null check (length(text) between 1 and 500),
  at timestamptz not null,
  foreign key (studio_id, hand_in_id) references hand_in (studio_id, id) on delete cascade
);
create index hand_in_comment_of on hand_in_comment (hand_in_id);
