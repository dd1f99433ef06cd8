-- The chance that everything of a student stands at the concert, as it was reckoned on a day. It is
-- dropped when something changes that it goes by, and reckoned again when it is asked for.
create table outlook (
  studio_id uuid not null,
  person_id uuid primary key,
  day date not null,
  chance numeric,
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade
);
