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

-- A question for the lesson. Asked at the stand its id is that of the event, so that counting a
-- session again asks nothing twice; what was answered stays.
create table question (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  day date not null,
  text text not null check (length(text) between 1 and 500),
  answer text not null default '',
  -- Answered, or talked about at the lesson: it waits no longer.
  closed_on date,
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index question_of_person on question (studio_id, person_id, day);
create index question_waiting on question (studio_id) where closed_on is null;

-- Goals in words, for a day, a week, a month or a year; a smaller one may serve a larger one.
create table worded_goal (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  span text not null check (span in ('day', 'week', 'month', 'year')),
  text text not null check (length(text) between 1 and 200),
  from_day date not null,
  serves uuid references worded_goal (id) on delete set null,
  done_on date,
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index worded_goal_of_person on worded_goal (studio_id, person_id, from_day);

-- The stages through which a student takes a piece, and where it stands; null: the usual ones.
alter table person_piece add column stages jsonb;

-- What a passage was given from, and which ladder of it was in force then.
alter table passage
  add column given_from uuid references passage (id) on delete set null,
  add column given_number integer;

-- A plan of sessions that everyone in the room can use: it lies in the library.
alter table session_shape add column shared boolean not null default false;
