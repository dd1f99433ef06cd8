-- Which tempi were passed in a session, with at least one clean play, on which material: the
-- passage, a link of it, a layer. A projection like the others.
create table passed_tempo (
  session_id uuid not null references session (id),
  position integer not null,
  material text not null,
  tempo numeric not null,
  -- The fastest tempo in it, and whether it was the whole as it should be in the end.
  top numeric not null,
  whole boolean not null,
  studio_id uuid not null,
  passage_id uuid not null references passage (id),
  day date not null,
  primary key (session_id, position, material, tempo)
);
create index passed_tempo_of_passage on passed_tempo (passage_id, material, tempo);

-- By which version of the counting a studio's projections were made; an older one is counted anew
-- when the server starts.
alter table studio add column counted_by integer not null default 0;

-- A cycle of slow and fast plays is one verdict: its base tempo and how many plays of each it was.
alter table rep
  add column cycle_base numeric,
  add column cycle_slow integer,
  add column cycle_fast integer,
  add check ((cycle_base is null) = (cycle_slow is null) and (cycle_base is null) = (cycle_fast is null));

-- The server's clock less that of the device when the event was sent; 0 where they agree.
alter table session_event add column clock_offset_ms bigint not null default 0;
