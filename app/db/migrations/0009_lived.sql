-- "Enough of this for today", said by the player of an item of the week.
create table item_enough (
  studio_id uuid not null,
  person_id uuid not null,
  item_id uuid not null,
  day date not null,
  primary key (person_id, item_id, day),
  foreign key (studio_id, person_id) references person (studio_id, id)
);

-- What a student does even on a short day, whatever the session is.
alter table person add column must_do jsonb not null default '[]';
