-- What a student is asked to do. It keeps its id over the weeks, whatever each of them says of it.
create table item (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  -- The item of another student's week, or of a group, that it was given from.
  given_from uuid,
  unique (studio_id, id),
  unique (studio_id, person_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index item_of_person on item (studio_id, person_id);

insert into item (id, studio_id, person_id, given_from)
  select distinct on (it ->> 'id') (it ->> 'id')::uuid, studio_id, person_id,
    (it -> 'given' ->> 'item')::uuid
  from assignment cross join lateral jsonb_array_elements(text -> 'items') it
  where set_at is not null order by it ->> 'id', from_day, set_at;

-- What a week says of an item, from a day on. A change ends one row and begins another.
create table week_item (
  studio_id uuid not null,
  assignment_id uuid not null,
  item_id uuid not null,
  from_day date not null,
  -- The first day that asks for it no more.
  until_day date,
  position integer not null,
  kind text not null,
  passage_id uuid,
  title text not null,
  focus text not null,
  focuses jsonb not null,
  often text not null check (often in ('daily', 'every-other', 'times')),
  times integer check (times between 1 and 7),
  minutes integer not null check (minutes between 1 and 120),
  goal_tempo double precision,
  note text not null,
  bring text not null,
  record_run integer,
  kept_ladder_id uuid,
  keys jsonb not null,
  due date,
  origin text not null check (origin in ('new', 'carried')),
  decision text not null check (decision in ('open', 'finished', 'carried', 'changed')),
  primary key (assignment_id, item_id, from_day),
  check (until_day >= from_day),
  check ((often = 'times') = (times is not null)),
  foreign key (studio_id, assignment_id) references assignment (studio_id, id) on delete cascade,
  foreign key (studio_id, item_id) references item (studio_id, id) on delete cascade,
  foreign key (studio_id, passage_id) references passage (studio_id, id)
    on delete set null (passage_id)
);
create index week_item_of_item on week_item (item_id);
create index week_item_of_passage on week_item (passage_id);

-- A week that is being put together, and is nobody's yet.
create table draft (
  id uuid primary key,
  studio_id uuid not null,
  person_id uuid not null,
  from_day date not null,
  until_day date not null,
  -- Counted up at each saving, so that nobody writes over what somebody else has written.
  version integer not null default 1,
  word text not null,
  shape_id uuid,
  unique (studio_id, id),
  unique (person_id),
  check (until_day > from_day),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create table draft_item (like week_item including constraints);
alter table draft_item
  drop column assignment_id,
  drop column from_day,
  drop column until_day,
  add column draft_id uuid not null,
  add column given_from uuid,
  add primary key (draft_id, item_id),
  add foreign key (studio_id, draft_id) references draft (studio_id, id) on delete cascade,
  add foreign key (studio_id, passage_id) references passage (studio_id, id)
    on delete set null (passage_id);

create temporary table carried on commit drop as
  select assignment.studio_id, assignment.id as week_id, set_at, from_day as week_from,
    (it ->> 'id')::uuid as item_id, (it -> 'given' ->> 'item')::uuid as given_from,
    coalesce((it ->> 'since')::date, from_day) as from_day, (it ->> 'until')::date as until_day,
    place::integer as position, it ->> 'kind' as kind, passage.id as passage_id,
    it ->> 'title' as title, coalesce(it ->> 'focus', '') as focus,
    coalesce(it -> 'focuses', '[]') as focuses, it -> 'often' ->> 'kind' as often,
    (it -> 'often' ->> 'times')::integer as times, (it ->> 'minutes')::integer as minutes,
    (it ->> 'goalTempo')::double precision as goal_tempo, coalesce(it ->> 'note', '') as note,
    it ->> 'bring' as bring, (it ->> 'recordRun')::integer as record_run,
    (it ->> 'keptLadderId')::uuid as kept_ladder_id, coalesce(it -> 'keys', '[]') as keys,
    (it ->> 'due')::date as due, it ->> 'origin' as origin, it ->> 'decision' as decision
  from assignment
  cross join lateral jsonb_array_elements(text -> 'items') with ordinality as items (it, place)
  left join passage on passage.studio_id = assignment.studio_id
    and passage.id = (it ->> 'passageId')::uuid;

insert into week_item
  select studio_id, week_id, item_id, from_day,
    case when until_day is not null then greatest(until_day, from_day) end, position, kind,
    passage_id, title, focus, focuses, often, times, minutes, goal_tempo, note, bring, record_run,
    kept_ladder_id, keys, due, origin, decision
  from carried where set_at is not null on conflict do nothing;

insert into draft (id, studio_id, person_id, from_day, until_day, version, word, shape_id)
  select id, studio_id, person_id, from_day, until_day, version, coalesce(text ->> 'word', ''),
    (text ->> 'shape')::uuid
  from assignment where set_at is null;
insert into draft_item (studio_id, draft_id, item_id, given_from, position, kind, passage_id, title,
    focus, focuses, often, times, minutes, goal_tempo, note, bring, record_run, kept_ladder_id,
    keys, due, origin, decision)
  select studio_id, week_id, item_id, given_from, position, kind, passage_id, title, focus, focuses,
    often, times, minutes, goal_tempo, note, bring, record_run, kept_ladder_id, keys, due, origin,
    decision
  from carried where set_at is null on conflict do nothing;

delete from assignment where set_at is null;
drop index one_draft_of_person;
alter table assignment add column word text not null default '', add column shape_id uuid;
update assignment set word = coalesce(text ->> 'word', ''), shape_id = (text ->> 'shape')::uuid;
alter table assignment
  drop column text,
  drop column saved_at,
  alter column word drop default,
  alter column set_at set not null;

-- What names an item finds it there.
insert into item (id, studio_id, person_id)
  select item_id, studio_id, person_id from hand_in on conflict do nothing;
update practice_by_hand set item_id = null
  where item_id is not null and not exists (
    select from item where item.id = item_id and item.person_id = practice_by_hand.person_id);
delete from item_enough where not exists (
  select from item where item.id = item_id and item.person_id = item_enough.person_id);
delete from item_day where not exists (
  select from item where item.id = item_id and item.person_id = item_day.person_id);
alter table practice_by_hand add foreign key (studio_id, person_id, item_id)
  references item (studio_id, person_id, id);
alter table item_enough add foreign key (studio_id, person_id, item_id)
  references item (studio_id, person_id, id);
alter table item_day add foreign key (studio_id, person_id, item_id)
  references item (studio_id, person_id, id);
alter table hand_in add foreign key (studio_id, person_id, item_id)
  references item (studio_id, person_id, id);
