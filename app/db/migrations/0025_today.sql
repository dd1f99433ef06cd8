-- What a student changed of a passage's ladder for one day, as it was advised; at the lesson the
-- teacher sees it, and keeps it or not.
create table today_change (
  studio_id uuid not null,
  person_id uuid not null,
  passage_id uuid not null,
  day date not null,
  rule text not null,
  change jsonb not null,
  at timestamptz not null,
  primary key (passage_id, day),
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade,
  foreign key (studio_id, passage_id) references passage (studio_id, id) on delete cascade
);
create index today_change_of on today_change (studio_id, person_id, day);
