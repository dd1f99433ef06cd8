-- What a day that is over has asked of an item, and why it asked nothing: written by whoever looks
-- first on a later day, and never changed. What was done is reckoned from what was practised.
create table item_day (
  studio_id uuid not null,
  person_id uuid not null,
  item_id uuid not null,
  day date not null,
  minutes integer not null check (minutes >= 0),
  why text check (why in ('other-day', 'no-time', 'short', 'lesson')),
  primary key (person_id, item_id, day),
  foreign key (studio_id, person_id) references person (studio_id, id),
  check ((why is null) = (minutes > 0))
);
create index item_day_of_person on item_day (studio_id, person_id, day);

-- What a week asks is the sum of what its days ask: no other number stands beside it.
update assignment set text = text - 'goal' - 'goesOn';
